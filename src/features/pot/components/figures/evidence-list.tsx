'use client';

import Link from 'next/link';
import Table from 'react-bootstrap/Table';
import { useFormatters } from '@/ui/formatters-context';
import { readSupply } from '@/core/supply';
import type { PotSheetData } from '../../queries';
import type { LivePot } from './use-pot';
import * as texts from './texts';

/** The ingredients of a pot with a figure that a scale can check, and how many of them have one that nobody has weighed. */
export function figuresOfPot(data: PotSheetData, pot: LivePot) {
  const used = new Set(
    pot.run.inputs.flatMap(({ supply }) => {
      const from = readSupply(supply);
      return from && 'id' in from ? [from.id] : [];
    }),
  );
  const strains = new Set(pot.steps.flatMap((s) => (s.do === 'strain' ? [s.pressed] : [])));
  const browns = pot.steps.some((s) => s.do === 'brown');
  const rows = data.standsOn.flatMap((s) => {
    if (!used.has(s.id)) return [];
    const kept =
      s.retention && strains.size > 0 ? s.retention[strains.has(false) ? 'drained' : 'pressed'] : undefined;
    const shown = kept && kept.value > 0 ? kept : undefined;
    return s.usablePct < 100 || shown || (browns && s.browned) ? [{ ...s, kept: shown }] : [];
  });
  const guesses = rows.filter((r) => (r.guess && r.usablePct < 100) || r.kept?.guess).length;
  return { rows, guesses, browns };
}

/** The numbers this pot uses that a scale can check: yields, what the strainer keeps, what browning takes. */
export function EvidenceList({ data, pot }: { readonly data: PotSheetData; readonly pot: LivePot }) {
  const { bare } = useFormatters();
  const { rows, guesses, browns } = figuresOfPot(data, pot);
  if (rows.length === 0) return null;
  return (
    <details className="mt-2">
      <summary>{texts.whatRestsIngredientIngredients(rows.length, guesses)}</summary>
      <Table size="sm">
        <tbody>
          {rows.map((r) => (
            <tr key={r.id}>
              <td className="left">
                <Link prefetch={false} href={`/trim/${r.id}`}>
                  {r.name}
                </Link>
                <div className="quiet small-line">
                  {r.guess ? texts.estimate : (r.basis ?? texts.measured)}
                </div>
              </td>
              <td className="fig">
                <span className={r.guess ? 'estimate' : ''}>{bare(r.usablePct, 1)} %</span> {texts.usable}
                {r.kept && (
                  <div className="small-line">
                    {texts.keeps}{' '}
                    <span className={r.kept.guess ? 'estimate' : ''}>{bare(r.kept.value, 0)}</span>{' '}
                    {texts.mlKg}
                  </div>
                )}
                {browns && r.browned && (
                  <div className="small-line">
                    {texts.ownBrowning(bare(r.browned.vapourPct, 1))}
                    {r.browned.fatPct > 0.05 && texts.fat(bare(r.browned.fatPct, 1))}
                  </div>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </details>
  );
}
