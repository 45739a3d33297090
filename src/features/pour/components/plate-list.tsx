'use client';

import Link from 'next/link';
import { useFigures } from '@/ui/figures';
import { WhyFigure } from '@/ui/why';
import type { PlateSummary } from '../queries';
import { SheetTable } from '@/ui/sheet-table';

/** Every plate: what it costs to put together, and whether it keeps its target. */
export function PlateList({ plates }: { plates: readonly PlateSummary[] }) {
  const { money, bare } = useFigures();
  return (
    <>
      <h1>Plates</h1>
      <p className="lead-line">Who lives from the pots, and what each plate leaves of its price.</p>
      {plates.length === 0 ? (
        <p>There are no plates yet: load a kitchen file to begin.</p>
      ) : (
        <SheetTable className="list-table">
          <thead>
            <tr>
              <th scope="col">Plate</th>
              <th scope="col">on the menu</th>
              <th scope="col">food cost</th>
              <th scope="col">target</th>
              <th scope="col">costs</th>
            </tr>
          </thead>
          <tbody>
            {plates.map((p) => (
              <tr key={p.id}>
                <td>
                  <Link prefetch={false} href={`/pour/${p.id}`}>
                    {p.name}
                  </Link>
                </td>
                <td className="fig">{p.menuPrice === undefined ? '–' : money(Number(p.menuPrice))}</td>
                <td className="fig">{p.foodCostPct === null ? '–' : `${bare(p.foodCostPct, 1)} %`}</td>
                <td>
                  <Verdict pct={p.foodCostPct} target={p.target} />
                </td>
                <td className="fig strong" style={{ fontSize: '1.3rem' }}>
                  {p.cost === null ? (
                    <span className="incomplete" title={p.gaps.join(' ')}>
                      incomplete
                    </span>
                  ) : (
                    <WhyFigure of={`plate:${p.id}`} label={`${p.name}, a plate`}>
                      {money(p.cost)}
                    </WhyFigure>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </SheetTable>
      )}
    </>
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
