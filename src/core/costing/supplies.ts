import { Decimal } from 'decimal.js';
import { pricePerKg, quoteOn, trimPrices, type TrimSchool } from '../larder';
import { readAmount } from '../quantity';
import { measuringDensity, stuffOf, type KitchenFile, type WrittenIngredient } from '../kitchen-file';
import { refuse, type Trouble } from '../trouble';

export interface PriceFound {
  readonly article: KitchenFile['articles'][number];
  readonly supplier: string;
  readonly on: string;
  readonly packPrice: Decimal;
  readonly packG: number;
  readonly perKg: Decimal;
  /** The invoice it came from; absent for a quote. */
  readonly invoice?: string | undefined;
}

/** What an ingredient costs as bought and after the knife, on a day, and where each figure came from. */
export interface Supply {
  readonly ingredient: WrittenIngredient;
  readonly price?: PriceFound | undefined;
  readonly usable: number;
  readonly stockTrim: number;
  readonly yieldSource: 'estimate' | 'measured';
  readonly yieldOn: string;
  readonly yieldBasis?: string | undefined;
  readonly school: TrimSchool;
  readonly setValuePerKg: number;
  /** Whether any pot takes its stock trim. */
  readonly trimTaken: boolean;
  /** Currency per kg; undefined while there is no price or the trim school cannot be followed. */
  readonly usablePerKg?: number | undefined;
  readonly trimPerKg?: number | undefined;
  readonly trouble?: Trouble | undefined;
}

/** All prices of a kitchen's articles, quotes and invoice lines alike, by article. */
function datedPrices(
  file: KitchenFile,
): Map<string, { on: string; recordedAt: string; price: Decimal; invoice?: string }[]> {
  const prices = new Map(
    file.articles.map((a) => [
      a.id,
      a.quotes.map((q): { on: string; recordedAt: string; price: Decimal; invoice?: string } => ({
        ...q,
        price: new Decimal(q.price),
      })),
    ]),
  );
  for (const purchase of file.purchases)
    for (const line of purchase.lines)
      if (line.is === 'goods')
        prices.get(line.article)?.push({
          on: purchase.on,
          recordedAt: purchase.recordedAt,
          price: new Decimal(line.packPrice),
          invoice: purchase.number,
        });
  return prices;
}

/** Prices as purchased, latest basis, for every ingredient on a day. */
export function pricesOn(file: KitchenFile, day: string): Map<string, PriceFound | Trouble> {
  const dated = datedPrices(file);
  const suppliers = new Map(file.suppliers.map((s) => [s.id, s.name]));
  const ingredients = new Map(file.ingredients.map((i) => [i.id, i]));
  const best = new Map<string, PriceFound | Trouble>();
  const when = new Map<string, { on: string; recordedAt: string }>();
  for (const article of file.articles) {
    const quote = quoteOn(dated.get(article.id) ?? [], day);
    const written = ingredients.get(article.ingredient);
    if (!quote || !written) continue;
    const before = when.get(written.id);
    if (before && (before.on > quote.on || (before.on === quote.on && before.recordedAt >= quote.recordedAt)))
      continue;
    when.set(written.id, quote);
    const stuff = stuffOf(written);
    const pack = readAmount(article.pack, file.kitchen.decimalMark);
    if (!stuff.ok || !pack.ok) {
      best.set(written.id, !stuff.ok ? stuff.trouble : (pack as { trouble: Trouble }).trouble);
      continue;
    }
    const perKg = pricePerKg(quote.price, pack.value, {
      name: written.name,
      densityGPerMl: measuringDensity(written, stuff.value),
      eachG: written.eachG,
    });
    best.set(
      written.id,
      perKg.ok
        ? {
            article,
            supplier: suppliers.get(article.supplier) ?? '',
            on: quote.on,
            packPrice: quote.price,
            packG: perKg.value.packG,
            perKg: perKg.value.perKg,
            invoice: quote.invoice,
          }
        : perKg.trouble,
    );
  }
  return best;
}

/** The yield in force on a day: the latest to take effect, and of two the one recorded last. */
export function yieldOn(written: WrittenIngredient, day: string): WrittenIngredient['yields'][number] {
  const past = written.yields
    .filter((y) => y.on <= day)
    .sort((a, b) => a.on.localeCompare(b.on) || a.recordedAt.localeCompare(b.recordedAt));
  // A kitchen that looks back before its first estimate still needs one: the earliest.
  return past[past.length - 1] ?? (written.yields[0] as WrittenIngredient['yields'][number]);
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
export function suppliesOn(file: KitchenFile, day: string): Map<string, Supply> {
  const prices = pricesOn(file, day);
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
