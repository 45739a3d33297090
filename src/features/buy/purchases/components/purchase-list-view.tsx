'use client';

import Stack from 'react-bootstrap/Stack';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { Combo } from '@/ui/forms/combo';
import { useFormatters } from '@/ui/formatters-context';
import { useSearch } from '@/ui/tables/use-search';
import type { PurchaseList } from '../queries';
import { SheetTable } from '@/ui/tables/sheet-table';
import * as texts from './texts';

/** Invoices and credit notes as they came, newest first. */
export function PurchaseListView({ list }: { list: PurchaseList }) {
  return (
    <>
      <Stack direction="horizontal" gap={3} className="page-head">
        <div>
          <h1>{texts.purchases}</h1>
          <p className="lead-line">{texts.everyInvoiceCameUpdates}</p>
        </div>
        <FromSupplier list={list} />
        {list.mayEdit && (
          <Link prefetch={false} href="/buy/purchases/new" className="btn btn-primary">
            {texts.newInvoice}
          </Link>
        )}
      </Stack>
      {list.rows.length === 0 ? <p>{texts.noInvoicesYetSave}</p> : <Purchases list={list} />}
      {list.more && (
        <p className="my-3">
          <Link
            prefetch={false}
            href={`/buy/purchases?${new URLSearchParams({ ...(list.supplier ? { supplier: list.supplier } : {}), on: list.more.on, id: list.more.id }).toString()}`}
          >
            {texts.olderOnes}
          </Link>
        </p>
      )}
    </>
  );
}

function FromSupplier({ list }: { readonly list: PurchaseList }) {
  const router = useRouter();
  return (
    <Combo
      label={texts.fromWhichSupplier}
      placeholder={texts.fromAllSuppliers}
      className="which-thing ms-auto"
      chosen={list.suppliers.find((s) => s.id === list.supplier)}
      find={useSearch(list.suppliers)}
      choose={(s) => router.push(s ? `/buy/purchases?supplier=${s.id}` : '/buy/purchases')}
    />
  );
}

function Purchases({ list }: { readonly list: PurchaseList }) {
  const { money, currencySign, day } = useFormatters();
  return (
    <SheetTable className="list-table tall">
      <thead>
        <tr>
          <th scope="col">{texts.supplier}</th>
          <th scope="col" className="left">
            {texts.number}
          </th>
          <th scope="col" className="left">
            {texts.day}
          </th>
          <th scope="col">{texts.lines}</th>
          <th scope="col" className="left">
            {texts.notInvoiced}
          </th>
          <th scope="col">{texts.other(currencySign)}</th>
          <th scope="col">{texts.goodsNet(currencySign)}</th>
        </tr>
      </thead>
      <tbody>
        {list.rows.map((p) => (
          <tr key={p.id}>
            <td>{p.supplier}</td>
            <td className="left">
              <Link prefetch={false} href={`/buy/purchases/${p.id}`}>
                {p.number}
              </Link>
              {p.kind === 'credit note' && <span className="quiet"> {texts.creditNote}</span>}
              {p.withdrawn && <span className="dearer"> {texts.takenBack}</span>}
            </td>
            <td className="left fig">{day(p.on)}</td>
            <td className="fig">{p.lines}</td>
            <td className="left">
              {p.odd > 0 && (
                <span className="warning">
                  {p.odd} {p.odd === 1 ? texts.line : texts.lines}
                </span>
              )}
            </td>
            <td className="fig">{p.extras === 0 ? '' : money(p.extras)}</td>
            <td className="fig strong">{money(p.goods)}</td>
          </tr>
        ))}
      </tbody>
    </SheetTable>
  );
}
