import type { KitchenCosting } from '../costing';
import type { WrittenAsks } from '../kitchen-file';
import type { KitchenState } from '../kitchen-state';
import type { ProcessConstants } from '../pot';
import { fine, refuse, type Outcome } from '../trouble';
import { runToEnd, type Work } from '../work';
import { snapshotOf, type Snapshot, type Way } from './snapshot';
import { baseWays, type BaseWay } from './base';
import type { WayFigures } from './way-figures';
import { sheetOf, type SheetContext, type SheetWay } from './sheet-ways';
import * as simple from './simple';
import { thicken } from './thicken';
import * as texts from './texts';

/** A question made into ways, and those taken out of their kitchen. */
export interface QuestionWays {
  readonly ways: readonly Way[];
  readonly notes: readonly (string | undefined)[];
  /** Of a question about bases: what became of each. */
  readonly bases?: readonly BaseWay['base'][] | undefined;
  readonly apart: Snapshot;
}

/** Packs are compared at what each costs now, whatever an average over them all would be. */
const LATEST = { by: 'latest' } as const;

/** What of a kitchen is otherwise in each way, where ways differ in what things cost: it is then costed once for each. */
export function kitchenVariants(asks: WrittenAsks): readonly ((state: KitchenState) => KitchenState)[] {
  if (asks.of === 'article')
    return asks.articles.map((id) => (state) => ({
      ...state,
      ingredients: state.ingredients.map((i) =>
        i.id === asks.ingredient ? { ...i, boughtAs: id, priceBasis: LATEST } : i,
      ),
    }));
  if (asks.of === 'school')
    return asks.schools.map((school) => (state) => ({
      ...state,
      kitchen: { ...state.kitchen, trim: { ...state.kitchen.trim, school } },
    }));
  return [];
}

const SCHOOLS = {
  free: 'trim is free',
  value: 'trim at a set value',
  weight: 'trim pays by weight',
} as const;

/** Packs of one thing compared; one without a price would be costed at another’s, so that is said instead. */
function packs(
  on: SheetContext,
  others: readonly KitchenCosting[],
  { articles, ingredient }: Extract<WrittenAsks, { of: 'article' }>,
): Outcome<readonly SheetWay[]> {
  const names = articles.map((id) => on.costing.state.articles.find((a) => a.id === id)?.name);
  const bare = articles.findIndex((id, i) => others[i]?.supplies.get(ingredient)?.price?.article.id !== id);
  if (bare < 0)
    return simple.priced(
      on,
      names.map((name) => name ?? ''),
    );
  const name = names[bare];
  return name === undefined
    ? refuse('gone', '', texts.oneThesePacksArchived)
    : refuse('no-price', '', texts.noPriceYetNothing(name));
}

function* waysOn(
  on: SheetContext,
  others: readonly KitchenCosting[],
  asks: WrittenAsks,
): Work<Outcome<readonly (SheetWay | BaseWay)[]>> {
  switch (asks.of) {
    case 'base':
      return yield* baseWays(on, asks);
    case 'thicken':
      return thicken(on, asks);
    case 'press':
      return simple.press(on);
    case 'second pass':
      return simple.secondPass(on);
    case 'second wash':
      return simple.secondWash(on);
    case 'salt':
      return simple.salt(on);
    case 'lid':
      return simple.lid(on);
    case 'pot':
      return simple.pot(on, asks);
    case 'instead':
      return simple.instead(on, asks);
    case 'sheets':
      return simple.sheets(on, asks);
    case 'versions':
      return simple.versions(on, asks);
    case 'article':
      return packs(on, others, asks);
    case 'school':
      return simple.priced(
        on,
        asks.schools.map((s) => SCHOOLS[s]),
      );
  }
}

/** How much thinner or saltier than what is asked for counts as that: nobody tastes less. */
const NEARLY = 0.03;

/** Whether a way is an answer: what is too thin or too salty is compared with the others, but is not what was asked for. */
export const meetsTarget = (asks: WrittenAsks, f: WayFigures): boolean =>
  f.trouble === undefined &&
  (asks.of !== 'base' ||
    (f.body >= asks.body * (1 - NEARLY) && f.saltPct <= asks.saltPct * (1 + NEARLY) + 0.005));

/**
 * Makes a question into the ways it asks about.
 * @param others the kitchen costed as `kitchenVariants` says, in that order
 * @returns trouble where what it names has been put away, or its line is another by now
 */
export function* waysInSlices(
  costing: KitchenCosting,
  others: readonly KitchenCosting[],
  asks: WrittenAsks,
  shipped: ProcessConstants,
): Work<Outcome<QuestionWays>> {
  const on = sheetOf(costing, asks, shipped);
  if (!on.ok) return on;
  const made = yield* waysOn(on.value, others, asks);
  if (!made.ok) return made;
  const ways = made.value.map((w): Way => {
    const { recipe } = w;
    const also = w.also ? [w.also] : [];
    const asItStands = costing.state.recipes.includes(recipe);
    return {
      name: w.name,
      recipes: asItStands ? also : [...also, recipe],
      product: recipe.id,
      prices: w.prices ?? 0,
      benchHours: w.benchHours,
      batches: w.batches,
    };
  });
  return fine({
    ways,
    notes: made.value.map((w) => w.note),
    bases: made.value.every((w): w is BaseWay => 'base' in w) ? made.value.map((w) => w.base) : undefined,
    apart: snapshotOf([costing, ...others], ways),
  });
}

/** The same at once. */
export const waysOf = (...of: Parameters<typeof waysInSlices>): Outcome<QuestionWays> =>
  runToEnd(waysInSlices(...of));
