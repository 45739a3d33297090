import { sharePrice, type TrimSchool } from '../larder';
import type { Trouble } from '../trouble';
import { keysOf } from '../supply';

/** Something with an ingredient of its own that comes off another. */
export interface ByProduct {
  /** Share of the as-purchased mass, 0 while no test has found any. */
  readonly share: number;
  readonly setValuePerKg: number;
  readonly taken: number;
  readonly sold: boolean;
  /** Its own yield and knife: what comes off may be trimmed in its turn. */
  readonly usable: number;
  readonly stockTrim: number;
  readonly knife: Knife;
}

/** Who pays for what comes off an ingredient: everything but its price and its yield, which people change. */
export interface Knife {
  readonly id: string;
  readonly name: string;
  readonly school: TrimSchool;
  readonly setValuePerKg: number;
  /** How much of its stock trim is taken, 0 to 1. */
  readonly trimTaken: number;
  readonly byProducts: readonly ByProduct[];
}

export interface SupplyPrices {
  readonly usablePerKg?: number | undefined;
  readonly trimPerKg?: number | undefined;
  readonly trouble?: Trouble | undefined;
}

/** A by-product as the knife prices it: what a kilo of it as it comes off costs, and what its own knife makes of that. */
export interface CameOff extends SupplyPrices {
  readonly id: string;
  readonly perKg?: number | undefined;
}

/** Usable and stock trim per kg, and everything that comes off, from a price per kg as purchased and the two shares. */
export function priceAfterTrim(
  knife: Knife,
  perKg: number | undefined,
  usable: number,
  stockTrim: number,
): SupplyPrices & { readonly cameOff: readonly CameOff[] } {
  const shared =
    perKg === undefined
      ? undefined
      : sharePrice(
          usable,
          [
            { name: 'Stock trim', share: stockTrim, setValue: knife.setValuePerKg, taken: knife.trimTaken },
            ...knife.byProducts.map((b) => ({
              name: b.knife.name,
              share: b.share,
              setValue: b.setValuePerKg,
              taken: b.taken,
              sold: b.sold,
            })),
          ],
          perKg,
          knife.school,
        );
  const prices = shared?.ok ? shared.value : undefined;
  const cameOff = knife.byProducts.flatMap((b, i) => {
    const own = prices?.others[i + 1];
    const below = priceAfterTrim(b.knife, own, b.usable, b.stockTrim);
    return [{ id: b.knife.id, perKg: own, ...below }, ...below.cameOff];
  });
  return {
    usablePerKg: prices?.usable,
    trimPerKg: prices?.others[0],
    trouble: shared && !shared.ok ? shared.trouble : undefined,
    cameOff,
  };
}

/** Everything of use that comes off beside the usable part, share of the as-purchased mass. */
export const comesOffShare = (stockTrim: number, knife: Knife): number =>
  knife.byProducts.reduce((sum, b) => sum + b.share, stockTrim);

/** Prices per gram of the sources, as the graph takes them. */
export function* sourcePrices(
  supplies: Iterable<
    Pick<SupplyPrices, 'usablePerKg' | 'trimPerKg'> & { readonly ingredient: { readonly id: string } }
  >,
): Generator<[string, number | null]> {
  for (const { ingredient, usablePerKg, trimPerKg } of supplies) {
    const [usable, trim] = keysOf(ingredient);
    yield [usable, usablePerKg === undefined ? null : usablePerKg / 1000];
    yield [trim, trimPerKg === undefined ? null : trimPerKg / 1000];
  }
}

/** Something that is bought, as the knife prices it: plain data, so that it can be priced otherwise in a browser too. */
export interface Source {
  readonly id: string;
  /** Currency a kg as purchased; undefined while nobody has said. */
  readonly perKg: number | undefined;
  /** Shares of the as-purchased mass. */
  readonly usable: number;
  readonly stockTrim: number;
  readonly knife: Knife;
}

/** The usable share a source can have at most, beside what comes off. */
export const mostUsable = ({ stockTrim, knife }: Source): number =>
  1 - comesOffShare(stockTrim, knife) + 1e-9;

/**
 * Prices per gram of a source and of everything that comes off it.
 * @param times its price as purchased is multiplied with
 * @param usable another usable share than its own, at most `mostUsable`
 */
export function pricesAt(source: Source, times: number, usable = source.usable): [string, number | null][] {
  const { id, perKg, stockTrim, knife } = source;
  const bought = perKg === undefined ? undefined : perKg * times;
  const { cameOff, ...own } = priceAfterTrim(knife, bought, usable, stockTrim);
  return [{ id, ...own }, ...cameOff].flatMap((s) => [...sourcePrices([{ ingredient: s, ...s }])]);
}
