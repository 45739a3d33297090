'use client';

import { layerName } from '@/core/layers';
import { useFormatters } from '@/ui/formatters-context';
import type { LivePot } from './use-pot';
import * as texts from './texts';

const inCents = (money: number): number => Math.round(money * 100) / 100;

/** A litre in each of its layers, and with all that are known: never one figure without saying what is in it. */
export function Layers({ pot, layers }: { pot: LivePot; layers: readonly string[] | undefined }) {
  const { money } = useFormatters();
  const perL = pot.run.refused ? null : (pot.money[pot.money.length - 1]?.perL ?? null);
  const ml = pot.run.product?.ml ?? 0;
  if (perL === null || ml === 0) return null;
  const rows = pot.layers
    .map(([name, all]) => ({ name, perL: all === null ? null : inCents((all / ml) * 1000) }))
    .filter((row) => row.name !== 'packaging' || (row.perL ?? 0) > 0)
    // What the house does not look at is left out of the rows, and of their sum.
    .filter((row) => layers === undefined || (layers as readonly string[]).includes(row.name));
  // What is read adds up: the sum is that of the figures shown.
  const all = rows.reduce((sum, row) => sum + (row.perL ?? 0), inCents(perL));
  const missing = rows.some((row) => row.perL === null);
  // No meter has read this pot; labour is as sure as the steps that say theirs.
  const told = pot.steps.every((step) => step.do === 'unread' || step.hands !== undefined);
  const guessed = (name: string): boolean => name === 'energy' || (name === 'hands' && !told);
  return (
    <section aria-label={texts.costPerLitre}>
      <dl className="facts ruled">
        <dt>{texts.ingredients}</dt>
        <dd className="fig">{money(perL)}</dd>
        {rows.map((row) => (
          <div key={row.name} style={{ display: 'contents' }}>
            <dt>{layerName(row.name)}</dt>
            <dd className="fig">
              {row.perL === null ? (
                <span className="quiet">{texts.noPrice}</span>
              ) : (
                <span className={guessed(row.name) ? 'estimate' : ''}>{money(row.perL)}</span>
              )}
            </dd>
          </div>
        ))}
        <dt className="strong">{missing ? texts.perLitreFar : texts.totalPerLitre}</dt>
        <dd className="fig strong">
          <span className={rows.some((row) => guessed(row.name)) ? 'estimate' : ''}>{money(all)}</span>
        </dd>
      </dl>
    </section>
  );
}
