import { yieldOn, cookedOn, mannerIn, stuffOf, type WrittenIngredient } from '../kitchen-file';
import type { WrittenTest } from '../bench';
import { daysBetween, olderFirst } from '../day';
import {
  COOKED,
  learn,
  outliers,
  seasonOf,
  typicalSd,
  figureUnit,
  type Cooked,
  type Learned,
  type LearningConstants,
  type Prior,
} from '../learning';
import type { ProcessConstants } from '../pot';
import type { KitchenState } from '../kitchen-state';
import { valuesOf, type Figure } from '../bench';

/** What the shipped larder says of an ingredient, in %. */
export interface ReferenceFigures {
  readonly group: string;
  readonly usable: { readonly pct: number; readonly low: number; readonly high: number };
  readonly cookYieldPct?: number | undefined;
}

export interface TaughtTerms {
  readonly pot: ProcessConstants;
  readonly learning: LearningConstants;
  readonly referenceOf: (ingredient: WrittenIngredient) => ReferenceFigures | undefined;
}

/** One test as it bears on one figure. Shares, or ml per kg. */
export interface TaughtTest {
  readonly test: WrittenTest;
  readonly value: number;
  /** How much it counts: 1 fresh, less as it fades; 0 where it does not. */
  readonly weight: number;
  /** Further from what the others say than chance explains: for a person to look at. */
  readonly outlier: boolean;
  /** Why it does not count. */
  readonly not?: 'left out' | 'another season' | 'another supplier' | undefined;
}

/** What tests have taught of one figure of an ingredient. Shares, or ml per kg. */
export interface Taught {
  readonly figure: Figure;
  readonly prior?: Prior | undefined;
  readonly tests: readonly TaughtTest[];
  readonly learned?: Learned | undefined;
  readonly inForce?: number | undefined;
  readonly measured: boolean;
  /** What is learned is another figure than the one in force: it waits to be accepted. */
  readonly waits: boolean;
}

/** A learned figure that differs by less does not wait: 0.2 points, or 2 ml per kg. */
const WORTH_A_WORD = { '%': 0.002, 'ml/kg': 2 } as const;
const WHOLE_LARDER = '';

/**
 * What own tests have taught of an ingredient: a figure for each thing its tests weigh, with the reference, the tests, and what
 * both say together. Tests of another season or supplier than it learns from, and those a person has left out, stand there but do not count;
 * old ones fade.
 *
 * @param tests of the whole kitchen: how far one test may be off is learned from all of its kind
 */
export function taught(
  state: KitchenState,
  ingredient: WrittenIngredient,
  tests: readonly WrittenTest[],
  day: string,
  terms: TaughtTerms,
): Taught[] {
  const stuff = stuffOf({ ...ingredient, cooked: [] });
  if (!stuff.ok) return [];
  const manner = mannerIn(state);
  const own = tests
    .filter((t) => t.ingredient === ingredient.id && t.state === 'kept' && t.on <= day)
    .sort(olderFirst)
    .map((test) => ({ test, values: valuesOf(test, stuff.value, manner, terms.pot) }));
  const figures = new Set(own.flatMap(({ values }) => [...values.keys()]));
  // A part that no test has found weighs nothing in it: a fish without roe is a test of roe.
  const trimmed = [...figures].filter((f) => f.startsWith('by-product:'));
  const spreads = spreadsOnce(state, tests, terms);
  const group = terms.referenceOf(ingredient)?.group ?? WHOLE_LARDER;
  return [...figures].map((figure): Taught => {
    const bearing = own.flatMap(({ test, values }) => {
      const value = values.get(figure) ?? (test.kind === 'trim' && trimmed.includes(figure) ? 0 : undefined);
      return value === undefined ? [] : [{ test, value, not: whyNot(test, ingredient, day) }];
    });
    const prior = priorOf(ingredient, figure, day, terms);
    const counting = bearing.filter((t) => t.not === undefined);
    const samples = counting.map(({ test, value }) => ({
      value,
      weight: faded(test.on, day, terms.learning),
    }));
    const typical = spreads(figure, group) ?? typicalWithoutTests(prior, samples[0]?.value ?? 0);
    const learned = learn(prior, samples, typical);
    const far = new Set(outliers(prior, samples, typical).map((i) => counting[i]?.test.id));
    const force = inForce(ingredient, figure, day);
    const enough = WORTH_A_WORD[figure === 'retention' || figure === 'retention pressed' ? 'ml/kg' : '%'];
    return {
      figure,
      prior,
      tests: bearing.map(({ test, value, not }) => ({
        test,
        value,
        not,
        weight: not === undefined ? faded(test.on, day, terms.learning) : 0,
        outlier: far.has(test.id),
      })),
      learned,
      inForce: force.value,
      measured: force.measured,
      waits:
        learned !== undefined &&
        (samples.length > 0
          ? !force.measured || Math.abs(learned.mean - (force.value ?? 0)) >= enough
          : force.measured),
    };
  });
}

function whyNot(test: WrittenTest, { learnFrom }: WrittenIngredient, day: string): TaughtTest['not'] {
  if (test.leftOut) return 'left out';
  const season = learnFrom?.season === 'now' ? seasonOf(day) : learnFrom?.season;
  if (season !== undefined && test.season !== season) return 'another season';
  return learnFrom?.supplier !== undefined && test.supplier !== learnFrom.supplier
    ? 'another supplier'
    : undefined;
}

const faded = (on: string, day: string, { fadeHalfLifeDays }: LearningConstants): number =>
  2 ** (-Math.max(0, daysBetween(on, day)) / fadeHalfLifeDays);

/** The spread one test has where no ingredient has been tested twice: as wide as the estimate itself, else a twentieth. */
const typicalWithoutTests = (prior: Prior | undefined, value: number): number =>
  prior && prior.high > prior.low ? (prior.high - prior.low) / 3.29 : Math.abs(value) * 0.05;

type Spreads = (figure: Figure, group: string) => number | undefined;

/** Worked out once for one list of tests in one kitchen: a page asks for every ingredient in turn, and neither ever changes. */
const known = new WeakMap<readonly WrittenTest[], WeakMap<KitchenState, Spreads>>();

function spreadsOnce(state: KitchenState, tests: readonly WrittenTest[], terms: TaughtTerms): Spreads {
  const here = known.get(tests) ?? new WeakMap<KitchenState, Spreads>();
  known.set(tests, here);
  const spreads = here.get(state) ?? spreadsIn(state, tests, terms);
  here.set(state, spreads);
  return spreads;
}

/** How far single tests of a figure lie apart in this kitchen: in a group of the larder, or else anywhere. */
function spreadsIn(state: KitchenState, tests: readonly WrittenTest[], terms: TaughtTerms): Spreads {
  const byId = new Map(state.ingredients.map((i) => [i.id, i]));
  const manner = mannerIn(state);
  const groups = new Map<string, Map<string, number[]>>();
  for (const test of tests) {
    const ingredient = byId.get(test.ingredient);
    const stuff = ingredient && stuffOf({ ...ingredient, cooked: [] });
    if (test.state !== 'kept' || test.leftOut || !ingredient || !stuff?.ok) continue;
    const group = terms.referenceOf(ingredient)?.group ?? WHOLE_LARDER;
    for (const [figure, value] of valuesOf(test, stuff.value, manner, terms.pot))
      for (const place of new Set([`${figure} ${group}`, `${figure} ${WHOLE_LARDER}`])) {
        const found = groups.get(place) ?? new Map<string, number[]>();
        groups.set(place, found);
        // Seasons differ by more than chance does: they are laid apart.
        const key = `${test.ingredient} ${test.season}`;
        found.set(key, [...(found.get(key) ?? []), value]);
      }
  }
  const pooled = (place: string): number | undefined => typicalSd([...(groups.get(place)?.values() ?? [])]);
  return (figure, group) => pooled(`${figure} ${group}`) ?? pooled(`${figure} ${WHOLE_LARDER}`);
}

/** What was believed before any test: the latest estimate, with its range or the usual one. */
function priorOf(
  ingredient: WrittenIngredient,
  figure: Figure,
  day: string,
  { learning, referenceOf }: TaughtTerms,
): Prior | undefined {
  const around = (value: number, low?: number, high?: number): Prior => ({
    value,
    low: low ?? value * (1 - learning.bareRange),
    high: high ?? value * (1 + learning.bareRange),
  });
  if ((COOKED as readonly string[]).includes(figure)) {
    if (figure === 'retention' || figure === 'retention pressed') {
      const ml = figure === 'retention' ? ingredient.retentionMlPerKg : ingredient.retentionPressedMlPerKg;
      return ml > 0 ? around(ml) : undefined;
    }
    if (figure === 'wilted off')
      return ingredient.givesWaterGPerG > 0 ? around(ingredient.givesWaterGPerG) : undefined;
    const cooked = referenceOf(ingredient)?.cookYieldPct;
    // The reference's browning yield has the fat in it, so it is no figure for the vapour alone.
    return figure === 'sweated off' && cooked !== undefined ? around(1 - cooked / 100) : undefined;
  }
  const estimates = ingredient.yields.filter((y) => y.source === 'estimate');
  const estimate = estimates.length > 0 ? yieldOn({ ...ingredient, yields: estimates }, day) : undefined;
  const reference = referenceOf(ingredient)?.usable;
  const usable = estimate
    ? around(
        estimate.usablePct / 100,
        estimate.low === undefined ? undefined : estimate.low / 100,
        estimate.high === undefined ? undefined : estimate.high / 100,
      )
    : reference && around(reference.pct / 100, reference.low / 100, reference.high / 100);
  if (figure === 'usable' || !usable || !estimate) return figure === 'usable' ? usable : undefined;
  const pct =
    figure === 'stock trim'
      ? estimate.stockTrimPct
      : (estimate.byProducts.find((b) => figure === `by-product:${b.ingredient}`)?.pct ?? 0);
  // Nobody has written a range of what comes off: it is known as well as what stays.
  const half = (usable.high - usable.low) / 2;
  return { value: pct / 100, low: Math.max(0, pct / 100 - half), high: pct / 100 + half };
}

function inForce(
  ingredient: WrittenIngredient,
  figure: Figure,
  day: string,
): { value?: number | undefined; measured: boolean } {
  const cooked = COOKED.find((c) => c === figure);
  if (cooked) {
    const accepted = cookedOn(ingredient, cooked, day);
    if (accepted)
      return {
        value: figureUnit(cooked) === '%' ? accepted.value / 100 : accepted.value,
        measured: accepted.source === 'measured',
      };
    return { value: asWritten(ingredient, cooked), measured: false };
  }
  const y = yieldOn(ingredient, day);
  const pct =
    figure === 'usable'
      ? y.usablePct
      : figure === 'stock trim'
        ? y.stockTrimPct
        : (y.byProducts.find((b) => figure === `by-product:${b.ingredient}`)?.pct ?? 0);
  return { value: pct / 100, measured: y.source === 'measured' };
}

/** What an ingredient was written down with, for the cooked figures that the pot uses. */
function asWritten(ingredient: WrittenIngredient, figure: Cooked): number | undefined {
  if (figure === 'retention') return ingredient.retentionMlPerKg;
  if (figure === 'retention pressed') return ingredient.retentionPressedMlPerKg;
  return figure === 'wilted off' ? ingredient.givesWaterGPerG : undefined;
}
