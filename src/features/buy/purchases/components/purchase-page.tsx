'use client';

import Stack from 'react-bootstrap/Stack';
import Link from 'next/link';
import { useFormatters } from '@/ui/formatters-context';
import { DeleteInvoice } from './delete-invoice';
import type { PurchaseView, PurchaseViewLine } from '../queries';
import { SheetTable } from '@/ui/tables/sheet-table';
import * as texts from './texts';

/** One invoice or credit note: what came, what it cost, and what was odd about it. */
export function PurchasePage({ view }: { view: PurchaseView }) {
  const { money, currencySign } = useFormatters();
  return (
    <>
      <Stack direction="horizontal" gap={3} className="page-head">
        <div>
          <h1>
            {view.kind === 'invoice' ? texts.invoice : texts.creditNoteHeading} {view.number}
          </h1>
          <WhereFrom view={view} />
        </div>
        {view.mayEdit && (
          <span className="ms-auto">
            <DeleteInvoice view={view} />
          </span>
        )}
        {view.mayEdit && view.kind === 'invoice' && view.withdrawnOn === undefined && (
          <Link
            prefetch={false}
            href={`/buy/purchases/new?corrects=${view.id}`}
            className="btn btn-outline-primary"
          >
            {texts.newCreditNote}
          </Link>
        )}
      </Stack>
      <SheetTable className="roomy">
        <thead>
          <tr>
            <th scope="col">{texts.item}</th>
            <th scope="col" className="left">
              {texts.pack}
            </th>
            <th scope="col">{texts.packs}</th>
            <th scope="col">{texts.packCurrencySign(currencySign)}</th>
            <th scope="col">{texts.received}</th>
            <th scope="col">{texts.perKgReceived(currencySign)}</th>
            <th scope="col">{texts.net(currencySign)}</th>
          </tr>
        </thead>
        <tbody>
          {view.lines.map((l, i) => (
            <Line key={i} line={l} />
          ))}
          <tr>
            <td colSpan={6} className="strong">
              {texts.together}
            </td>
            <td className="fig strong">{money(view.total)}</td>
          </tr>
        </tbody>
      </SheetTable>
    </>
  );
}

function Line({ line: l }: { line: PurchaseViewLine }) {
  const { bare, kilos } = useFormatters();
  const words = [...l.words, ...(l.note ? [l.note] : [])];
  return (
    <tr>
      <td>
        {l.href ? (
          <Link prefetch={false} href={l.href}>
            {l.name}
          </Link>
        ) : (
          l.name
        )}
        {words.length > 0 && (
          <div className={l.words.length > 0 ? 'warning' : 'understood'}>{words.join(' ')}</div>
        )}
        {l.instead && (
          <div>
            <span className="warning">{texts.cameInPlaceOf(l.instead.of)}</span>
            <ul>
              {l.instead.differences.map((d) => (
                <li key={d.message} className={d.grave ? 'dearer' : ''}>
                  {d.message}
                </li>
              ))}
            </ul>
          </div>
        )}
      </td>
      <td className="left">{l.pack}</td>
      <td className="fig">{l.packs === undefined ? '' : bare(l.packs, Number.isInteger(l.packs) ? 0 : 2)}</td>
      <td className="fig">{l.packPrice}</td>
      <td className="fig">{l.acceptedG === undefined || l.acceptedG === 0 ? '' : kilos(l.acceptedG)}</td>
      <td className="fig">{l.perKg === undefined ? '' : bare(l.perKg)}</td>
      <td className="fig strong">{bare(l.money)}</td>
    </tr>
  );
}

/** Whose it is, of which day, and what corrects it or is corrected by it. */
function WhereFrom({ view }: { readonly view: PurchaseView }) {
  const { day } = useFormatters();
  return (
    <p className="lead-line">
      {texts.entered(view.supplier, day(view.on), day(view.recordedAt))}
      {view.corrects && (
        <>
          {texts.corrects}
          <Link prefetch={false} href={`/buy/purchases/${view.corrects.id}`}>
            {view.corrects.number}
          </Link>
        </>
      )}
      {view.credits.map((c) => (
        <span key={c.id}>
          {texts.credited}
          <Link prefetch={false} href={`/buy/purchases/${c.id}`}>
            {c.number}
          </Link>
        </span>
      ))}
    </p>
  );
}
