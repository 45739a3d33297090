'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import Form from 'react-bootstrap/Form';
import { useFigures } from '@/ui/figures';
import type { PurchaseList } from '../queries';
import { SheetTable } from '@/ui/sheet-table';

/** Invoices and credit notes as they came, newest first. */
export function PurchaseListView({ list }: { list: PurchaseList }) {
  return (
    <>
      <div className="price-book-head">
        <div>
          <h1>Purchases</h1>
          <p className="lead-line">
            Every invoice as it came. It sets prices and fills the store; it changes only by a credit note.
          </p>
        </div>
        <FromSupplier list={list} />
        {list.mayEdit && (
          <Link prefetch={false} href="/buy/purchases/new" className="btn btn-primary">
            Write an invoice down
          </Link>
        )}
      </div>
      {list.rows.length === 0 ? (
        <p>Nothing has been bought here yet: write the first invoice down, and its prices are in the book.</p>
      ) : (
        <Purchases list={list} />
      )}
      {list.more && (
        <p className="more">
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
    <Form.Select
      aria-label="From which supplier"
      value={list.supplier ?? ''}
      style={{ width: 'auto', marginLeft: 'auto' }}
      onChange={(event) =>
        router.push(
          event.target.value === '' ? '/buy/purchases' : `/buy/purchases?supplier=${event.target.value}`,
        )
      }
    >
      <option value="">all suppliers</option>
      {list.suppliers.map((s) => (
        <option key={s.id} value={s.id}>
          {s.name}
        </option>
      ))}
    </Form.Select>
  );
}

function Purchases({ list }: { readonly list: PurchaseList }) {
  const { money, currencySign, day } = useFigures();
  return (
    <SheetTable className="list-table">
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
