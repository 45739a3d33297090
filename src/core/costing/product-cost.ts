import { LAYERS, moneyWentIn, type Layer, type MoneyWent } from '../layers';
import { isInKilos, type Product } from '../pot';
import { priceBeforeTrim, chargeFactors } from '../prices';
import { jointOf } from '../shelf';
import { productOf, readSupply } from '../supply';
import type { KitchenCosting } from './kitchen';

/** What a recipe's product costs. Money in currency units; null while anything it is made from is unknown. */
export interface ProductCost {
  readonly ml: number;
  readonly g: number;
  readonly total: number | null;
  readonly perL: number | null;
  readonly perKg: number | null;
  /** Whether it is thought of in kilos. */
  readonly inKilos: boolean;
  /** One portion, at what really leaves the ladle, if the recipe portions. */
  readonly perPortion: number | null;
  readonly portionMl: number | null;
  /** What leaves the ladle for one portion. */
  readonly pouredMl: number | null;
}

/** @param part a joint product of it, by name; what stays in the pot where it is left out */
export function costOfProduct(costing: KitchenCosting, recipeId: string, part?: string): ProductCost {
  const run = costing.recipes.get(recipeId)?.run;
  const product: Product | undefined = part === undefined ? run?.product : jointOf(run, part);
  const perG = product ? costing.graph.cost(productOf(recipeId, part)) : null;
  const inKilos = part === undefined && isInKilos(run?.rows[run.rows.length - 1]);
  const portions = part === undefined ? run?.rows[run.rows.length - 1]?.portions : undefined;
  if (!product || perG === null)
    return {
      ml: product?.ml ?? 0,
      g: product?.g ?? 0,
      total: null,
      perL: null,
      perKg: null,
      inKilos,
      perPortion: null,
      portionMl: portions?.ml ?? null,
      pouredMl: portions?.pouredMl ?? null,
    };
  const total = perG * product.g;
  const perL = (total / product.ml) * 1000;
  return {
    ml: product.ml,
    g: product.g,
    total,
    perL,
    perKg: perG * 1000,
    inKilos,
    perPortion: portions ? (perL * portions.pouredMl) / 1000 : null,
    portionMl: portions?.ml ?? null,
    pouredMl: portions?.pouredMl ?? null,
  };
}

/**
 * What a node of the graph costs in each layer, per gram (per plate for a plate): null where that layer is not whole.
 * They add up; what is shown says which of them stand in it.
 */
export const costByLayer = (costing: KitchenCosting, key: string): Readonly<Record<Layer, number | null>> =>
  Object.fromEntries(LAYERS.map((name) => [name, costing.layer(name).cost(key)])) as Record<
    Layer,
    number | null
  >;

/**
 * What a node of the graph costs in those of some layers that stand beside the ingredients, per gram (per plate for a plate);
 * null where one of them is not whole, 0 where none is counted.
 */
export const besideCost = (costing: KitchenCosting, key: string, counted: readonly Layer[]): number | null =>
  counted.reduce<number | null>((sum, name) => {
    if (sum === null || name === 'ingredients') return sum;
    const cost = costing.layer(name).cost(key);
    return cost === null ? null : sum + cost;
  }, 0);

/** Cost of each of a pot's inputs, in order, whole packs where they are charged whole; null where the price is unknown, 0 for water. */
export function inputCosts(costing: KitchenCosting, recipeId: string): (number | null)[] {
  const inputs = costing.recipes.get(recipeId)?.run.inputs ?? [];
  const factors = chargeFactors(inputs, (id) => costing.supplies.get(id)?.opens);
  return inputs.map(({ supply, g }) => {
    if (supply === 'free') return 0;
    const perG = costing.graph.cost(supply);
    return perG === null ? null : perG * g * (factors.get(supply) ?? 1);
  });
}

/** The running book of a recipe in the kitchen; null while a price is unknown or the recipe makes nothing. */
export function whereTheMoneyWent(costing: KitchenCosting, recipeId: string): MoneyWent | null {
  const run = costing.recipes.get(recipeId)?.run;
  const costs = inputCosts(costing, recipeId);
  if (!run?.product || costs.includes(null)) return null;
  const asPurchased = (supply: string): number | undefined => {
    const from = readSupply(supply);
    const found = from?.is === 'usable' ? costing.supplies.get(from.id) : undefined;
    const perKg = found && priceBeforeTrim(found);
    return perKg === undefined ? undefined : perKg / 1000;
  };
  const factors = chargeFactors(run.inputs, (id) => costing.supplies.get(id)?.opens);
  return moneyWentIn(run, costs as number[], asPurchased, factors);
}
