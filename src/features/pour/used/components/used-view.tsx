'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import type { OnPlate, Use, WhereUsed } from '@/core/costing';
import { Combo } from '@/ui/forms/combo';
import { DataTable, type Column } from '@/ui/tables/data-table';
import { useFormatters, type Formatters } from '@/ui/formatters-context';
import { findUsed } from '../actions';
import type { UsedPage } from '../queries';

/** Where something is used: by whom, how much of it a week, and on which plates it ends up for how much. */
export function UsedView({ page: { is, id, used, gone } }: { readonly page: UsedPage }) {
  const router = useRouter();
  const chosen = used && { id: `${is ?? ''}:${id ?? ''}`, name: used.name, says: '' };
  return (
    <>
      <div className="page-head">
        <h1>{used ? `Where ${used.name} is used` : 'Where is it used?'}</h1>
        {used ? (
          <Answer used={used} vessel={is === 'vessel'} />
        ) : (
          <p className="lead-line">An ingredient, an article, a supplier, a pot or a vessel.</p>
        )}
        {gone && <p className="warning">This is no longer here.</p>}
      </div>
      <div style={{ maxWidth: '26rem' }} className="my-2">
        <Combo
          label="Find what is used"
          placeholder="bones, a supplier, a pot"
          chosen={chosen}
          find={findUsed}
          choose={(t) => t && t.id !== chosen?.id && router.push(`/pour/used?of=${encodeURIComponent(t.id)}`)}
        />
      </div>
      {used && <Uses key={chosen?.id} used={used} vessel={is === 'vessel'} />}
    </>
  );
}

const perWeek = (u: Use): number => u.batches ?? 0;

/** The answer in a line: how much a week, for how much, and on how many plates. */
function Answer({ used, vessel }: { readonly used: WhereUsed; readonly vessel: boolean }) {
  const { litres, kilos, money } = useFormatters();
  const pots = used.direct.filter((u) => u.is === 'pot');
  const week = pots.reduce((sum, u) => sum + perWeek(u) * (u.ml || u.g), 0);
  const cost = pots.reduce<number | null>(
    (sum, u) => (sum === null || u.money === null ? null : sum + u.money * perWeek(u)),
    0,
  );
  const inLitres = pots.some((u) => u.ml > 0);
  if (used.direct.length === 0)
    return (
      <p className="lead-line">
        {vessel ? 'Nothing is cooked in it.' : 'Nothing takes it.'} <Elsewhere used={used} />
      </p>
    );
  return (
    <p className="lead-line">
      {vessel ? (
        <>
          {litres(week)} are cooked in it in a usual week, in{' '}
          {pots.length === 1 ? 'one pot' : `${pots.length} pots`}.
        </>
      ) : (
        <>
          <b>{inLitres ? litres(week) : kilos(week)}</b> go into pots in a usual week
          {cost !== null && (
            <>
              , for <b>{money(cost)}</b>
            </>
          )}
          .{' '}
          {used.plates.length === 0
            ? 'It ends up in no dish.'
            : `It ends up in ${used.plates.length === 1 ? 'one dish' : `${used.plates.length} dishes`}.`}{' '}
          <Elsewhere used={used} />
        </>
      )}
    </p>
  );
}

/** What is costed from somebody else at present, and so not counted here. */
function Elsewhere({ used: { elsewhere } }: { readonly used: WhereUsed }) {
  if (elsewhere.length === 0) return null;
  return (
    <span className="quiet">
      Not counted, because it is costed from another article now: {elsewhere.slice(0, 8).join(', ')}
      {elsewhere.length > 8 && ` and ${elsewhere.length - 8} more`}.
    </span>
  );
}

function Uses({ used, vessel }: { readonly used: WhereUsed; readonly vessel: boolean }) {
  const direct = useDirect(vessel);
  const plates = usePlates();
  return (
    <>
      {used.direct.length > 0 && (
        <section aria-label="Who takes it">
          <h2>{vessel ? 'Cooked in it' : 'Who takes it'}</h2>
          <DataTable
            className="list-table"
            columns={direct}
            rows={used.direct}
            rowKey={(u) => `${u.is} ${u.id}`}
          />
        </section>
      )}
      {used.plates.length > 0 && (
        <section aria-label="Dishes it ends up in" className="mt-3">
          <h2>Dishes it ends up in</h2>
          <DataTable className="list-table" columns={plates} rows={used.plates} rowKey={(p) => p.id} />
        </section>
      )}
    </>
  );
}

const NotKnown = () => <span className="quiet">not known</span>;

/** What one batch or plate takes and costs; and the same for a week, where it is known how often it is made. */
function amountColumns(vessel: boolean, { litres, kilos, bare }: Formatters): readonly Column<Use>[] {
  const much = (u: Use, times: number): string => (u.ml > 0 ? litres(u.ml * times) : kilos(u.g * times));
  return [
    {
      id: 'one',
      head: vessel ? 'a batch gives' : 'a batch, or a dish, takes',
      largestFirst: true,
      className: 'fig',
      by: (u) => u.ml || u.g,
      cell: (u) => much(u, 1),
    },
    {
      id: 'times',
      head: 'batches a week',
      largestFirst: true,
      className: 'fig',
      by: (u) => u.batches,
      cell: (u) => (u.batches === undefined ? <NotKnown /> : bare(u.batches, u.batches % 1 ? 1 : 0)),
    },
    {
      id: 'week',
      head: vessel ? 'gives a week' : 'takes a week',
      largestFirst: true,
      className: 'fig strong',
      by: (u) => (u.batches === undefined ? undefined : u.batches * (u.ml || u.g)),
      cell: (u) => (u.batches === undefined ? <NotKnown /> : much(u, u.batches)),
    },
  ];
}

function moneyColumns({ money, small }: Formatters): readonly Column<Use>[] {
  return [
    {
      id: 'money',
      head: 'which costs',
      largestFirst: true,
      className: 'fig',
      by: (u) => u.money,
      cell: (u) => small(u.money),
    },
    {
      id: 'weekly',
      head: 'costs a week',
      largestFirst: true,
      className: 'fig strong',
      by: (u) => (u.batches === undefined || u.money === null ? undefined : u.money * u.batches),
      cell: (u) =>
        u.batches === undefined ? <NotKnown /> : money(u.money === null ? null : u.money * u.batches),
    },
  ];
}

function useDirect(vessel: boolean): readonly Column<Use>[] {
  const figures = useFormatters();
  return useMemo((): readonly Column<Use>[] => {
    const [one, times, week] = amountColumns(vessel, figures);
    const [money, weekly] = vessel ? [] : moneyColumns(figures);
    const name: Column<Use> = {
      id: 'name',
      head: 'Pot or dish',
      by: (u) => u.name,
      cell: (u) => (
        <Link prefetch={false} href={u.is === 'pot' ? `/pot/${u.id}` : `/pour/${u.id}`}>
          {u.name}
        </Link>
      ),
    };
    return [name, one, money, times, week, weekly].filter((c) => c !== undefined);
  }, [vessel, figures]);
}

function usePlates(): readonly Column<OnPlate>[] {
  const { small, bare } = useFormatters();
  return useMemo(
    (): readonly Column<OnPlate>[] => [
      {
        id: 'name',
        head: 'Dish',
        by: (p) => p.name,
        cell: (p) => (
          <Link prefetch={false} href={`/pour/${p.id}`}>
            {p.name}
          </Link>
        ),
      },
      {
        id: 'money',
        head: 'of it in one dish',
        largestFirst: true,
        className: 'fig strong',
        by: (p) => p.money,
        cell: (p) => small(p.money),
      },
      {
        id: 'share',
        head: 'of the dish’s cost',
        largestFirst: true,
        className: 'fig',
        by: (p) => p.share,
        cell: (p) => (p.share === null ? '–' : `${bare(p.share * 100, 1)} %`),
      },
    ],
    [small, bare],
  );
}
