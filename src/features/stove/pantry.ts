import 'server-only';
import { createHash } from 'node:crypto';
import type { Pantry, PantryProduct } from '@/core/batch';
import { thickenersOf } from '@/core/compare';
import { namesToRead, type KitchenCosting } from '@/core/costing';
import { inOrder, partsOf, stepsInForce, usesOf } from '@/core/kitchen-file';
import { productOf, trimOf, usableOf } from '@/core/supply';
import { ofStep } from '@/core/verbs';
import { costedKitchen } from '@/server/kitchen';
import type { Worker } from '@/server/session';

/** g of salt in 100 under which a stock counts as unsalted; g of gelatin from which it is a stock. */
const STOCK = { salt: 0.3, gelatin: 0.3 } as const;

/** Bones and shells in every recipe, what comes with other recipes too: worked out once for each kitchen as it is. */
const boned = new WeakMap<KitchenCosting, ReadonlyMap<string, readonly string[]>>();

/** Bones and shells that are in every recipe, by ids. */
export function bonesIn(costing: KitchenCosting): ReadonlyMap<string, readonly string[]> {
  const known = boned.get(costing);
  if (known) return known;
  const { recipes, ingredients } = costing.state;
  const gives = new Set(ingredients.flatMap((i) => ((i.gelatin?.gPerKg ?? 0) > 0 ? [i.id] : [])));
  const byId = new Map(recipes.map((r) => [r.id, r]));
  const found = new Map<string, readonly string[]>();
  // Each after what it uses: nothing is looked through twice.
  for (const id of inOrder(recipes).order) {
    const recipe = byId.get(id);
    if (!recipe) continue;
    const own = stepsInForce(recipe).flatMap((s) => {
      const of = ofStep(s);
      const what =
        of && ('ingredient' in of ? of.ingredient : 'stockTrimOf' in of ? of.stockTrimOf : undefined);
      return what !== undefined && gives.has(what) ? [what] : [];
    });
    found.set(id, [...new Set([...own, ...usesOf(recipe).flatMap((used) => found.get(used) ?? [])])]);
  }
  boned.set(costing, found);
  return found;
}

/** Unsalted stocks of a house, the cheapest first. */
const stocksOf = (costing: KitchenCosting): Pantry['stocks'] =>
  costing.state.recipes
    .flatMap(({ id }) => {
      const run = costing.recipes.get(id)?.run;
      const last = run?.product && run.rows.at(-1);
      const perG = last ? costing.graph.cost(productOf(id)) : null;
      return last && perG !== null && last.saltPct < STOCK.salt && last.gelatinPct > STOCK.gelatin
        ? [{ id, perG }]
        : [];
    })
    .sort((a, b) => a.perG - b.perG)
    .map(({ id }) => ({ of: { product: id }, recipe: id, bones: bonesIn(costing).get(id) ?? [] }));

/** What a house has that may come into a pot. */
export function pantryOf(costing: KitchenCosting): Pantry {
  const { state, shelf, graph } = costing;
  const made = (look: typeof shelf.product): PantryProduct[] =>
    state.recipes.flatMap((r) =>
      [undefined, ...partsOf(r)].flatMap((part) => {
        const found = look(r.id, part);
        return found.ok ? [{ id: r.id, part, ...found.value }] : [];
      }),
    );
  const supplies = [
    ...state.ingredients.flatMap(({ id }) => [usableOf(id), trimOf(id)]),
    ...state.recipes.flatMap((r) => [productOf(r.id), ...partsOf(r).map((part) => productOf(r.id, part))]),
  ];
  const lastOnes = new Set(
    state.recipes.flatMap((r) =>
      r.steps.flatMap((s) => ('of' in s && s.of && 'lastBatchOf' in s.of ? [s.of.lastBatchOf] : [])),
    ),
  );
  return {
    mark: shelf.manner.mark,
    measures: [...(shelf.manner.measures ?? [])],
    stuffs: state.ingredients.flatMap(({ id }) => {
      const found = shelf.stuff(id);
      return found ? [[id, found] as const] : [];
    }),
    products: made(shelf.product),
    lastBatches: made(shelf.lastBatch).filter((p) => lastOnes.has(p.id)),
    vessels: state.vessels.flatMap(({ id }) => shelf.vessel(id) ?? []),
    hobs: state.hobs.flatMap(({ id }) => shelf.hob(id) ?? []),
    names: namesToRead(costing),
    thickeners: thickenersOf(costing),
    stocks: stocksOf(costing),
    prices: supplies.flatMap((key) => {
      const perG = graph.has(key) ? graph.cost(key) : null;
      return perG === null ? [] : [[key, perG] as const];
    }),
  };
}

/** Written out once for each kitchen as it is: every tablet that is propped up at a pot asks for it. */
const written = new WeakMap<KitchenCosting, { readonly text: string; readonly tag: string }>();

/** The pantry as it travels, and what it is known by. */
export async function pantryText(who: Worker): Promise<{ readonly text: string; readonly tag: string }> {
  const { costing } = await costedKitchen(who.kitchenId);
  const known = written.get(costing);
  if (known) return known;
  const text = JSON.stringify(pantryOf(costing));
  const made = { text, tag: `"${createHash('sha256').update(text).digest('base64url').slice(0, 22)}"` };
  written.set(costing, made);
  return made;
}
