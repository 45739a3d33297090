import { trimPrices, type OpenPack, type TrimSchool } from '../larder';
import type { KitchenFile, WrittenIngredient } from '../kitchen-file';
import { refuse, type Trouble } from '../trouble';
import { pricesOn, type HistoryOf, type PriceFound } from './prices';

/** What an ingredient costs as bought and after the knife, on a day, and where each figure came from. */
export interface Supply {
  readonly ingredient: WrittenIngredient;
  readonly price?: PriceFound | undefined;
  readonly usable: number;
  readonly stockTrim: number;
  readonly yieldSource: 'estimate' | 'measured';
  readonly yieldOn: string;
  readonly yieldBasis?: string | undefined;
  /** 90 % range of an estimated yield, %. */
  readonly yieldRange?: readonly [number, number] | undefined;
  readonly school: TrimSchool;
  readonly setValuePerKg: number;
  /** Whether any pot takes its stock trim. */
  readonly trimTaken: boolean;
  /** What is opened when a recipe needs some; undefined while it is not bought. */
  readonly opens?: OpenPack | undefined;
  /** Currency per kg; undefined while there is no price or the trim school cannot be followed. */
  readonly usablePerKg?: number | undefined;
  readonly trimPerKg?: number | undefined;
  readonly trouble?: Trouble | undefined;
}

/** The yield in force on a day: the latest to take effect, and of two the one recorded last. */
export function yieldOn(written: WrittenIngredient, day: string): WrittenIngredient['yields'][number] {
  let best: WrittenIngredient['yields'][number] | undefined;
  for (const y of written.yields)
    if (y.on <= day && (!best || y.on > best.on || (y.on === best.on && y.recordedAt >= best.recordedAt)))
      best = y;
  // A kitchen that looks back before its first estimate still needs one: the earliest.
  return best ?? (written.yields[0] as WrittenIngredient['yields'][number]);
}

/** What is asked of a supply to price it: everything but the price and the yield, which people change. */
export type SupplyTerms = Pick<Supply, 'ingredient' | 'school' | 'setValuePerKg' | 'trimTaken'>;

export interface SupplyPrices {
  readonly usablePerKg?: number | undefined;
  readonly trimPerKg?: number | undefined;
  readonly trouble?: Trouble | undefined;
}

/** Usable and stock trim per kg, from a price per kg as purchased and the two shares. */
export function afterTheKnife(
  terms: Omit<SupplyTerms, 'ingredient'>,
  perKg: number | undefined,
  usable: number,
  stockTrim: number,
): SupplyPrices {
  if (perKg === undefined) return {};
  const prices = trimPrices({ usable, stockTrim }, perKg, terms.school, terms.setValuePerKg, terms.trimTaken);
  return prices.ok
    ? { usablePerKg: prices.value.usable, trimPerKg: prices.value.stockTrim }
    : { trouble: prices.trouble };
}

/** Every ingredient of a kitchen with what it costs on a day. */
export function suppliesOn(file: KitchenFile, day: string, history?: HistoryOf): Map<string, Supply> {
  const prices = pricesOn(file, day, history);
  const taken = trimTakers(file);
  return new Map(
    file.ingredients.map((ingredient) => {
      const found = prices.get(ingredient.id);
      const price = found && 'perKg' in found ? found : undefined;
      const y = yieldOn(ingredient, day);
      const terms = {
        ingredient,
        school: ingredient.trim?.school ?? file.kitchen.trim.school,
        setValuePerKg: Number(ingredient.trim?.setValuePerKg ?? file.kitchen.trim.setValuePerKg),
        trimTaken: taken.has(ingredient.id),
      };
      const usable = y.usablePct / 100;
      const stockTrim = y.stockTrimPct / 100;
      const knife = afterTheKnife(terms, price?.perKg.toNumber(), usable, stockTrim);
      const noPrice = refuse(
        'no-price',
        `ingredients.${ingredient.id}`,
        `${ingredient.name} has no price on ${day}.`,
      ).trouble;
      const trouble = found && !('perKg' in found) ? found : price ? knife.trouble : noPrice;
      return [
        ingredient.id,
        {
          ...terms,
          price,
          usable,
          stockTrim,
          yieldSource: y.source,
          yieldOn: y.on,
          yieldBasis: y.basis,
          yieldRange: y.low === undefined || y.high === undefined ? undefined : [y.low, y.high],
          opens: price && { g: price.pack.innerG, usable, charged: ingredient.partPack },
          ...knife,
          trouble,
        },
      ];
    }),
  );
}

/** Ingredients whose stock trim some pot or plate takes: only they can let it carry money away. */
function trimTakers(file: KitchenFile): Set<string> {
  const taken = new Set<string>();
  for (const list of [...file.recipes.map((r) => r.steps), ...file.plates.map((p) => p.lines)])
    for (const line of list) if ('of' in line && 'stockTrimOf' in line.of) taken.add(line.of.stockTrimOf);
  return taken;
}
