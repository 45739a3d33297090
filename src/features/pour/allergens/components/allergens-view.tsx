'use client';

import Link from 'next/link';
import { useMemo } from 'react';
import { allergenPage, LABEL_ALLERGENS } from '@/core/safety';
import { DataTable, type Column } from '@/ui/tables/data-table';
import type { AllergensPage, CarriesRow } from '../queries';
import { isWhole, partialReason } from '../words';
import * as texts from './texts';

/** Plates or pots against allergens: what each comes from, and what nobody can say yet. */
export function AllergensView({ page }: { readonly page: AllergensPage }) {
  const columns = useColumns(page);
  const pots = page.what === 'pots';
  const notShown = LABEL_ALLERGENS.filter((name) => !page.allergens.includes(name));
  const of = pots ? '?of=pots' : '';
  return (
    <>
      <div className="page-head">
        <h1>{texts.allergens}</h1>
        <p className="lead-line">{allergenPage.lead}</p>
        <div className="thing-tools">
          <Link
            prefetch={false}
            className="btn btn-plain btn-sm"
            href={`/pour/allergens${pots ? '' : '?of=pots'}`}
          >
            {pots ? texts.dishesInsteadPots : texts.potsInsteadDishes}
          </Link>
          <a className="btn btn-plain btn-sm" href={`/pour/allergens.pdf${of}`}>
            {texts.pdf}
          </a>
          <a className="btn btn-plain btn-sm" href={`/pour/allergens.csv${of}`} download>
            {texts.spreadsheetCsv}
          </a>
        </div>
      </div>
      <ToRead page={page} />
      {page.rows.length === 0 ? (
        <p className="my-4 fs-5">{texts.noYet(NOUNS[page.what][1])}</p>
      ) : page.allergens.length === 0 && page.rows.every(isWhole) ? (
        <p className="my-4">{texts.nothingGoesIntoThem}</p>
      ) : (
        <>
          <p className="quiet small-line mb-1">
            {allergenPage.dash} {allergenPage.notShown(notShown)}
          </p>
          <DataTable
            className="list-table allergens"
            columns={columns}
            rows={page.rows}
            rowKey={(r) => r.id}
          />
        </>
      )}
    </>
  );
}

const NOUNS = { plates: ['dish', 'dishes'], pots: ['pot', 'pots'] } as const;

function useColumns(page: AllergensPage): readonly Column<CarriesRow>[] {
  return useMemo(
    (): Column<CarriesRow>[] => [
      {
        id: 'name',
        head: page.what === 'plates' ? 'Dish' : 'Pot',
        by: (r) => r.name,
        cell: (r) => (
          <>
            <Link prefetch={false} href={r.href}>
              {r.name}
            </Link>
            {!isWhole(r) && <span className="d-block small-line dearer">{partialReason(r)}</span>}
          </>
        ),
      },
      ...page.allergens.map((allergen): Column<CarriesRow> => ({
        id: allergen,
        head: allergen,
        left: true,
        largestFirst: true,
        by: (r) => (r.from[allergen] ? 2 : isWhole(r) ? 0 : 1),
        cell: (r) => <Cell row={r} allergen={allergen} />,
      })),
    ],
    [page],
  );
}

function Cell({ row, allergen }: { readonly row: CarriesRow; readonly allergen: string }) {
  const from = row.from[allergen];
  if (from) return <b className="carried">{from.join(', ')}</b>;
  return isWhole(row) ? <span className="quiet">–</span> : <i className="dearer">{allergenPage.unknown}</i>;
}

/** Whose label is to be read before anybody can be told that a plate is free of something. */
function ToRead({ page: { toRead, what } }: { readonly page: AllergensPage }) {
  if (toRead.length === 0) return null;
  return (
    <p className="warning">
      {allergenPage.toCheck(toRead.length)}{' '}
      {toRead.slice(0, 12).map((i, n) => (
        <span key={i.id}>
          {n > 0 && ', '}
          <Link prefetch={false} href={`/buy/${i.id}`}>
            {i.name}
          </Link>{' '}
          {texts.inText(i.rows, NOUNS[what][i.rows === 1 ? 0 : 1])}
        </span>
      ))}
      {toRead.length > 12 && texts.more(toRead.length - 12)}. {allergenPage.untilThen}
    </p>
  );
}
