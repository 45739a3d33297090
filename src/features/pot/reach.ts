import 'server-only';
import type { KitchenCosting } from '@/core/costing';
import { loopSentence, partsOf, usesOf, type WrittenRecipe } from '@/core/kitchen-file';
import type { OpenPack } from '@/core/larder';
import { energyKey, LABOUR, type Layer } from '@/core/layers';
import { FUELS, type Product } from '@/core/pot';
import { priceBeforeTrim, isGuess, evidenceFor, type Evidence } from '@/core/prices';
import { jointOf } from '@/core/shelf';
import { productOf, trimOf, usableOf } from '@/core/supply';
import { idsOfStep, ofStep, type OnShelf } from '@/core/verbs';

export type ExtraLayer = Exclude<Layer, 'ingredients'>;

/** Things a sheet names, by id. */
export interface NamedIds {
  readonly ingredients: readonly string[];
  readonly recipes: readonly string[];
}

/** What a sheet uses of its things: enough to run and price its pot, of those things alone. */
export interface Reach {
  /** What is opened when some of an ingredient is needed, by its id. */
  readonly opens: readonly (readonly [string, OpenPack])[];
  readonly stuffs: readonly (readonly [string, OnShelf])[];
  readonly products: readonly {
    readonly id: string;
    readonly name: string;
    readonly product?: Product | undefined;
    /** What its last batch left: there is one however the recipes loop. */
    readonly last?: Product | undefined;
    /** What parts from it, by name. */
    readonly parts: readonly { readonly part: string; readonly product: Product }[];
    readonly trouble?: string | undefined;
    readonly loops: boolean;
  }[];
  /** Currency per gram of every supply; null where it is not known. */
  readonly prices: readonly (readonly [string, number | null])[];
  /** What the layers beside the ingredients cost: currency per gram, kWh or hour of each supply, null where it is not known. */
  readonly layers: Readonly<Record<ExtraLayer, readonly (readonly [string, number | null])[]>>;
  /** As-purchased currency per gram, for what was paid for but cut off. */
  readonly asPurchased: readonly (readonly [string, number])[];
  readonly estimates: readonly string[];
  /** Of every ingredient: the numbers it uses, and whether they were measured. */
  readonly standsOn: readonly Evidence[];
}

/** What the lines of a recipe name; the recipe itself too, for its own last batch. */
export function namedIn(recipe: WrittenRecipe): NamedIds {
  const [ingredients, recipes] = [new Set<string>(), new Set([recipe.id])];
  for (const step of recipe.steps) {
    // What stays, goes or is browned by name may stand inside something else that goes in.
    idsOfStep(step, (kind, id) => {
      if (kind === 'ingredient') ingredients.add(id);
      return id;
    });
    const of = ofStep(step);
    if (!of) continue;
    if ('ingredient' in of) ingredients.add(of.ingredient);
    else if ('stockTrimOf' in of) ingredients.add(of.stockTrimOf);
    else recipes.add('product' in of ? of.product : of.lastBatchOf);
  }
  return { ingredients: [...ingredients], recipes: [...recipes] };
}

/** @param sheet the recipe that is written: what is made from it cannot go into it */
export function reachOf(costing: KitchenCosting, sheet: string, named: NamedIds): Reach {
  const { shelf, graph } = costing;
  const recipes = named.recipes.flatMap((id) => costing.recipes.get(id)?.recipe ?? []);
  const supplies = named.ingredients.flatMap((id) => costing.supplies.get(id) ?? []);
  const bought = supplies.flatMap(({ ingredient: { id } }) => [usableOf(id), trimOf(id)]);
  const made = recipes.flatMap((r) => [productOf(r.id), ...partsOf(r).map((part) => productOf(r.id, part))]);
  const pricesIn = (layer: Layer, keys: readonly string[]) => {
    const of = layer === 'ingredients' ? graph : costing.layer(layer);
    return keys.filter((key) => of.has(key)).map((key) => [key, of.cost(key)] as const);
  };
  return {
    opens: supplies.flatMap((s) => (s.opens ? [[s.ingredient.id, s.opens] as const] : [])),
    stuffs: named.ingredients.flatMap((id) => {
      const found = shelf.stuff(id);
      return found ? [[id, found] as const] : [];
    }),
    products: productsFor(costing, recipes, livesFrom(costing, sheet)),
    prices: pricesIn('ingredients', [...bought, ...made]),
    layers: {
      packaging: pricesIn('packaging', [...bought, ...made]),
      energy: pricesIn('energy', [...FUELS.map((fuel) => energyKey(fuel)), ...made]),
      hands: pricesIn('hands', [LABOUR, ...made]),
    },
    asPurchased: supplies.flatMap((s) => {
      const perKg = priceBeforeTrim(s);
      return perKg === undefined ? [] : [[usableOf(s.ingredient.id), perKg / 1000] as const];
    }),
    estimates: supplies.flatMap((s) =>
      isGuess(s) ? [usableOf(s.ingredient.id), trimOf(s.ingredient.id)] : [],
    ),
    standsOn: supplies.map((s) => evidenceFor(s, costing.day)),
  };
}

/** What is made here, as a pot may take it: not what is made from it. */
const productsFor = (
  costing: KitchenCosting,
  recipes: readonly WrittenRecipe[],
  loops: ReadonlyMap<string, string>,
): Reach['products'] =>
  recipes.map((r) => {
    const loop = loops.get(r.id);
    const found = costing.shelf.product(r.id);
    return {
      id: r.id,
      name: r.name,
      product: found.ok && !loop ? found.value.product : undefined,
      last: found.ok ? found.value.product : undefined,
      parts: partsOf(r).flatMap((part) => {
        const joint = jointOf(costing.recipes.get(r.id)?.run, part);
        return joint ? [{ part, product: joint }] : [];
      }),
      trouble: loop ?? (found.ok ? undefined : found.trouble.message),
      loops: loop !== undefined,
    };
  });

/** Recipes that are made from this one, itself included, each with the sentence of the loop it would close. */
function livesFrom({ state }: KitchenCosting, id: string): Map<string, string> {
  const nameOf = new Map(state.recipes.map((r) => [r.id, r.name]));
  const users = new Map<string, string[]>();
  for (const r of state.recipes)
    for (const used of new Set(usesOf(r))) users.set(used, [...(users.get(used) ?? []), r.id]);
  const found = new Map<string, string[]>([[id, [id]]]);
  const queue = [id];
  for (let at = queue.shift(); at !== undefined; at = queue.shift())
    for (const user of users.get(at) ?? [])
      if (!found.has(user)) {
        found.set(user, [user, ...(found.get(at) ?? [])]);
        queue.push(user);
      }
  return new Map(
    [...found].map(([daughter, path]) => [
      daughter,
      loopSentence([id, ...path].map((x) => nameOf.get(x) ?? '')),
    ]),
  );
}
