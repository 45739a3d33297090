'use client';

import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import type { ImportRow } from '@/db/price-list-rows';
import { useFigures } from '@/ui/figures';
import { useKept } from '@/ui/use-kept';
import { Trouble } from '@/ui/trouble';
import { keepAssigned, keepWanted } from '../wire';
import type { ListPage } from '../queries';

/** One row of a list: what it says, what was before, and whether it is taken. */
export function ListRow({ row, page, open }: { row: ImportRow; page: ListPage; open: boolean }) {
  const { bare } = useFigures();
  const [keep, state] = useKept();
  const [taken, setTaken] = useState(row.wanted ?? row.verdict === 'moved');
  const toggle = (): void => {
    setTaken(!taken);
    void keep(() => keepWanted({ id: page.list.id, where: { line: row.line }, wanted: !taken })).then(
      (ok) => {
        if (!ok) setTaken(taken);
      },
    );
  };
  const mayTake =
    open &&
    page.mayEdit &&
    (row.verdict === 'moved' ||
      row.verdict === 'odd' ||
      (row.verdict === 'ask' && row.ingredient !== undefined));
  const name = row.name ?? row.code ?? `line ${row.line}`;
  return (
    <tr>
      <td>
        <span className="quiet fig">
          {row.line} {row.code}
        </span>{' '}
        {row.name}
        <Trouble as="div" says={state.message} />
      </td>
      <td className="left">
        {row.pack}
        {row.packBefore && <div className="quiet small-line">before: {row.packBefore}</div>}
      </td>
      <td className="fig">{row.priceBefore === undefined ? '' : bare(Number(row.priceBefore))}</td>
      <td className="fig strong">{row.price === undefined ? row.priceTyped : bare(Number(row.price))}</td>
      <td className="left">
        {row.verdict === 'ask' && open && page.mayEdit ? (
          <WhatIsIt row={row} page={page} name={name} busy={state.busy} keep={keep} />
        ) : (
          <span className={row.verdict === 'odd' ? 'warning' : row.verdict === 'refused' ? 'trouble' : ''}>
            {row.reason}
          </span>
        )}
      </td>
      <td>
        {mayTake && (
          <input
            type="checkbox"
            className="radio-large"
            aria-label={`Take ${name}`}
            checked={taken}
            onChange={toggle}
          />
        )}
      </td>
    </tr>
  );
}

/** A row that nobody knows: asked which article it is, or of what it is a new one. */
function WhatIsIt({
  row,
  page,
  name,
  busy,
  keep,
}: {
  readonly row: ImportRow;
  readonly page: ListPage;
  readonly name: string;
  readonly busy: boolean;
  readonly keep: ReturnType<typeof useKept>[0];
}) {
  return (
    <Form.Select
      size="sm"
      aria-label={`What is ${name}`}
      value={row.ingredient ? `ingredient:${row.ingredient}` : ''}
      disabled={busy}
      onChange={(event) => {
        const [kind, id = ''] = event.target.value.split(':');
        if (id === '') return;
        void keep(() =>
          keepAssigned({
            id: page.list.id,
            line: row.line,
            to: kind === 'article' ? { article: id } : { ingredient: id },
          }),
        );
      }}
    >
      <option value="">leave it out</option>
      <optgroup label="The same as">
        {page.articles.map((a) => (
          <option key={a.id} value={`article:${a.id}`}>
            {a.name}, {a.pack}
          </option>
        ))}
      </optgroup>
      <optgroup label="A new article of">
        {page.ingredients.map((i) => (
          <option key={i.id} value={`ingredient:${i.id}`}>
            {i.name}
          </option>
        ))}
      </optgroup>
    </Form.Select>
  );
}
