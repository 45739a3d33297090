'use client';

import Button from 'react-bootstrap/Button';
import type { PurchaseForm } from '../queries';
import { useFigures } from '@/ui/figures';
import { GoodsRow } from './goods-row';
import { MoneyRow } from './money-row';
import { PurchaseHead } from './purchase-head';
import { emptyGoods } from './use-draft';
import { totalOf, useNewPurchase, type Mistakes, type NewPurchaseForm } from './use-new-purchase';
import { Trouble } from '@/ui/trouble';
import { SheetTable } from '@/ui/sheet-table';

const EXTRAS = { deposit: 'Deposit', tax: 'Tax', delivery: 'Delivery', discount: 'Discount' } as const;

/** An invoice or credit note being written down: every line says what was understood of it. */
export function NewPurchase({ form }: { form: PurchaseForm }) {
  const written = useNewPurchase(form);
  const { draft, change, found, forget, mistakes } = written;
  return (
    <>
      <h1>
        {draft.kind === 'invoice'
          ? 'Write an invoice down'
          : `Credit note for ${form.corrects?.number ?? ''}`}
      </h1>
      <p className="lead-line">
        {draft.kind === 'invoice'
          ? 'As it stands on the paper: packs and prices may be worked out as you type, such as 3*12.50. What came otherwise is said beside it.'
          : 'Packs and price that are credited; “went back” only for goods that left the store again.'}
      </p>
      {found && (
        <p role="status" className="warning">
          An invoice begun on this device was not written down.{' '}
          <button type="button" className="plain-button" onClick={() => change(found)}>
            Go on with it
          </button>{' '}
          <button type="button" className="plain-button" onClick={forget}>
            Throw it away
          </button>
        </p>
      )}
      <PurchaseHead form={form} draft={draft} change={change} mistakes={mistakes} />
      <Lines form={form} written={written} />
      <Foot written={written} />
      <WhatIsWrong mistakes={mistakes} />
    </>
  );
}

function Lines({ form, written }: { readonly form: PurchaseForm; readonly written: NewPurchaseForm }) {
  const { draft, lines, manner, mistakes, setLine, remove } = written;
  return (
    <SheetTable className="invoice-lines">
      <thead>
        <tr>
          <th scope="col">What</th>
          <th scope="col">packs</th>
          <th scope="col">net a pack</th>
          <th scope="col">{draft.kind === 'invoice' ? 'came, if otherwise' : 'went back'}</th>
          <th scope="col">sent back</th>
          <th scope="col" className="left">
            understood
          </th>
          <th scope="col">
            <span className="visually-hidden">Take out</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {lines.map((line, i) =>
          line.is === 'goods' ? (
            <GoodsRow
              key={i}
              index={i}
              line={line}
              draft={draft}
              form={form}
              manner={manner}
              mistakes={mistakes}
              onChange={(l) => setLine(i, l)}
              onRemove={() => remove(i)}
            />
          ) : (
            <MoneyRow
              key={i}
              index={i}
              line={line}
              mistake={mistakes.get(`lines[${i}].amount`)}
              onChange={(l) => setLine(i, l)}
              onRemove={() => remove(i)}
            />
          ),
        )}
      </tbody>
    </SheetTable>
  );
}

function Foot({ written }: { readonly written: NewPurchaseForm }) {
  const { draft, addLine, busy, send } = written;
  const { money } = useFigures();
  const extras = Object.keys(EXTRAS) as (keyof typeof EXTRAS)[];
  return (
    <div className="invoice-foot">
      <button type="button" className="plain-button" onClick={() => addLine(emptyGoods())}>
        Another line
      </button>
      {draft.kind === 'invoice' &&
        extras.map((is) => (
          <button
            key={is}
            type="button"
            className="plain-button"
            onClick={() => addLine({ is, amount: '', note: '' })}
          >
            {EXTRAS[is]}
          </button>
        ))}
      <div className="invoice-total">
        <span className="fig-large">{money(totalOf(written))}</span>
        <span className="fig-label">together, as on the paper</span>
      </div>
      <Button disabled={busy} onClick={() => void send()}>
        {busy ? 'Writing …' : 'Write it down'}
      </Button>
    </div>
  );
}

/** What is wrong with the whole of it, and that something is marked above. */
function WhatIsWrong({ mistakes }: { readonly mistakes: Mistakes }) {
  const general = [...mistakes].filter(([path]) => path === '' || path === 'lines').map(([, m]) => m);
  return (
    <>
      {general.map((message) => (
        <Trouble key={message} says={message} />
      ))}
      {mistakes.size > general.length && (
        <p role="alert" className="trouble">
          Nothing is written down yet:{' '}
          {mistakes.size - general.length === 1
            ? 'one thing is'
            : `${mistakes.size - general.length} things are`}{' '}
          marked above.
        </p>
      )}
    </>
  );
}
