import type { OpenPack } from '../larder';
import type { KitchenFile, WrittenIngredient } from '../kitchen-file';
import { refuse, type Trouble } from '../trouble';
import { afterTheKnife, knivesOf, type Knife, type SupplyPrices } from './knife';
import { pricesOn, type HistoryOf, type PriceFound } from './prices';

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

/** Every ingredient of a kitchen with what it costs on a day. What comes off another is priced by that one's school. */
export function suppliesOn(file: KitchenFile, day: string, history?: HistoryOf): Map<string, Supply> {
  const prices = pricesOn(file, day, history);
  const knifeOf = knivesOf(file, (i) => yieldOn(i, day));
  const supplies = new Map<string, Supply>();
  const byId = new Map(file.ingredients.map((i) => [i.id, i]));
  const put = (
    ingredient: WrittenIngredient,
    more: Pick<Supply, 'price' | 'comesOff' | 'opens'> & SupplyPrices,
  ) => {
    const y = yieldOn(ingredient, day);
    supplies.set(ingredient.id, {
      ingredient,
      usable: y.usablePct / 100,
      stockTrim: y.stockTrimPct / 100,
      yieldSource: y.source,
      yieldOn: y.on,
      yieldBasis: y.basis,
      yieldRange: y.low === undefined || y.high === undefined ? undefined : [y.low, y.high],
      knife: knifeOf(ingredient),
      ...more,
    });
  };
  // In the file's order, so that a graph has its nodes where they were.
  for (const ingredient of file.ingredients) put(ingredient, {});
  for (const ingredient of file.ingredients) {
    if (ingredient.comesOff) continue;
    const found = prices.get(ingredient.id);
    const price = found && 'perKg' in found ? found : undefined;
    const y = yieldOn(ingredient, day);
    const [usable, stockTrim] = [y.usablePct / 100, y.stockTrimPct / 100];
    const { cameOff, ...own } = afterTheKnife(
      knifeOf(ingredient),
      price?.perKg.toNumber(),
      usable,
      stockTrim,
    );
    const noPrice = refuse(
      'no-price',
      `ingredients.${ingredient.id}`,
      `${ingredient.name} has no price on ${day}.`,
    ).trouble;
    const trouble = found && !('perKg' in found) ? found : price ? own.trouble : noPrice;
    put(ingredient, {
      price,
      opens: price && { g: price.pack.innerG, usable, charged: ingredient.partPack },
      ...own,
      trouble,
    });
    for (const { id, perKg, usablePerKg, trimPerKg, trouble: below } of cameOff) {
      const child = byId.get(id) as WrittenIngredient;
      const lacking = refuse(
        'no-price',
        `ingredients.${id}`,
        `${child.name} comes off ${byId.get(child.comesOff?.ingredient ?? '')?.name ?? 'another ingredient'}, which has no cost on ${day}.`,
      ).trouble;
      put(child, {
        comesOff: { of: child.comesOff?.ingredient ?? '', perKg },
        usablePerKg,
        trimPerKg,
        trouble: below ?? (usablePerKg === undefined ? lacking : undefined),
      });
    }
  }
  return supplies;
}
