'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useKept } from '@/ui/use-kept';
import { dropList, look } from '../wire';
import type { ListPage } from '../queries';
import type { ColumnsAsked } from '../lists';

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
            <Form.Select
              aria-label={`Column of ${words}`}
              value={columns[key] ?? ''}
              onChange={(event) => setColumns({ ...columns, [key]: event.target.value || undefined })}
            >
              <option value="">not in this list</option>
              {asked.heads.map((h) => (
                <option key={h} value={h}>
                  {h}
                </option>
              ))}
            </Form.Select>
          </label>
        ))}
        <label>
          before the cents
          <Form.Select
            aria-label="Decimal mark"
            value={mark}
            onChange={(event) => setMark(event.target.value as '.' | ',')}
          >
            <option value="">say which</option>
            <option value=".">a point: 12.50</option>
            <option value=",">a comma: 12,50</option>
          </Form.Select>
        </label>
        <label>
          prices hold from
          <Form.Control
            aria-label="Prices hold from"
            type="date"
            value={on}
            onChange={(event) => setOn(event.target.value)}
          />
        </label>
        <label>
          odd above, %
          <Form.Control
            aria-label="Odd above"
            value={odd}
            style={{ width: '5.5rem' }}
            onChange={(event) => setOdd(event.target.value)}
          />
        </label>
      </div>
      <table className="sheet-table sample">
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
      </table>
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
          Put it away
        </button>
        {state.message && (
          <span role="alert" className="trouble">
            {state.message}
          </span>
        )}
      </div>
    </>
  );
}
