import { fine, refuse, type Outcome } from '../trouble';
import * as texts from './texts';

/** What becomes of a part: used, of use to another pot, a product of its own, or thrown away. */
export const FATES = ['usable', 'stock trim', 'by-product', 'waste'] as const;
export type Fate = (typeof FATES)[number];

/** One weighed part. Weights in g. */
export interface TestPart {
  readonly fate: Fate;
  readonly g: number;
  /** Which product a by-product is. */
  readonly product?: string | undefined;
}

/** Something weighed in and what came off it. */
export interface TestPass {
  readonly startG: number;
  readonly parts: readonly TestPart[];
}

/** A yield test weighed up. Weights in g, shares of what was weighed in. */
export interface TestWeighed {
  readonly startG: number;
  readonly g: Readonly<Record<Fate, number>>;
  /** Weighed in and not found again: drip, dust, what stuck to the board. Below 0 within the scale's error. */
  readonly unaccountedG: number;
  readonly usable: number;
  readonly stockTrim: number;
  /** Share of each by-product, by its product. */
  readonly byProducts: ReadonlyMap<string, number>;
}

/** Parts may outweigh the start by this share: two readings of a scale. */
const SCALE_ERROR = 0.01;

/**
 * Weighs a test up: shares by fate, and what is unaccounted for. A second pass (mill, press) is more usable out of
 * the first pass's waste: its parts stand beside the first pass's, its input is the waste it takes.
 *
 * @param second what of the first pass's waste went through again, and what came of it
 * @returns trouble `no-weight`, `nothing-weighed`, `negative-part`, `parts-over-start`, `second-pass-over-waste`; the path is that of
 *   the field (`start`, `parts[1]`, `second.start`, …)
 * @example weighTest({startG: 10000, parts: [{fate: 'usable', g: 6200}, {fate: 'stock trim', g: 2800}, {fate: 'waste', g: 900}]})
 *   // usable .62, stock trim .28, 100 g unaccounted for
 */
export function weighTest(first: TestPass, second?: TestPass): Outcome<TestWeighed> {
  if (!(first.startG > 0))
    return refuse('no-weight', 'start', texts.testNeedsWeightWent, {
      value: first.startG,
      limit: 0,
    });
  if (first.parts.length === 0)
    return refuse('nothing-weighed', 'parts', texts.testNeedsLeastOne, {
      value: 0,
      limit: 1,
    });
  const once = sums(first, 'the start', '');
  if (!once.ok) return once;
  const all = { ...once.value };
  const parts = [...first.parts];
  if (second) {
    const waste = once.value.waste;
    if (!(second.startG > 0))
      return refuse('no-weight', 'second.start', texts.secondPassNeedsWeight, {
        value: second.startG,
        limit: 0,
      });
    if (second.startG > waste * (1 + SCALE_ERROR))
      return refuse(
        'second-pass-over-waste',
        'second.start',
        texts.wentThroughAgainBut(kg(second.startG), kg(waste)),
        { value: second.startG, limit: waste },
      );
    const again = sums(second, 'what went through again', 'second.');
    if (!again.ok) return again;
    // What the second pass takes is no longer the first one's waste; what it loses is unaccounted for.
    all.waste = Math.max(0, waste - second.startG);
    for (const fate of FATES) all[fate] += again.value[fate];
    parts.push(...second.parts);
  }
  return fine(weighed(first.startG, all, parts));
}

const kg = (g: number): string => (g < 1000 ? `${Number(g.toFixed(0))} g` : `${(g / 1000).toFixed(2)} kg`);

function sums(pass: TestPass, what: string, at: string): Outcome<Record<Fate, number>> {
  const g: Record<Fate, number> = { usable: 0, 'stock trim': 0, 'by-product': 0, waste: 0 };
  for (const [i, part] of pass.parts.entries()) {
    if (!(part.g >= 0))
      return refuse('negative-part', `${at}parts[${i}]`, texts.partCannot0G(kg(part.g)), {
        value: part.g,
        limit: 0,
      });
    g[part.fate] += part.g;
  }
  const all = FATES.reduce((sum, fate) => sum + g[fate], 0);
  const limit = pass.startG * (1 + SCALE_ERROR);
  return all > limit
    ? refuse(
        'parts-over-start',
        `${at}parts`,
        texts.partsWeighMoreThan(kg(all), ((all / pass.startG - 1) * 100).toFixed(1), what, kg(pass.startG)),
        { value: all, limit },
      )
    : fine(g);
}

function weighed(startG: number, g: Readonly<Record<Fate, number>>, parts: readonly TestPart[]): TestWeighed {
  const all = FATES.reduce((sum, fate) => sum + g[fate], 0);
  // Within the scale's error the parts are taken as the whole, so that no share goes above it.
  const whole = Math.max(startG, all);
  const byProducts = new Map<string, number>();
  for (const part of parts)
    if (part.fate === 'by-product' && part.product !== undefined)
      byProducts.set(part.product, (byProducts.get(part.product) ?? 0) + part.g / whole);
  return {
    startG,
    g,
    unaccountedG: startG - all,
    usable: g.usable / whole,
    stockTrim: g['stock trim'] / whole,
    byProducts,
  };
}
