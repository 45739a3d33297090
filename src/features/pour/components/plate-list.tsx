'use client';

import Link from 'next/link';
import { useMemo } from 'react';
import { DataTable, type Column } from '@/ui/data-table';
import { useFigures } from '@/ui/figures';
import { WhyFigure } from '@/ui/why';
import type { PlateSummary } from '../queries';

/** What is told of a plate, and what the list is ordered by. */
function usePlateColumns(): readonly Column<PlateSummary>[] {
  const { money, bare } = useFigures();
  return useMemo(
    (): Column<PlateSummary>[] => [
      {
        id: 'name',
        head: 'Plate',
        by: (p) => p.name,
        cell: (p) => (
          <Link prefetch={false} href={`/pour/${p.id}`}>
            {p.name}
          </Link>
        ),
      },
      {
        id: 'menu',
        head: 'on the menu',
        largestFirst: true,
        by: (p) => (p.menuPrice === undefined ? undefined : Number(p.menuPrice)),
        className: 'fig',
        cell: (p) => (p.menuPrice === undefined ? '–' : money(Number(p.menuPrice))),
      },
      {
        id: 'food',
        head: 'food cost',
        largestFirst: true,
        by: (p) => p.foodCostPct,
        className: 'fig',
        cell: (p) => (p.foodCostPct === null ? '–' : `${bare(p.foodCostPct, 1)} %`),
      },
      {
        id: 'target',
        head: 'target',
        largestFirst: true,
        // How far over it, so that what breaks its target comes first.
        by: (p) => (p.foodCostPct === null || p.target === undefined ? undefined : p.foodCostPct - p.target),
        cell: (p) => <Verdict pct={p.foodCostPct} target={p.target} />,
      },
      {
        id: 'cost',
        head: 'costs',
        largestFirst: true,
        by: (p) => p.cost,
        className: 'fig fs-5 fw-bold',
        cell: (p) => <Cost plate={p} />,
      },
    ],
    [money, bare],
  );
}

/** Every plate: what it costs to put together, and whether it keeps its target. */
export function PlateList({ plates }: { plates: readonly PlateSummary[] }) {
  const columns = usePlateColumns();
  return (
    <>
      <h1>Plates</h1>
      <p className="lead-line">Who lives from the pots, and what each plate leaves of its price.</p>
      {plates.length === 0 ? (
        <p>There are no plates yet: load a kitchen file to begin.</p>
      ) : (
        <DataTable className="list-table tall" columns={columns} rows={plates} rowKey={(p) => p.id} />
      )}
    </>
  );
}

function Cost({ plate: p }: { readonly plate: PlateSummary }) {
  const { money } = useFigures();
  return p.cost === null ? (
    <span className="incomplete" title={p.gaps.join(' ')}>
      incomplete
    </span>
  ) : (
    <WhyFigure of={`plate:${p.id}`} label={`${p.name}, a plate`}>
      {money(p.cost)}
    </WhyFigure>
  );
}

/** Keeps its target or breaks it, in words as well as in colour. */
export function Verdict({ pct, target }: { pct: number | null; target: number | undefined }) {
  const { bare } = useFigures();
  if (target === undefined) return <span className="quiet">none set</span>;
  if (pct === null) return <span className="quiet">{bare(target, 0)} %</span>;
  return pct <= target ? (
    <span className="cheaper">keeps {bare(target, 0)} %</span>
  ) : (
    <span className="dearer">▲ over {bare(target, 0)} %</span>
  );
}
