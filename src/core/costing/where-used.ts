import { isMade, readSupply, trimOf, usableOf } from '../supply';
import { namedBy } from '../kitchen-state';
import type { KitchenCosting } from './kitchen';
import { inputCosts } from './product-cost';

/** What can be asked for: a thing of the larder, who sells it, what is cooked, and what it is cooked in. */
export const USED = ['ingredient', 'article', 'supplier', 'recipe', 'vessel'] as const;
export type UsedRecord = (typeof USED)[number];

/** A pot or a plate that takes something itself. */
export interface Use {
  readonly is: 'pot' | 'plate';
  readonly id: string;
  readonly name: string;
  /** What one batch, or one plate, takes. */
  readonly g: number;
  /** ml of it at 20 °C where it is something cooked; 0 otherwise. */
  readonly ml: number;
  /** Currency for that; null while a price is not known. */
  readonly money: number | null;
  /** How often a week it is usually cooked; undefined for a plate: how many are sold is not known here. */
  readonly batches: number | undefined;
}

/** A plate it ends up on, whichever ways it takes. */
export interface OnPlate {
  readonly id: string;
  readonly name: string;
  /** Currency of it on one plate, and the share of the plate's cost; null while something is not known. */
  readonly money: number | null;
  readonly share: number | null;
}

export interface WhereUsed {
  readonly name: string;
  readonly direct: readonly Use[];
  readonly plates: readonly OnPlate[];
  /** Of what is asked by who sells it: how much of it is costed from somebody else at present. */
  readonly elsewhere: readonly string[];
}

/**
 * Where something is used: the pots and plates that take it themselves, and every plate that it ends up on, with its money.
 * @returns undefined where there is no such thing
 */
export function whereUsed(costing: KitchenCosting, is: UsedRecord, id: string): WhereUsed | undefined {
  const { state } = costing;
  const lists = { supplier: state.suppliers, vessel: state.vessels, article: state.articles };
  const named = { ...lists, ingredient: state.ingredients, recipe: state.recipes };
  const name = named[is].find((x) => x.id === id)?.name;
  if (name === undefined) return undefined;
  if (is === 'vessel') return { name, direct: cookedIn(costing, id), plates: [], elsewhere: [] };
  const of = is === 'recipe' ? { keys: partsOf(costing, id), elsewhere: [] } : boughtAs(costing, is, id);
  return {
    name,
    direct: takenBy(costing, of.keys),
    plates: onPlates(costing, of.keys),
    elsewhere: of.elsewhere,
  };
}

/** Keys of all that a pot gives. */
const partsOf = ({ graph }: KitchenCosting, id: string): ReadonlySet<string> =>
  new Set(
    graph.nodes.flatMap(({ key }) => {
      const from = isMade(key) ? readSupply(key) : undefined;
      return from?.is === 'product' && from.id === id ? [key] : [];
    }),
  );

/** Keys of the ingredients that something bought stands for, and those that are costed from another article at present. */
function boughtAs(
  { state, supplies }: KitchenCosting,
  is: 'ingredient' | 'article' | 'supplier',
  id: string,
) {
  const keysOf = (ids: Iterable<string>): ReadonlySet<string> =>
    new Set([...ids].flatMap((i) => [usableOf(i), trimOf(i)]));
  if (is === 'ingredient') return { keys: keysOf([id]), elsewhere: [] };
  const own = state.articles.filter((a) => (is === 'article' ? a.id === id : a.supplier === id));
  const ids = new Set(own.map((a) => a.id));
  const costed = new Set<string>();
  const elsewhere = new Set<string>();
  for (const { ingredient } of own) {
    const supply = supplies.get(ingredient);
    const from = supply?.price?.article.id;
    if (from === undefined || ids.has(from)) costed.add(ingredient);
    else elsewhere.add(supply?.ingredient.name ?? '');
  }
  return { keys: keysOf(costed), elsewhere: [...elsewhere].sort() };
}

/** Pots and plates that take some of it themselves. */
function takenBy(costing: KitchenCosting, keys: ReadonlySet<string>): Use[] {
  const uses: Use[] = [];
  // What a last batch left is what the pot gave.
  const wanted = (supply: string): boolean => {
    const from = readSupply(supply);
    return keys.has(supply) || (from?.is === 'last' && keys.has(`product:${from.id}`));
  };
  const ml = (supply: string, g: number): number => {
    const from = readSupply(supply);
    const product =
      from?.is === 'product' || from?.is === 'last' ? costing.recipes.get(from.id)?.run.product : undefined;
    return product && product.g > 0 ? (g * product.ml) / product.g : 0;
  };
  for (const { recipe, run } of costing.recipes.values()) {
    const at = run.inputs.flatMap(({ supply }, i) => (wanted(supply) ? [i] : []));
    if (at.length === 0) continue;
    const costs = inputCosts(costing, recipe.id);
    const taken = at.map((i) => ({ supply: '', g: 0, ...run.inputs[i], money: costs[i] ?? null }));
    uses.push({
      is: 'pot',
      id: recipe.id,
      name: recipe.name,
      batches: recipe.batchesAWeek,
      ...summed(taken, ml),
    });
  }
  for (const [id, { plate, lines }] of costing.plates) {
    const taken = lines.flatMap(({ resolved, times }) => {
      if (!resolved.ok || !wanted(resolved.value.what.supply)) return [];
      const { what } = resolved.value;
      const g = resolved.value.g * times;
      const perG = costing.graph.cost(what.supply);
      return [{ supply: what.supply, g, money: perG === null ? null : perG * g }];
    });
    if (taken.length > 0)
      uses.push({ is: 'plate', id, name: plate.name, batches: undefined, ...summed(taken, ml) });
  }
  return uses;
}

function summed(
  taken: readonly { readonly supply: string; readonly g: number; readonly money: number | null }[],
  ml: (supply: string, g: number) => number,
): Pick<Use, 'g' | 'ml' | 'money'> {
  return {
    g: taken.reduce((sum, t) => sum + t.g, 0),
    ml: taken.reduce((sum, t) => sum + ml(t.supply, t.g), 0),
    money: taken.reduce<number | null>(
      (sum, t) => (sum === null || t.money === null ? null : sum + t.money),
      0,
    ),
  };
}

/** Every plate that some nodes of the graph end up on, with their money on it: one way up through the graph. */
function onPlates({ graph, state }: KitchenCosting, keys: ReadonlySet<string>): OnPlate[] {
  const { nodes } = graph;
  const money = new Float64Array(nodes.length);
  const reached = new Uint8Array(nodes.length);
  for (const [i, { key, from }] of nodes.entries()) {
    if (keys.has(key)) {
      // Not a number while its price is not known: and so for all that it is part of.
      money[i] = graph.cost(key) ?? NaN;
      reached[i] = 1;
      continue;
    }
    let sum = 0;
    for (const [j, weight] of from) {
      if (reached[j] === 0) continue;
      reached[i] = 1;
      sum += weight * (money[j] as number);
    }
    money[i] = sum;
  }
  return state.plates
    .flatMap(({ id, name }): OnPlate[] => {
      const at = graph.placeOf(`plate:${id}`);
      if (reached[at] === 0) return [];
      const is = money[at] as number;
      const cost = graph.cost(`plate:${id}`);
      return [
        {
          id,
          name,
          money: Number.isNaN(is) ? null : is,
          share: Number.isNaN(is) || cost === null || cost <= 0 ? null : is / cost,
        },
      ];
    })
    .sort((a, b) => (b.money ?? 0) - (a.money ?? 0));
}

/** Pots that a vessel holds at any time. */
const cookedIn = (costing: KitchenCosting, id: string): Use[] =>
  [...costing.recipes.values()].flatMap(({ recipe, run }): Use[] =>
    namedBy(recipe).get('vessel')?.has(id)
      ? [
          {
            is: 'pot',
            id: recipe.id,
            name: recipe.name,
            batches: recipe.batchesAWeek,
            g: run.product?.g ?? 0,
            ml: run.product?.ml ?? 0,
            money: null,
          },
        ]
      : [],
  );
