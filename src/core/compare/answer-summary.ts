import type { KitchenCosting } from '../costing';
import type { WrittenAsks, WrittenRecipe, WrittenTold } from '../kitchen-file';
import { usableOf } from '../supply';
import { recipesOf, type Snapshot } from './snapshot';

/** The place of the cheapest; undefined where no cost is known. */
export function cheapest(perL: readonly (number | null)[]): number | undefined {
  let best: number | undefined;
  for (const [i, cost] of perL.entries())
    if (cost !== null && (best === undefined || cost < (perL[best] ?? Infinity))) best = i;
  return best;
}

/** What a usable kilo of a thing costs now. */
const usableKilo = ({ graph }: KitchenCosting, ingredient: string): number | undefined => {
  const key = usableOf(ingredient);
  const perG = graph.has(key) ? graph.cost(key) : null;
  return perG === null ? undefined : perG * 1000;
};

/** Tells how some sheets are written from how they were: FNV-1a of their text. */
function written(recipes: readonly WrittenRecipe[]): string {
  let hash = 0x811c9dc5;
  for (const c of JSON.stringify(recipes)) hash = Math.imul(hash ^ (c.codePointAt(0) ?? 0), 0x01000193);
  return (hash >>> 0).toString(36);
}
const sheetsOf = ({ state }: KitchenCosting, { recipe }: WrittenAsks): string =>
  written(recipesOf({ recipes: state.recipes }, { recipes: [], product: recipe }));

/** Share by which a price has moved that counts. */
const LEAST_MOVE = 0.0005;

/** Prices that have moved since a question was last looked at, those that moved most first. */
export const changedPrices = (costing: KitchenCosting, { prices }: WrittenTold) =>
  prices
    .flatMap(({ ingredient, perKg: was }) => {
      const is = usableKilo(costing, ingredient);
      const name = costing.supplies.get(ingredient)?.ingredient.name;
      return is !== undefined && name !== undefined && was > 0 && Math.abs(is / was - 1) > LEAST_MOVE
        ? [{ name, was, is }]
        : [];
    })
    .sort((a, b) => Math.abs(b.is / b.was - 1) - Math.abs(a.is / a.was - 1));

/** Whether everything a question is made from is what it was: it then need not be asked again. */
export const isSummaryCurrent = (costing: KitchenCosting, asks: WrittenAsks, told: WrittenTold): boolean =>
  told.sheets === sheetsOf(costing, asks) &&
  told.prices.every(({ ingredient }) => costing.supplies.has(ingredient)) &&
  changedPrices(costing, told).length === 0;

/**
 * What a question comes to, as it is kept to be held against later.
 * @param perL what a litre of each way costs
 * @returns undefined where no way has a cost
 */
export function summaryOf(
  costing: KitchenCosting,
  apart: Snapshot,
  asks: WrittenAsks,
  perL: readonly (number | null)[],
): WrittenTold | undefined {
  const winner = cheapest(perL);
  if (winner === undefined) return undefined;
  return {
    on: costing.day,
    winner,
    perL: [...perL],
    prices: apart.stuffs.flatMap(([ingredient]) => {
      const perKg = usableKilo(costing, ingredient);
      return perKg === undefined ? [] : [{ ingredient, perKg }];
    }),
    sheets: sheetsOf(costing, asks),
  };
}
