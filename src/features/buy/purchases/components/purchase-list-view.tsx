'use client';

import Stack from 'react-bootstrap/Stack';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { Combo } from '@/ui/forms/combo';
import { useFormatters } from '@/ui/formatters-context';
import { useSearch } from '@/ui/tables/use-search';
import type { PurchaseList } from '../queries';
import { SheetTable } from '@/ui/tables/sheet-table';

/** Invoices and credit notes as they came, newest first. */
export function PurchaseListView({ list }: { list: PurchaseList }) {
  return (
    <>
      <Stack direction="horizontal" gap={3} className="page-head">
        <div>
          <h1>Purchases</h1>
          <p className="lead-line">
            Every invoice as it came. It updates prices; a credit note corrects it, and a wrong one can be
            undone.
          </p>
        </div>
        <FromSupplier list={list} />
        {list.mayEdit && (
          <Link prefetch={false} href="/buy/purchases/new" className="btn btn-primary">
            New invoice
          </Link>
        )}
      </Stack>
      {list.rows.length === 0 ? (
        <p>No invoices yet. Save the first one and its prices are in the price book.</p>
      ) : (
        <Purchases list={list} />
      )}
      {list.more && (
        <p className="my-3">
          <Link
            prefetch={false}
            href={`/buy/purchases?${new URLSearchParams({ ...(list.supplier ? { supplier: list.supplier } : {}), on: list.more.on, id: list.more.id }).toString()}`}
          >
            Older ones
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
      label="From which supplier"
      placeholder="from all suppliers"
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
          <th scope="col">Supplier</th>
          <th scope="col" className="left">
            Number
          </th>
          <th scope="col" className="left">
            Day
          </th>
          <th scope="col">lines</th>
          <th scope="col" className="left">
            not as invoiced
          </th>
          <th scope="col">{currencySign} other</th>
          <th scope="col">{currencySign} goods, net</th>
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
              {p.kind === 'credit note' && <span className="quiet"> credit note</span>}
              {p.withdrawn && <span className="dearer"> taken back</span>}
            </td>
            <td className="left fig">{day(p.on)}</td>
            <td className="fig">{p.lines}</td>
            <td className="left">
              {p.odd > 0 && (
                <span className="warning">
                  {p.odd} {p.odd === 1 ? 'line' : 'lines'}
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
