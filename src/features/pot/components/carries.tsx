'use client';

import { useFigures } from '@/ui/figures';
import type { LivePot } from './use-pot';

/** What every dish that lives from this pot takes over from it: salt, body, fat, alcohol and allergens. */
export function Carries({ pot }: { pot: LivePot }) {
  const { bare } = useFigures();
  const last = pot.run.rows[pot.run.rows.length - 1];
  if (!last || last.ml < 0.5) return null;
  const shares: readonly (readonly [string, number])[] = [
    ['salt', last.saltPct],
    ['gelatin', last.gelatinPct],
    ['fat', last.fatPct],
    ['alcohol left', last.ethanolPct],
  ];
  return (
    <section className="carries" aria-label="What it carries into every dish">
      <dl>
        {shares.map(([name, pct]) => (
          <div key={name} style={{ display: 'contents' }}>
            <dt>{name}</dt>
            <dd className="fig">{bare(pct, pct < 0.1 ? 2 : 1)} %</dd>
          </div>
        ))}
        {last.bindingGPerL > 0.05 && (
          <>
            <dt>binds like flour</dt>
            <dd className="fig">{bare(last.bindingGPerL, 0)} g/l</dd>
          </>
        )}
      </dl>
      <p className="allergens">
        {last.allergens.length === 0 ? (
          <span className="quiet">
            No allergens come in with these ingredients as they are written down; the label decides.
          </span>
        ) : (
          <>
            Carries <b>{last.allergens.join(', ')}</b> into every dish.{' '}
            <span className="quiet">The label decides.</span>
          </>
        )}
      </p>
    </section>
  );
}
