import { costOfProduct, portionsServed, type KitchenCosting } from '../costing';
import { moneyStaying } from '../layers';
import { chargeFactors } from '../prices';
import type { SupplyKey } from '../supply';
import { vesselsFor } from '../verbs';
import { inOrder } from '../kitchen-file';
import type { ProcessConstants, Scaled, Vessel } from '../pot';
import type { RecipeCosting } from '../shelf';
import { fine, refuse, type Outcome, type Trouble } from '../trouble';
import * as texts from './texts';

/** What one recipe must make, in what, and what it then costs. */
export interface Making {
  readonly recipeId: string;
  readonly name: string;
  readonly ml: number;
  /** The vessel that suits best of those the kitchen owns, and the batches in it. */
  readonly scaled: Scaled;
  /** Of the vessels owned, the recipe's own if it can be used. */
  readonly own: Scaled | undefined;
  /** Currency a litre as it is made here, and as the sheet says: another pot loses another share to the air. */
  readonly perL: number | null;
  readonly sheetPerL: number | null;
}

export interface ForCovers {
  readonly plate: string;
  readonly covers: number;
  /** Mothers first: in the order in which they are cooked. */
  readonly makings: readonly Making[];
  /** g of everything bought, in the order of first use. */
  readonly buy: readonly { readonly supply: SupplyKey; readonly name: string; readonly g: number }[];
  /** What cannot be made, and why; the rest stands. */
  readonly troubles: readonly Trouble[];
}

/**
 * What it takes to put a plate on so many tables: each recipe it is made from scaled by solving, through all generations, each in
 * the best vessel the kitchen owns. Joint products and last batches are taken as there.
 * @returns trouble `no-plate`, or `covers-out-of-range`
 */
export function forCovers(
  costing: KitchenCosting,
  plateId: string,
  covers: number,
  c: ProcessConstants,
): Outcome<ForCovers> {
  const plate = costing.plates.get(plateId);
  if (!plate) return refuse('no-plate', '', texts.noSuchDish);
  if (!(covers >= 1 && covers <= 100_000))
    return refuse('covers-out-of-range', '', texts.coversOutOfRange(covers), {
      value: covers,
      limit: 100_000,
    });
  const needs = wanted();
  const troubles: Trouble[] = [];
  for (const { resolved, written } of plate.lines)
    if (resolved.ok) {
      const { what } = resolved.value;
      // What guests leave of what stands beside their plate comes back, but it has to be there.
      const g = resolved.value.g * portionsServed(written, plate.plate);
      needs.ask(what.supply, what.is === 'stuff' ? what.stuff.name : what.name, g * covers);
    } else troubles.push(resolved.trouble);
  const makings: Making[] = [];
  const vessels = costing.state.vessels.flatMap((v) => costing.shelf.vessel(v.id) ?? []);
  for (const id of inOrder(costing.state.recipes).order.reverse()) {
    const recipe = costing.recipes.get(id);
    const g = recipe && needs.take(`product:${id}`);
    if (!recipe || g === undefined) continue;
    const made = making(costing, recipe, g, c, vessels);
    if (!made.ok) {
      troubles.push(made.trouble);
      continue;
    }
    const { run, batches } = made.value.scaled;
    if (run.unread.length > 0)
      troubles.push(
        refuse('unread-lines', '', texts.leftOut(made.value.name, run.unread.length), {
          value: run.unread.length,
          limit: 0,
        }).trouble,
      );
    for (const input of run.inputs) needs.ask(input.supply, input.name, input.g * batches);
    makings.push(made.value);
  }
  return fine({
    plate: plate.plate.name,
    covers,
    makings: makings.reverse(),
    buy: needs.left(),
    troubles,
  });
}

/** What is still to be had, added up by supply. */
function wanted() {
  const need = new Map<string, { readonly name: string; readonly g: number }>();
  return {
    ask(supply: string, name: string, g: number): void {
      need.set(supply, { name, g: (need.get(supply)?.g ?? 0) + g });
    },
    take(supply: string): number | undefined {
      const g = need.get(supply)?.g;
      need.delete(supply);
      return g;
    },
    left: (): ForCovers['buy'] =>
      [...need].flatMap(([supply, { name, g }]) =>
        supply === 'free' ? [] : [{ supply: supply as SupplyKey, name, g }],
      ),
  };
}

/**
 * So many grams of what a recipe makes, in the best vessel for it.
 * @returns trouble `no-product` or `no-vessel`
 */
function making(
  costing: KitchenCosting,
  { recipe, run, steps }: RecipeCosting,
  g: number,
  c: ProcessConstants,
  vessels: readonly Vessel[],
): Outcome<Making> {
  const { product } = run;
  const vessel = costing.shelf.vessel(recipe.vessel);
  const hob = costing.shelf.hob(recipe.hob);
  if (!product || !vessel || !hob) return refuse('no-product', '', texts.cannotMade(recipe.name));
  const ml = (g * product.ml) / product.g;
  const ways = vesselsFor({ vessel, hob, steps }, ml, c, vessels);
  const [best] = ways;
  if (!best) return refuse('no-vessel', '', texts.noneVesselsCanMake((ml / 1000).toFixed(1), recipe.name));
  return fine({
    recipeId: recipe.id,
    name: recipe.name,
    ml,
    scaled: best,
    own: ways.find((w) => w.vessel.id === vessel.id),
    perL: perLitre(costing, best),
    sheetPerL: costOfProduct(costing, recipe.id).perL,
  });
}

/** Ingredients in a litre of what is made, at the kitchen's prices; packs are opened for all batches together. */
function perLitre(costing: KitchenCosting, { run, batches }: Scaled): number | null {
  const all = run.inputs.map((input) => ({ ...input, g: input.g * batches }));
  const factors = chargeFactors(all, (id) => costing.supplies.get(id)?.opens);
  const costs = run.inputs.map(({ supply, g }) => {
    const perG = supply === 'free' ? 0 : costing.graph.cost(supply);
    return perG === null ? null : perG * g * (factors.get(supply) ?? 1);
  });
  if (costs.includes(null) || !run.product) return null;
  return (moneyStaying(run.rows, costs).reduce((a, b) => a + b, 0) / run.product.ml) * 1000;
}
