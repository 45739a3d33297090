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
import * as texts from './texts';

/** Where something is used: by whom, how much of it a week, and on which plates it ends up for how much. */
export function UsedView({ page: { is, id, used, gone } }: { readonly page: UsedPage }) {
  const router = useRouter();
  const chosen = used && { id: `${is ?? ''}:${id ?? ''}`, name: used.name, says: '' };
  return (
    <>
      <div className="page-head">
        <h1>{used ? texts.whereUsedNamed(used.name) : texts.whereUsed}</h1>
        {used ? (
          <Answer used={used} vessel={is === 'vessel'} />
        ) : (
          <p className="lead-line">{texts.ingredientArticleSupplierPot}</p>
        )}
        {gone && <p className="warning">{texts.noLongerHere}</p>}
      </div>
      <div style={{ maxWidth: '26rem' }} className="my-2">
        <Combo
          label={texts.findWhatUsed}
          placeholder={texts.bonesSupplierPot}
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
        {vessel ? texts.nothingCooked : texts.nothingTakes} <Elsewhere used={used} />
      </p>
    );
  return (
    <p className="lead-line">
      {vessel ? (
        <>{texts.cookedUsualWeekOne(litres(week), pots.length)}</>
      ) : (
        <>
          <b>{inLitres ? litres(week) : kilos(week)}</b> {texts.goIntoPotsUsual}
          {cost !== null && (
            <>
              {texts.forText} <b>{money(cost)}</b>
            </>
          )}
          . {used.plates.length === 0 ? texts.endsUpNoDish : texts.endsUp(used.plates.length)}{' '}
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
      {texts.notCountedBecauseCosted(elsewhere.slice(0, 8).join(', '))}
      {elsewhere.length > 8 && texts.more(elsewhere.length - 8)}.
    </span>
  );
}

function Uses({ used, vessel }: { readonly used: WhereUsed; readonly vessel: boolean }) {
  const direct = useDirect(vessel);
  const plates = usePlates();
  return (
    <>
      {used.direct.length > 0 && (
        <section aria-label={texts.whoTakes}>
          <h2>{vessel ? texts.cooked : texts.whoTakes}</h2>
          <DataTable
            className="list-table"
            columns={direct}
            rows={used.direct}
            rowKey={(u) => `${u.is} ${u.id}`}
          />
        </section>
      )}
      {used.plates.length > 0 && (
        <section aria-label={texts.dishesEndsUp} className="mt-3">
          <h2>{texts.dishesEndsUp}</h2>
          <DataTable className="list-table" columns={plates} rows={used.plates} rowKey={(p) => p.id} />
        </section>
      )}
    </>
  );
}

const NotKnown = () => <span className="quiet">{texts.notKnown}</span>;

/** What one batch or plate takes and costs; and the same for a week, where it is known how often it is made. */
function amountColumns(vessel: boolean, { litres, kilos, bare }: Formatters): readonly Column<Use>[] {
  const much = (u: Use, times: number): string => (u.ml > 0 ? litres(u.ml * times) : kilos(u.g * times));
  return [
    {
      id: 'one',
      head: vessel ? texts.batchGives : texts.batchOrDishTakes,
      largestFirst: true,
      className: 'fig',
      by: (u) => u.ml || u.g,
      cell: (u) => much(u, 1),
    },
    {
      id: 'times',
      head: texts.batchesWeek,
      largestFirst: true,
      className: 'fig',
      by: (u) => u.batches,
      cell: (u) => (u.batches === undefined ? <NotKnown /> : bare(u.batches, u.batches % 1 ? 1 : 0)),
    },
    {
      id: 'week',
      head: vessel ? texts.givesWeek : texts.takesWeek,
      largestFirst: true,
      className: texts.figStrong,
      by: (u) => (u.batches === undefined ? undefined : u.batches * (u.ml || u.g)),
      cell: (u) => (u.batches === undefined ? <NotKnown /> : much(u, u.batches)),
    },
  ];
}

function moneyColumns({ money, small }: Formatters): readonly Column<Use>[] {
  return [
    {
      id: 'money',
      head: texts.whichCosts,
      largestFirst: true,
      className: 'fig',
      by: (u) => u.money,
      cell: (u) => small(u.money),
    },
    {
      id: 'weekly',
      head: texts.costsWeek,
      largestFirst: true,
      className: texts.figStrong,
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
      head: texts.potOrDish,
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
        head: texts.dish,
        by: (p) => p.name,
        cell: (p) => (
          <Link prefetch={false} href={`/pour/${p.id}`}>
            {p.name}
          </Link>
        ),
      },
      {
        id: 'money',
        head: texts.oneDish,
        largestFirst: true,
        className: texts.figStrong,
        by: (p) => p.money,
        cell: (p) => small(p.money),
      },
      {
        id: 'share',
        head: texts.dishsCost,
        largestFirst: true,
        className: 'fig',
        by: (p) => p.share,
        cell: (p) => (p.share === null ? '–' : `${bare(p.share * 100, 1)} %`),
      },
    ],
    [small, bare],
  );
}
