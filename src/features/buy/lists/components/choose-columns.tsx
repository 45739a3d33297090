'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useKept } from '@/ui/use-kept';
import { Trouble } from '@/ui/trouble';
import { dropList, look } from '../wire';
import type { ListPage } from '../queries';
import type { ColumnsAsked } from '../lists';
import { SheetTable } from '@/ui/sheet-table';

const KEYS = [
  ['code', 'its code'],
  ['name', 'what it is'],
  ['pack', 'how it is packed'],
  ['unit', 'the pack’s unit, if apart'],
  ['price', 'the net price'],
] as const;
type Key = (typeof KEYS)[number][0];

/** Which column is what: asked once for each supplier, and remembered. */
export function ChooseColumns({ page, asked }: { page: ListPage; asked: ColumnsAsked }) {
  const router = useRouter();
  const [columns, setColumns] = useState<Partial<Record<Key, string>>>(asked.guess);
  const [mark, setMark] = useState<'.' | ',' | ''>(asked.guess.mark ?? '');
  const [on, setOn] = useState(page.list.on ?? page.today);
  const [odd, setOdd] = useState(String(Math.round(page.list.oddShare * 1000) / 10));
  const [keep, state] = useKept();
  const send = (): void =>
    void keep(() =>
      look({
        id: page.list.id,
        on,
        odd,
        columns: { ...columns, price: columns.price ?? '', mark: mark || undefined },
      }),
    ).then((ok) => ok && router.push(`/buy/lists/${page.list.id}`));
  return (
    <>
      <h2>Which column is what?</h2>
      <div className="invoice-head">
        {KEYS.map(([key, words]) => (
          <label key={key}>
            {words}
            <WhichColumn
              words={words}
              heads={asked.heads}
              value={columns[key]}
              onChoose={(head) => setColumns({ ...columns, [key]: head })}
            />
          </label>
        ))}
        <label>
          before the cents
          <DecimalMark mark={mark} setMark={setMark} />
        </label>
        <HoldsFrom on={on} setOn={setOn} />
        <OddAbove odd={odd} setOdd={setOdd} />
      </div>
      <Sample asked={asked} />
      <div className="invoice-foot">
        <Button disabled={state.busy} onClick={send}>
          Look it through
        </Button>
        <button
          type="button"
          className="plain-button"
          onClick={() =>
            void keep(() => dropList({ id: page.list.id })).then((ok) => ok && router.push('/buy/lists'))
          }
        >
          Throw this list away
        </button>
        <Trouble as="span" says={state.message} />
      </div>
    </>
  );
}

/** The first rows as they stand in the file. */
function Sample({ asked }: { readonly asked: ColumnsAsked }) {
  return (
    <SheetTable className="sample">
      <thead>
        <tr>
          {asked.heads.map((h) => (
            <th key={h} scope="col">
              {h}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {asked.sample.map((row, i) => (
          <tr key={i}>
            {asked.heads.map((h, j) => (
              <td key={h}>{row[j] ?? ''}</td>
            ))}
          </tr>
        ))}
      </tbody>
    </SheetTable>
  );
}

function WhichColumn({
  words,
  heads,
  value,
  onChoose,
}: {
  readonly words: string;
  readonly heads: readonly string[];
  readonly value: string | undefined;
  readonly onChoose: (head: string | undefined) => void;
}) {
  return (
    <Form.Select
      aria-label={`Column of ${words}`}
      value={value ?? ''}
      onChange={(event) => onChoose(event.target.value || undefined)}
    >
      <option value="">not in this list</option>
      {heads.map((h) => (
        <option key={h} value={h}>
          {h}
        </option>
      ))}
    </Form.Select>
  );
}

function DecimalMark({
  mark,
  setMark,
}: {
  readonly mark: '.' | ',' | '';
  readonly setMark: (mark: '.' | ',') => void;
}) {
  return (
    <Form.Select
      aria-label="Decimal mark"
      value={mark}
      onChange={(event) => setMark(event.target.value as '.' | ',')}
    >
      <option value="">say which</option>
      <option value=".">a point: 12.50</option>
      <option value=",">a comma: 12,50</option>
    </Form.Select>
  );
}

function HoldsFrom({ on, setOn }: { readonly on: string; readonly setOn: (on: string) => void }) {
  return (
    <label>
      prices hold from
      <Form.Control
        aria-label="Prices hold from"
        type="date"
        value={on}
        onChange={(event) => setOn(event.target.value)}
      />
    </label>
  );
}

function OddAbove({ odd, setOdd }: { readonly odd: string; readonly setOdd: (odd: string) => void }) {
  return (
    <label>
      odd above, %
      <Form.Control
        aria-label="Odd above"
        value={odd}
        style={{ width: '5.5rem' }}
        onChange={(event) => setOdd(event.target.value)}
      />
    </label>
  );
}
