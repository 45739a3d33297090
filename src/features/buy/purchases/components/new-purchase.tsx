'use client';

import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { mannerOf } from '@/core/quantity';
import { readPrice } from '@/core/larder';
import { useFigures } from '@/ui/figures';
import { keepPurchase } from '../actions';
import type { PurchaseForm } from '../queries';
import { understandGoods } from '../understand';
import { GoodsRow } from './goods-row';
import { MoneyRow } from './money-row';
import { emptyGoods, useDraft, type DraftLine } from './use-draft';
import { noAnswer } from '@/ui/no-answer';

type Mistakes = ReadonlyMap<string, string>;
const EXTRAS = ['deposit', 'tax', 'delivery', 'discount'] as const;

/** An invoice or credit note being written down: every line says what was understood of it. */
export function NewPurchase({ form }: { form: PurchaseForm }) {
  const { draft, change, found, forget } = useDraft(form);
  const [mistakes, setMistakes] = useState<Mistakes>(new Map());
  const [busy, setBusy] = useState(false);
  const router = useRouter();
  const { money } = useFigures();
  const manner = useMemo(() => mannerOf(form.mark, form.measures), [form]);
  const articles = useMemo(() => new Map(form.articles.map((a) => [a.id, a])), [form]);
  const lines = draft.lines;
  const setLine = (i: number, line: DraftLine): void => {
    change({ ...draft, lines: lines.map((l, j) => (j === i ? line : l)) });
    // What the server said of this line no longer holds.
    setMistakes((all) => new Map([...all].filter(([path]) => !path.startsWith(`lines[${i}]`))));
  };
  const remove = (i: number): void => {
    change({ ...draft, lines: lines.filter((_, j) => j !== i) });
    setMistakes(new Map());
  };
  const addLine = (line: DraftLine): void => change({ ...draft, lines: [...lines, line] });

  const total = lines.reduce((sum, line) => {
    if (line.is !== 'goods') {
      const read = readPrice(line.amount, manner.mark);
      return read.ok ? sum + read.value.toNumber() * (line.is === 'discount' ? -1 : 1) : sum;
    }
    const article = articles.get(line.article);
    const read = understandGoods(
      line,
      { packG: article?.packG ?? 1, thing: article?.thing ?? { name: '' } },
      manner,
      draft.kind,
    );
    return read.ok ? sum + read.value.received.money.toNumber() : sum;
  }, 0);

  const send = async (): Promise<void> => {
    setBusy(true);
    const written = lines.filter((l) => l.is !== 'goods' || !isBlank(l));
    const answer = await keepPurchase({ ...draft, lines: written }).catch(() => ({
      ok: false as const,
      mistakes: [
        {
          path: '',
          message: noAnswer('what you typed stands here and in this browser'),
        },
      ],
    }));
    setBusy(false);
    if (answer.ok) {
      forget();
      router.push(`/buy/purchases/${answer.id}`);
      router.refresh();
      return;
    }
    // Blank lines were left out: put the mistakes back beside the lines they belong to.
    const places = lines.flatMap((l, i) => (l.is !== 'goods' || !isBlank(l) ? [i] : []));
    setMistakes(
      new Map(
        answer.mistakes.map(({ path, message }) => [
          path.replace(/^lines\[(\d+)\]/, (_, n: string) => `lines[${places[Number(n)] ?? n}]`),
          message,
        ]),
      ),
    );
  };
  const general = [...mistakes].filter(([path]) => path === '' || path === 'lines').map(([, m]) => m);

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
      <div className="invoice-head">
        <label>
          Supplier
          <Form.Select
            aria-label="Supplier"
            value={draft.supplier}
            disabled={draft.corrects !== undefined}
            onChange={(event) => change({ ...draft, supplier: event.target.value })}
          >
            {form.suppliers.map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
          </Form.Select>
        </label>
        <HeadField path="number" label="Invoice number" mistakes={mistakes}>
          <Form.Control
            aria-label="Invoice number"
            value={draft.number}
            autoComplete="off"
            isInvalid={mistakes.has('number')}
            aria-describedby="number-mistake"
            onChange={(event) => change({ ...draft, number: event.target.value })}
          />
        </HeadField>
        <HeadField path="on" label="Day on it" mistakes={mistakes}>
          <Form.Control
            aria-label="Day on it"
            type="date"
            value={draft.on}
            isInvalid={mistakes.has('on')}
            aria-describedby="on-mistake"
            onChange={(event) => change({ ...draft, on: event.target.value })}
          />
        </HeadField>
      </div>
      <table className="sheet-table invoice-lines">
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
      </table>
      <div className="invoice-foot">
        <button type="button" className="plain-button" onClick={() => addLine(emptyGoods())}>
          Another line
        </button>
        {draft.kind === 'invoice' &&
          EXTRAS.map((is) => (
            <button
              key={is}
              type="button"
              className="plain-button"
              onClick={() => addLine({ is, amount: '', note: '' })}
            >
              {is === 'tax'
                ? 'Tax'
                : is === 'deposit'
                  ? 'Deposit'
                  : is === 'delivery'
                    ? 'Delivery'
                    : 'Discount'}
            </button>
          ))}
        <div className="invoice-total">
          <span className="fig-large">{money(total)}</span>
          <span className="fig-label">together, as on the paper</span>
        </div>
        <Button disabled={busy} onClick={() => void send()}>
          {busy ? 'Writing …' : 'Write it down'}
        </Button>
      </div>
      {general.map((message) => (
        <p key={message} role="alert" className="trouble">
          {message}
        </p>
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

const isBlank = (l: Extract<DraftLine, { is: 'goods' }>): boolean =>
  l.article === '' && !l.newArticle && l.packs.trim() === '' && l.packPrice.trim() === '';

function HeadField({
  path,
  label,
  mistakes,
  children,
}: {
  path: string;
  label: string;
  mistakes: Mistakes;
  children: React.ReactNode;
}) {
  return (
    <label>
      {label}
      {children}
      {mistakes.has(path) && (
        <span id={`${path}-mistake`} role="alert" className="trouble">
          {mistakes.get(path)}
        </span>
      )}
    </label>
  );
}
