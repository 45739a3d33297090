'use client';

import type { LiveTest } from '@/core/bench';
import type { Fate } from '@/core/learning';
import { useFormatters } from '@/ui/formatters-context';
import { FATE_WORDS, fateClass } from '../../words';
import type { TestTyped } from '../wire';
import * as texts from './texts';

interface Segment {
  readonly key: string;
  readonly words: string;
  readonly g: number;
  readonly className: string;
}

/** Parts of a test as lengths of a bar: what a second pass won back is taken out of the waste it came from. */
function segmentsOf(
  typed: TestTyped,
  live: LiveTest,
  products: readonly { readonly id: string; readonly name: string }[],
): Segment[] {
  const nameOf = (p: TestTyped['parts'][number]): string =>
    p.name || products.find((x) => x.id === p.product)?.name || FATE_WORDS[p.fate];
  const seconds = (typed.second?.parts ?? []).map((p, i) => ({ ...p, g: live.secondParts[i]?.g ?? 0 }));
  const again = Math.min(live.secondStart.g ?? 0, sumOf(typed, live, 'waste'));
  let left = again;
  const first = typed.parts.map((p, i) => {
    const g = live.parts[i]?.g ?? 0;
    const gone = p.fate === 'waste' ? Math.min(left, g) : 0;
    left -= gone;
    return { key: `1 ${i}`, words: nameOf(p), g: g - gone, className: fateClass(p.fate) };
  });
  const second = seconds.map((p, i) => ({
    key: `2 ${i}`,
    words: nameOf(p),
    g: p.g,
    className: texts.fateSecond(fateClass(p.fate)),
  }));
  const lostAgain = again - seconds.reduce((sum, p) => sum + p.g, 0);
  return [
    ...first,
    ...second,
    ...(lostAgain > 0
      ? [{ key: 'lost', words: texts.lostSecondPass, g: lostAgain, className: 'fate-lost' }]
      : []),
  ].filter((s) => s.g > 0);
}

const sumOf = (typed: TestTyped, live: LiveTest, fate: Fate): number =>
  typed.parts.reduce((sum, p, i) => sum + (p.fate === fate ? (live.parts[i]?.g ?? 0) : 0), 0);

/** What went in as a bar that fills with what came off; the open end is unaccounted for. */
export function WeighBar({
  typed,
  live,
  products,
}: {
  readonly typed: TestTyped;
  readonly live: LiveTest;
  readonly products: readonly { readonly id: string; readonly name: string }[];
}) {
  const { kilos, bare } = useFormatters();
  const start = live.start.g ?? 0;
  const segments = segmentsOf(typed, live, products);
  const found = segments.reduce((sum, s) => sum + s.g, 0);
  const whole = Math.max(start, found);
  const open = start - found;
  const pct = (g: number): string => `${bare((g / whole) * 100, 1)} %`;
  if (!(whole > 0))
    return <div className="weigh-bar align-items-center px-3 quiet">{texts.enterStartWeightFirst}</div>;
  const words = [
    ...segments.map((s) => `${s.words} ${kilos(s.g)}`),
    open > 0 ? texts.unaccounted(kilos(open)) : '',
  ].filter(Boolean);
  return (
    <div>
      <div className="weigh-bar" role="img" aria-label={texts.wentKilosWords(kilos(start), words.join(', '))}>
        {segments.map((s) => (
          <div
            key={s.key}
            className={s.className}
            style={{ flexGrow: s.g }}
            title={`${s.words}, ${kilos(s.g)}`}
          >
            {s.g / whole > 0.07 && (
              <span>
                <b>{pct(s.g)}</b>
                {s.g / whole > 0.15 && s.words}
              </span>
            )}
          </div>
        ))}
        {open > 0 && <div className="weigh-open" style={{ flexGrow: open }} />}
      </div>
      <p className={`small-line text-end mt-1${open < -start * 0.01 ? ' trouble' : ''}`} role="status">
        {start <= 0
          ? texts.noStartWeightYetHeading
          : open >= 0
            ? texts.unaccountedWhatWent(kilos(open), pct(open))
            : texts.moreThanWent(kilos(-open))}
      </p>
    </div>
  );
}
