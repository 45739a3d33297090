import type { Stuff } from '../larder';
import type { WrittenTest } from './schema';
import { drainedIn, isDrained, weighTestIn } from './tests';
import type { Cooked } from '../learning';
import { retentionFrom, type ProcessConstants } from '../pot';
import type { Manner } from '../quantity';

/** What a test gives a figure of: the usable share, the stock trim, a by-product by its id, or a cooked figure. */
export type Figure = 'usable' | 'stock trim' | `by-product:${string}` | Cooked;

/**
 * The figures one test gives: shares of what was weighed in, retention in ml per kg raw. Empty where it cannot be read,
 * as one still being weighed.
 */
export function valuesOf(
  test: WrittenTest,
  stuff: Stuff,
  manner: Manner,
  constants: ProcessConstants,
): ReadonlyMap<Figure, number> {
  if (isDrained(test.kind)) {
    const read = drainedIn(test, manner);
    if (!read.ok) return new Map();
    const { rawG, intoWaterG, hours, drainedG } = read.value;
    const ml = retentionFrom(stuff, rawG, intoWaterG, hours, drainedG, constants);
    return new Map([[test.kind === 'press' ? 'retention pressed' : 'retention', Math.max(0, ml)]]);
  }
  const read = weighTestIn(test, manner);
  if (!read.ok) return new Map();
  const { usable, stockTrim, byProducts, startG, unaccountedG } = read.value;
  switch (test.kind) {
    case 'brown':
      // What was poured off was weighed; what is not found again went up as vapour.
      return new Map([
        ['browned off', Math.max(0, unaccountedG) / startG],
        ['fat run off', Math.max(0, 1 - usable - Math.max(0, unaccountedG) / startG)],
      ]);
    case 'sweat':
      return new Map([['sweated off', 1 - usable]]);
    case 'wilt':
      return new Map([['wilted off', 1 - usable]]);
    case 'clarify':
      return new Map([['clear fat', usable]]);
    default:
      return new Map<Figure, number>([
        ['usable', usable],
        ['stock trim', stockTrim],
        ...[...byProducts].map(([id, share]): [Figure, number] => [`by-product:${id}`, share]),
      ]);
  }
}
