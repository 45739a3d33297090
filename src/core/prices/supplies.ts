import type { OpenPack } from '../larder';
import type { WrittenIngredient } from '../kitchen-file';
import type { History, KitchenState } from '../kitchen-state';
import { refuse, type Trouble } from '../trouble';
import { afterTheKnife, type CameOff, type Knife, type SupplyPrices } from '../knife';
import { knivesOf } from './knives';
import { pricesOn, type PriceFound } from './prices';

/** What an ingredient costs as bought and after the knife, on a day, and where each figure came from. Money per kg. */
export interface Supply extends SupplyPrices {
  readonly ingredient: WrittenIngredient;
  /** As bought; undefined for what comes off another ingredient, and where nothing has a price. */
  readonly price?: PriceFound | undefined;
  /** For a by-product: what it comes off, and what a kilo of it as it comes off costs by that one's school. */
  readonly comesOff?: { readonly of: string; readonly perKg?: number | undefined } | undefined;
  readonly usable: number;
  readonly stockTrim: number;
  readonly yieldSource: 'estimate' | 'measured';
  readonly yieldOn: string;
  readonly yieldBasis?: string | undefined;
  /** 90 % range of the yield, %. */
  readonly yieldRange?: readonly [number, number] | undefined;
  readonly knife: Knife;
  /** What is opened when a recipe needs some; undefined while it is not bought. */
  readonly opens?: OpenPack | undefined;
  readonly trouble?: Trouble | undefined;
}

/** What a kilo costs before the knife: as purchased, or as it comes off another ingredient. */
export const beforeTheKnife = (s: Supply): number | undefined =>
  s.comesOff ? s.comesOff.perKg : s.price?.perKg.toNumber();

/** Whether its yield is one that nobody has measured; where nothing comes off there is nothing to measure. */
export const isGuess = (s: Supply): boolean => s.yieldSource === 'estimate' && s.usable < 1;

/** The yield in force on a day: the latest to take effect, and of two the one recorded last. */
export function yieldOn(written: WrittenIngredient, day: string): WrittenIngredient['yields'][number] {
  let best: WrittenIngredient['yields'][number] | undefined;
  for (const y of written.yields)
    if (y.on <= day && (!best || y.on > best.on || (y.on === best.on && y.recordedAt >= best.recordedAt)))
      best = y;
  // A kitchen that looks back before its first estimate still needs one: the earliest.
  return best ?? (written.yields[0] as WrittenIngredient['yields'][number]);
}

/** What its yield in force on a day says of an ingredient. */
function yieldOf(ingredient: WrittenIngredient, day: string) {
  const y = yieldOn(ingredient, day);
  return {
    usable: y.usablePct / 100,
    stockTrim: y.stockTrimPct / 100,
    yieldSource: y.source,
    yieldOn: y.on,
    yieldBasis: y.basis,
    yieldRange: y.low === undefined || y.high === undefined ? undefined : ([y.low, y.high] as const),
  };
}

/** What is bought has the price found for it. */
function bought(
  known: Supply,
  found: PriceFound | Trouble | undefined,
  day: string,
): { readonly supply: Supply; readonly cameOff: readonly CameOff[] } {
  const { ingredient, knife, usable, stockTrim } = known;
  const price = found && 'perKg' in found ? found : undefined;
  const { cameOff, ...own } = afterTheKnife(knife, price?.perKg.toNumber(), usable, stockTrim);
  const noPrice = refuse(
    'no-price',
    `ingredients.${ingredient.id}`,
    `${ingredient.name} has no price on ${day}.`,
  ).trouble;
  const trouble = found && !('perKg' in found) ? found : price ? own.trouble : noPrice;
  const opens = price && { g: price.pack.innerG, usable, charged: ingredient.partPack };
  return { supply: { ...known, price, opens, ...own, trouble }, cameOff };
}

/** What comes off another is priced by that one's school. */
function cameOffOf(
  child: Supply,
  { perKg, usablePerKg, trimPerKg, trouble }: CameOff,
  of: Supply,
  day: string,
): Supply {
  const { id, name } = child.ingredient;
  const lacking = refuse(
    'no-price',
    `ingredients.${id}`,
    `${name} comes off ${of.ingredient.name}, which has no cost on ${day}.`,
  ).trouble;
  return {
    ...child,
    comesOff: { of: of.ingredient.id, perKg },
    usablePerKg,
    trimPerKg,
    trouble: trouble ?? (usablePerKg === undefined ? lacking : undefined),
  };
}

/** Every ingredient of a kitchen with what it costs on a day, in the kitchen's order, so that a graph has its nodes where they were. */
export function suppliesOn(state: KitchenState, day: string, history: History): Map<string, Supply> {
  const prices = pricesOn(state, day, history);
  const knifeOf = knivesOf(state, (i) => yieldOn(i, day));
  const supplies = new Map<string, Supply>(
    state.ingredients.map((ingredient) => [
      ingredient.id,
      { ingredient, ...yieldOf(ingredient, day), knife: knifeOf(ingredient) },
    ]),
  );
  for (const ingredient of state.ingredients) {
    if (ingredient.comesOff) continue;
    const { supply, cameOff } = bought(supplies.get(ingredient.id) as Supply, prices.get(ingredient.id), day);
    supplies.set(ingredient.id, supply);
    for (const off of cameOff) {
      const child = supplies.get(off.id) as Supply;
      const of = supplies.get(child.ingredient.comesOff?.ingredient ?? '') as Supply;
      supplies.set(off.id, cameOffOf(child, off, of, day));
    }
  }
  return supplies;
}
