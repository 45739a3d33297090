import type { KitchenCosting } from './kitchen';
import { beforeTheKnife, isGuess, type Supply } from '../prices';
import { afterTheKnife, type Knife } from '../knife';
import { readSupply } from '../supply';
import { supplyOf } from '../verbs';

/** A pot that asks for something that comes off. Grams a week. */
export interface Asks {
  readonly recipe: string;
  readonly name: string;
  readonly batches: number;
  readonly perBatchG: number;
}

/** One thing that comes off, how much of it a week gives and how much the pots ask for. Grams a week, money in currency. */
export interface TrimFlow {
  /** Its supply: `trim:ID` or `usable:ID`. */
  readonly supply: string;
  readonly name: string;
  /** The ingredient it comes off. */
  readonly of: { readonly id: string; readonly name: string };
  readonly boughtG: number;
  readonly share: number;
  readonly guess: boolean;
  readonly givesG: number;
  readonly asks: readonly Asks[];
  readonly asksG: number;
  /** Plates that take some of it: how many are sold is not known here. */
  readonly plates: readonly string[];
  readonly perKg: number | undefined;
  /** How much of it the cost counts as taken, and how much of it really is at this rate. */
  readonly taken: number;
  readonly reallyTaken: number;
  /** What a usable kilo costs now, and with only what is really taken carrying money away. */
  readonly usablePerKg: number | undefined;
  readonly usableThen: number | undefined;
  readonly sold: boolean;
}

/**
 * The flow of trim: what comes off in a week of purchases, against what the pots ask for at their usual batches.
 * @param boughtG g of an ingredient that come in in a week
 */
export function trimFlow(costing: KitchenCosting, boughtG: (ingredientId: string) => number): TrimFlow[] {
  const flows: TrimFlow[] = [];
  for (const s of costing.supplies.values()) {
    if (s.stockTrim > 0)
      flows.push(
        flowOf(
          costing,
          s,
          boughtG,
          `trim:${s.ingredient.id}`,
          s.stockTrim,
          `${s.ingredient.name}, stock trim`,
          false,
        ),
      );
    for (const b of s.knife.byProducts)
      if (b.share > 0)
        flows.push(flowOf(costing, s, boughtG, `usable:${b.knife.id}`, b.share, b.knife.name, b.sold));
  }
  return flows;
}

function flowOf(
  costing: KitchenCosting,
  s: Supply,
  boughtG: (id: string) => number,
  supply: string,
  share: number,
  name: string,
  sold: boolean,
): TrimFlow {
  const from = readSupply(supply);
  const trim = from?.is === 'trim';
  const own = (from && 'id' in from && costing.supplies.get(from.id)) || s;
  // Pots state a by-product's usable grams: as it comes off there is more of it.
  const perUsed = trim ? 1 : 1 / own.usable;
  const asks = [...costing.recipes.values()].flatMap(({ recipe, run }): Asks[] => {
    const g = run.inputs.filter((i) => i.supply === supply).reduce((sum, i) => sum + i.g, 0);
    return g > 0
      ? [{ recipe: recipe.id, name: recipe.name, batches: recipe.batchesAWeek, perBatchG: g * perUsed }]
      : [];
  });
  const plates = costing.state.plates
    .filter((p) => p.lines.some(({ of }) => supplyOf(of) === supply))
    .map((p) => p.name);
  const bought = boughtG(s.ingredient.id);
  const givesG = bought * share;
  const asksG = asks.reduce((sum, a) => sum + a.perBatchG * a.batches, 0);
  const taken = trim
    ? s.knife.trimTaken
    : (s.knife.byProducts.find((b) => b.knife.id === own.ingredient.id)?.taken ?? 0);
  const really = sold || plates.length > 0 || givesG <= 0 ? taken : Math.min(1, asksG / givesG);
  const then = afterTheKnife(withTaken(s.knife, supply, really), beforeTheKnife(s), s.usable, s.stockTrim);
  return {
    supply,
    name,
    of: { id: s.ingredient.id, name: s.ingredient.name },
    boughtG: bought,
    share,
    guess: isGuess(s),
    givesG,
    asks,
    asksG,
    plates,
    perKg: trim ? s.trimPerKg : own.comesOff?.perKg,
    taken,
    reallyTaken: really,
    usablePerKg: s.usablePerKg,
    usableThen: then.usablePerKg,
    sold,
  };
}

const withTaken = (knife: Knife, supply: string, taken: number): Knife =>
  readSupply(supply)?.is === 'trim'
    ? { ...knife, trimTaken: taken }
    : {
        ...knife,
        byProducts: knife.byProducts.map((b) => (`usable:${b.knife.id}` === supply ? { ...b, taken } : b)),
      };
