'use client';

import { useCallback, useState } from 'react';
import Form from 'react-bootstrap/Form';
import type { ImportRow } from '@/db/buying/price-list-rows';
import { Combo } from '@/ui/forms/combo';
import { useFormatters } from '@/ui/formatters-context';
import { useSave } from '@/ui/forms/use-save';
import { TroubleText } from '@/ui/forms/trouble-text';
import { findBuyable, findGoods } from '../../purchases/actions';
import { saveAssigned, saveWanted } from '../wire';
import type { ListPage } from '../queries';
import * as texts from './texts';

/** One row of a list: what it says, what was before, and whether it is taken. */
export function PriceListRow({ row, page, open }: { row: ImportRow; page: ListPage; open: boolean }) {
  const { bare } = useFormatters();
  const [keep, state] = useSave();
  const [taken, setTaken] = useState(row.wanted ?? row.verdict === 'moved');
  const toggle = (): void => {
    setTaken(!taken);
    void keep(() => saveWanted({ id: page.list.id, where: { line: row.line }, wanted: !taken })).then(
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
        <TroubleText as="div" says={state.message} />
      </td>
      <td className="left">
        {row.pack}
        {row.packBefore && (
          <div className="quiet small-line">{texts.beforeWithPackBefore(row.packBefore)}</div>
        )}
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
      <td>{mayTake && <Form.Check aria-label={texts.apply(name)} checked={taken} onChange={toggle} />}</td>
    </tr>
  );
}

interface Meant {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  readonly to: { readonly article: string } | { readonly ingredient: string };
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
  readonly keep: ReturnType<typeof useSave>[0];
}) {
  const { supplier } = page.list;
  const find = useCallback(
    async (wanted: string): Promise<Meant[]> => {
      const [articles, things] = await Promise.all([findGoods(supplier, wanted), findBuyable(wanted)]);
      return [
        ...articles.map((a) => ({
          id: a.id,
          name: a.name,
          says: texts.same(a.pack),
          to: { article: a.id },
        })),
        ...things.map((t) => ({
          id: t.id,
          name: t.name,
          says: texts.newArticle,
          to: { ingredient: t.id },
        })),
      ];
    },
    [supplier],
  );
  const known = row.ingredient === undefined ? undefined : page.assigned[row.ingredient];
  return (
    <Combo<Meant>
      size="sm"
      label={texts.whatName(name)}
      placeholder={texts.leaveOut}
      className="which-thing"
      disabled={busy}
      find={find}
      chosen={
        row.ingredient && known
          ? { id: row.ingredient, name: known, says: '', to: { ingredient: row.ingredient } }
          : undefined
      }
      choose={(meant) =>
        meant && void keep(() => saveAssigned({ id: page.list.id, line: row.line, to: meant.to }))
      }
    />
  );
}
