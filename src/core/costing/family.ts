import { isInKilos, type Product } from '../pot';
import { jointOf } from '../shelf';
import { productOf, readSupply, type Supplied } from '../supply';
import type { KitchenCosting } from './kitchen';
import { costOfPlate } from './plate-cost';
import { costOfProduct, inputCosts } from './product-cost';

/** A member of the family: a pot, a plate, or something that comes off at the bench and goes into a pot. */
export interface Relative {
  /** `product:ID`, `plate:ID`, or `off:ID` of the ingredient it comes off or is. */
  readonly id: string;
  readonly is: 'pot' | 'plate' | 'bench';
  readonly name: string;
  /** ml a batch gives; 0 for a plate and for what comes off. */
  readonly ml: number;
  /** How often a week a pot is usually cooked; 1 for what is no pot. */
  readonly batches: number;
  /** Currency a litre of a pot, a kilo of what comes off, one plate; null while it is not known. */
  readonly cost: number | null;
  /** Whether a kilo of it is what is thought of. */
  readonly inKilos: boolean;
  /** Of a plate with a target: whether it is over it; undefined where that is not known. */
  readonly over?: boolean | undefined;
  readonly foodCostPct?: number | null | undefined;
}

/** What one takes of another, for one batch or one plate. */
export interface Tie {
  readonly from: string;
  readonly to: string;
  readonly g: number;
  /** ml at 20 °C where it is something from a pot. */
  readonly ml: number;
  /** Share of the money that goes into `to`; null while that is not known. */
  readonly share: number | null;
  /** Whether it is what the last batch left: no edge of the family, and drawn apart. */
  readonly last: boolean;
}

/** Mothers, daughters and plates, and what they take of each other. */
export interface Family {
  readonly relatives: readonly Relative[];
  readonly ties: readonly Tie[];
}

const made = new WeakMap<KitchenCosting, Family>();

/** The family of a costed kitchen, worked out once for each costing: one look at every input. */
export function familyOf(costing: KitchenCosting): Family {
  const known = made.get(costing);
  if (known) return known;
  const family = worked(costing);
  made.set(costing, family);
  return family;
}

function worked(costing: KitchenCosting): Family {
  const ties = [...potTies(costing), ...plateTies(costing)];
  const taken = new Set(ties.map((t) => t.from));
  const relatives = [...benchOf(costing, taken), ...potsOf(costing), ...platesOf(costing)];
  return { relatives, ties };
}

function potsOf(costing: KitchenCosting): Relative[] {
  return [...costing.recipes.values()].map(({ recipe, run }) => {
    const { ml, perL, perKg } = costOfProduct(costing, recipe.id);
    const inKilos = isInKilos(run.rows[run.rows.length - 1]);
    return {
      id: productOf(recipe.id),
      is: 'pot',
      name: recipe.name,
      ml,
      batches: recipe.batchesAWeek,
      cost: inKilos ? perKg : perL,
      inKilos,
    };
  });
}

function platesOf(costing: KitchenCosting): Relative[] {
  return [...costing.plates.values()].map(({ plate: { id, name, targetFoodCostPct: target } }) => {
    const { cost, foodCostPct } = costOfPlate(costing, id);
    const over = target === undefined || foodCostPct === null ? undefined : foodCostPct > target;
    return {
      id: `plate:${id}`,
      is: 'plate',
      name,
      ml: 0,
      batches: 1,
      cost,
      inKilos: false,
      over,
      foodCostPct,
    };
  });
}

/** What comes off at the bench and is taken by somebody. */
function benchOf({ supplies, graph }: KitchenCosting, taken: ReadonlySet<string>): Relative[] {
  return [...supplies.values()].flatMap(({ ingredient: { id, name }, comesOff }): Relative[] => {
    if (!taken.has(`off:${id}`)) return [];
    const perG = graph.cost(comesOff ? `usable:${id}` : `trim:${id}`);
    const called = comesOff ? name : `${name}, stock trim`;
    const cost = perG === null ? null : perG * 1000;
    return [{ id: `off:${id}`, is: 'bench', name: called, ml: 0, batches: 1, cost, inKilos: true }];
  });
}

/** So much that is taken, and what it costs. */
interface Taken {
  readonly supply: string;
  readonly g: number;
  readonly money: number | null;
}

function* potTies(costing: KitchenCosting): Generator<Tie> {
  for (const { recipe, run } of costing.recipes.values()) {
    const costs = inputCosts(costing, recipe.id);
    const taken = run.inputs.map(({ supply, g }, i): Taken => ({ supply, g, money: costs[i] ?? null }));
    yield* tiesTo(productOf(recipe.id), taken, costing);
  }
}

function* plateTies(costing: KitchenCosting): Generator<Tie> {
  for (const [id, { lines }] of costing.plates) {
    const taken = lines.flatMap(({ resolved, times, written }): Taken[] => {
      if (!resolved.ok || written.packaging) return [];
      const { what } = resolved.value;
      const g = resolved.value.g * times;
      const perG = costing.graph.cost(what.supply);
      return [{ supply: what.supply, g, money: perG === null ? null : perG * g }];
    });
    yield* tiesTo(`plate:${id}`, taken, costing);
  }
}

/** What one takes of its kin, each of them once. */
function tiesTo(to: string, taken: readonly Taken[], costing: KitchenCosting): Tie[] {
  const all = taken.reduce<number | null>(
    (sum, { money }) => (sum === null || money === null ? null : sum + money),
    0,
  );
  const sums = new Map<string, { from: string; g: number; ml: number; money: number; last: boolean }>();
  for (const { supply, g, money } of taken) {
    const kin = kinOfSupply(supply, costing);
    if (!kin || g <= 0) continue;
    const key = `${kin.from} ${kin.last}`;
    const was = sums.get(key) ?? { from: kin.from, g: 0, ml: 0, money: 0, last: kin.last };
    was.g += g;
    was.ml += g * kin.mlPerG;
    was.money += money ?? 0;
    sums.set(key, was);
  }
  return [...sums.values()].map(({ money, ...tie }) => ({
    ...tie,
    to,
    share: all === null || all <= 0 ? null : money / all,
  }));
}

/** Who a supply comes from, where it is kin: a pot, or the bench. */
function kinOfSupply(supply: string, { recipes, supplies }: KitchenCosting) {
  const from = readSupply(supply);
  if (!from || from.is === 'free') return undefined;
  if (from.is === 'product' || from.is === 'last') {
    const product = productFrom(from, recipes);
    const mlPerG = product && product.g > 0 ? product.ml / product.g : 1;
    return { from: productOf(from.id), last: from.is === 'last', mlPerG };
  }
  return from.is === 'trim' || supplies.get(from.id)?.comesOff
    ? { from: `off:${from.id}`, last: false, mlPerG: 0 }
    : undefined;
}

function productFrom(
  { id, part }: Extract<Supplied, { is: 'product' | 'last' }>,
  recipes: KitchenCosting['recipes'],
): Product | undefined {
  const run = recipes.get(id)?.run;
  return part === undefined ? run?.product : jointOf(run, part);
}

/** One of a family with all it is made from and all that is made from it; what a last batch left counts on either side. */
export function kinOf(family: Family, id: string): Family {
  const [up, down] = [tiesBy(family, 'to'), tiesBy(family, 'from')];
  const reached = new Set<string>([id]);
  const walk = (by: ReadonlyMap<string, readonly Tie[]>, next: 'from' | 'to'): void => {
    const seen = new Set<string>([id]);
    const queue = [id];
    for (let at = queue.pop(); at !== undefined; at = queue.pop())
      for (const tie of by.get(at) ?? []) {
        if (seen.has(tie[next])) continue;
        seen.add(tie[next]);
        reached.add(tie[next]);
        queue.push(tie[next]);
      }
  };
  walk(up, 'from');
  walk(down, 'to');
  return {
    relatives: family.relatives.filter((r) => reached.has(r.id)),
    ties: family.ties.filter((t) => reached.has(t.from) && reached.has(t.to)),
  };
}

/** Ties by one of their ends. */
export function tiesBy(
  { ties }: Pick<Family, 'ties'>,
  end: 'from' | 'to',
): ReadonlyMap<string, readonly Tie[]> {
  const by = new Map<string, Tie[]>();
  for (const tie of ties) {
    const known = by.get(tie[end]);
    if (known) known.push(tie);
    else by.set(tie[end], [tie]);
  }
  return by;
}

/**
 * What share of the cost of each of its daughters, and theirs, comes from one member, whichever ways it takes: products of shares
 * summed over the ways. What a last batch left is not followed. Null where a price on the way is not known.
 */
export function sharesOf(family: Family, id: string): ReadonlyMap<string, number | null> {
  const up = tiesBy({ ties: family.ties.filter((t) => !t.last) }, 'to');
  const shares = new Map<string, number | null>([[id, 1]]);
  // A pot's mothers stand before it, so each is worked out once.
  const shareOf = (of: string): number | null => {
    const known = shares.get(of);
    if (known !== undefined) return known;
    let sum: number | null = 0;
    for (const { from, share } of up.get(of) ?? []) {
      const before = shareOf(from);
      if (before === 0) continue;
      sum = sum === null || before === null || share === null ? null : sum + before * share;
    }
    shares.set(of, sum);
    return sum;
  };
  for (const { id: of } of family.relatives) shareOf(of);
  return new Map([...shares].filter(([of, share]) => of !== id && share !== 0));
}

/** Where a litre of a pot goes in a usual week: to each pot that takes of it, as a share of what its own batches give. */
export function goesTo(
  family: Family,
  id: string,
): { readonly to: string; readonly share: number; readonly mlAWeek: number }[] {
  const by = new Map(family.relatives.map((r) => [r.id, r]));
  const own = by.get(id);
  const gives = (own?.ml ?? 0) * (own?.batches ?? 0);
  return family.ties
    .filter((t) => t.from === id && !t.last && by.get(t.to)?.is === 'pot')
    .map((t) => {
      const mlAWeek = t.ml * (by.get(t.to)?.batches ?? 0);
      return { to: t.to, mlAWeek, share: gives > 0 ? mlAWeek / gives : 0 };
    })
    .sort((a, b) => b.share - a.share);
}
