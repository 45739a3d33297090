import { costingKitchen, costOfPlate, type KitchenCosting, type Workings } from '../costing';
import type { WrittenIngredient } from '../kitchen-file';
import type { History, KitchenState } from '../kitchen-state';
import type { ProcessConstants } from '../pot';
import { readSupply, trimOf, usableOf } from '../supply';
import type { Work } from '../work';

/**
 * What may move the cost of a plate between two days, in the order in which it is let happen: what was paid, what tests found,
 * what pots do, what stands on plates, and how the kitchen calculates (who pays for trim, what prices are taken).
 */
export const CAUSES = ['prices', 'tests', 'pots', 'plates', 'reckoning'] as const;
export type Cause = (typeof CAUSES)[number];

/** What stood in a kitchen on a day, and what was known of prices. */
export interface KitchenOnDay {
  readonly day: string;
  readonly recipes: KitchenState['recipes'];
  readonly plates: KitchenState['plates'];
  readonly trim: KitchenState['kitchen']['trim'];
  readonly priceBasis: KitchenState['kitchen']['priceBasis'];
  readonly history: History;
  /** Leaves out tests recorded after this instant: as it was known then. */
  readonly knownBy?: string | undefined;
}

/** An ingredient as tests had it by a day: later ones are left out. */
function testedBy(i: WrittenIngredient, { day, knownBy }: KitchenOnDay): WrittenIngredient {
  const known = <T extends { readonly recordedAt: string }>(list: readonly T[]): readonly T[] =>
    list.filter((x) => knownBy === undefined || x.recordedAt <= knownBy);
  const past = (x: { readonly on: string }): boolean => x.on <= day;
  const yields = known(i.yields).filter(past);
  const cooked = known(i.cooked).filter(past);
  if (yields.length === i.yields.length && cooked.length === i.cooked.length) return i;
  // Before its first estimate it still needs one: the earliest that was known, or else the earliest.
  const earliest = known(i.yields)[0] ?? i.yields[0];
  return { ...i, cooked, yields: yields.length > 0 || !earliest ? yields : [earliest] };
}

/**
 * A kitchen costed six times: as it stood on the one day, then with one kind of what happened after the other, and so as it
 * stands on the other day. What else has changed (a vessel, what an ingredient is made of) is as it is now in all of them.
 */
export function* costedBetween(
  state: KitchenState,
  from: KitchenOnDay,
  to: KitchenOnDay,
  constants: ProcessConstants,
  begun?: Workings,
): Work<KitchenCosting[]> {
  const tests = (at: KitchenOnDay) => state.ingredients.map((i) => testedBy(i, at));
  const testsTo = tests(to);
  const first = tests(from);
  // The very same list where no test was made in between, so that nobody works it out again.
  const testsFrom = first.every((i, n) => i === testsTo[n]) ? testsTo : first;
  const costings: KitchenCosting[] = [];
  let at: readonly unknown[] = [];
  for (let step = 0; step <= CAUSES.length; step += 1) {
    const done = (what: Cause): boolean => CAUSES.indexOf(what) < step;
    const of = (what: Cause): KitchenOnDay => (done(what) ? to : from);
    const { trim, priceBasis } = of('reckoning');
    const then: KitchenState = {
      ...state,
      kitchen: { ...state.kitchen, trim, priceBasis },
      ingredients: done('tests') ? testsTo : testsFrom,
      recipes: of('pots').recipes,
      plates: of('plates').plates,
    };
    const { day, history } = of('prices');
    const last = costings.at(-1);
    const now = [
      day,
      history,
      then.ingredients,
      ...then.recipes,
      ...then.plates,
      JSON.stringify([trim, priceBasis]),
    ];
    // Of this kind nothing happened: it stands as it did.
    const same = last !== undefined && now.length === at.length && now.every((x, n) => x === at[n]);
    at = now;
    costings.push(
      same ? last : yield* costingKitchen(then, day, constants, history, last?.workings ?? begun),
    );
  }
  return costings;
}

/** What moved a plate between two days: its cost on both, and what each kind of what happened did, adding up to the difference. */
export interface PlateChange {
  readonly id: string;
  readonly name: string;
  readonly was: number | null;
  readonly is: number | null;
  /** By the kinds of `HAPPENED`; null where it was not known on one of the days. */
  readonly by: Readonly<Record<Cause, number>> | null;
  /** Its price net of tax on both days. */
  readonly netWas: number | null;
  readonly netIs: number | null;
  readonly target: number | undefined;
}

/** What moved every plate that stands on the later day. */
export function plateChanges(costings: readonly KitchenCosting[]): PlateChange[] {
  const [first, last] = [costings[0], costings.at(-1)];
  if (!first || !last) return [];
  return [...last.plates.values()].map(({ plate: { id, name, targetFoodCostPct: target } }) => {
    const costs = costings.map((c) => (c.plates.has(id) ? costOfPlate(c, id).cost : null));
    const [was, is] = [costs[0] ?? null, costs.at(-1) ?? null];
    return {
      id,
      name,
      was,
      is,
      by: was === null || is === null ? null : stepsOf(costs),
      netWas: first.plates.has(id) ? costOfPlate(first, id).netPrice : null,
      netIs: costOfPlate(last, id).netPrice,
      target,
    };
  });
}

/** What each step did. Where a plate is not known half way (a pot is there and its plate not yet), the next step tells for both. */
function stepsOf(costs: readonly (number | null)[]): Record<Cause, number> {
  let last = costs[0] ?? 0;
  const by = CAUSES.map((what, i): [Cause, number] => {
    const now = costs[i + 1] ?? last;
    const step = now - last;
    last = now;
    return [what, step];
  });
  return Object.fromEntries(by) as Record<Cause, number>;
}

/** What one ingredient's price did to a plate. */
export interface PriceEffect {
  readonly ingredient: string;
  readonly name: string;
  /** Currency a kilo as bought. */
  readonly was: number | undefined;
  readonly is: number | undefined;
  readonly by: number;
}

/** Which prices moved a plate, the most first: they add up to what prices did to it. */
export function priceEffects([before, after]: readonly KitchenCosting[], plateId: string): PriceEffect[] {
  const key = `plate:${plateId}`;
  if (!before || !after || !before.graph.has(key)) return [];
  const graph = before.graph.fork();
  const found: PriceEffect[] = [];
  let last = graph.cost(key);
  for (const [id, supply] of after.supplies) {
    const was = before.supplies.get(id);
    if (!was || was === supply) continue;
    const keys = [usableOf(id), trimOf(id)].filter((k) => graph.has(k) && after.graph.has(k));
    graph.set(keys.map((k) => [k, after.graph.cost(k)]));
    const now = graph.cost(key);
    if (now !== null && last !== null && Math.abs(now - last) > 1e-9)
      found.push({
        ingredient: id,
        name: supply.ingredient.name,
        was: was.price?.perKg.toNumber(),
        is: supply.price?.perKg.toNumber(),
        by: now - last,
      });
    last = now ?? last;
  }
  return found.sort((a, b) => Math.abs(b.by) - Math.abs(a.by));
}

/** Ingredients and pots that a plate is made from, whichever way, in the kitchen costed. */
export function madeFrom(costing: KitchenCosting, plateId: string): ReadonlySet<string> {
  const { graph } = costing;
  const found = new Set<string>();
  const seen = new Set<number>();
  const queue = graph.has(`plate:${plateId}`) ? [graph.placeOf(`plate:${plateId}`)] : [];
  for (let at = queue.pop(); at !== undefined; at = queue.pop()) {
    if (seen.has(at)) continue;
    seen.add(at);
    const node = graph.nodes[at];
    if (!node) continue;
    const of = readSupply(node.key);
    if (of && of.is !== 'free') found.add(of.id);
    for (const [from] of node.from) queue.push(from);
    if (node.follows !== undefined) queue.push(graph.placeOf(node.follows));
  }
  return found;
}
