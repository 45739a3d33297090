import type { KitchenCosting } from './kitchen';
import { priceBeforeTrim, isGuess, type Supply } from '../prices';
import { priceAfterTrim, type Knife } from '../knife';
import { readSupply, trimOf, usableOf, type SupplyKey } from '../supply';
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

/** Whether anybody takes some of it: a pot, a plate or a buyer. */
export const isTaken = (f: TrimFlow): boolean => f.asks.length > 0 || f.plates.length > 0 || f.sold;

/** One thing that comes off an ingredient. */
interface CutOff {
  readonly of: Supply;
  readonly supply: SupplyKey;
  readonly name: string;
  readonly share: number;
  readonly sold: boolean;
  /** How much of it the cost counts as taken. */
  readonly taken: number;
  /** A kilo of it as it comes off. */
  readonly perKg: number | undefined;
  /** g of it as it comes off for a gram that a pot uses: pots state a by-product's usable grams. */
  readonly perUsed: number;
}

/**
 * The flow of trim: what comes off in a week of purchases, against what the pots ask for at their usual batches.
 * @param boughtG g of an ingredient that come in in a week
 */
export function trimFlow(costing: KitchenCosting, boughtG: (ingredientId: string) => number): TrimFlow[] {
  const off = [...costing.supplies.values()].flatMap((s) => comesOff(s, costing.supplies));
  const wanted = wantedIn(costing, new Set(off.map((o) => o.supply)));
  return off.map((o) => flowOf(o, wanted, boughtG(o.of.ingredient.id)));
}

function comesOff(of: Supply, supplies: KitchenCosting['supplies']): CutOff[] {
  const { id, name } = of.ingredient;
  const trim: CutOff = {
    of,
    supply: trimOf(id),
    name: `${name}, stock trim`,
    share: of.stockTrim,
    sold: false,
    taken: of.knife.trimTaken,
    perKg: of.trimPerKg,
    perUsed: 1,
  };
  const products = of.knife.byProducts.map((b): CutOff => {
    const own = supplies.get(b.knife.id);
    return {
      of,
      supply: usableOf(b.knife.id),
      name: b.knife.name,
      share: b.share,
      sold: b.sold,
      taken: b.taken,
      perKg: own?.comesOff?.perKg,
      perUsed: 1 / (own?.usable ?? 1),
    };
  });
  return [trim, ...products].filter((o) => o.share > 0);
}

type Ask = Omit<Asks, 'perBatchG'> & { readonly usedG: number };

/** Who asks for what comes off: pots with the grams of a batch, plates by name. One look at the kitchen for all of it. */
interface Wanted {
  readonly pots: ReadonlyMap<string, readonly Ask[]>;
  readonly plates: ReadonlyMap<string, readonly string[]>;
}

function wantedIn({ recipes, state }: KitchenCosting, supplies: ReadonlySet<string>): Wanted {
  const pots = new Map<string, Ask[]>();
  for (const { recipe, run } of recipes.values()) {
    const used = new Map<string, number>();
    for (const { supply, g } of run.inputs)
      if (g > 0 && supplies.has(supply)) used.set(supply, (used.get(supply) ?? 0) + g);
    for (const [supply, usedG] of used) {
      const ask = { recipe: recipe.id, name: recipe.name, batches: recipe.batchesAWeek, usedG };
      pots.set(supply, [...(pots.get(supply) ?? []), ask]);
    }
  }
  const plates = new Map<string, string[]>();
  for (const { name, lines } of state.plates)
    for (const supply of new Set(lines.map(({ of }) => supplyOf(of))))
      if (supplies.has(supply)) plates.set(supply, [...(plates.get(supply) ?? []), name]);
  return { pots, plates };
}

function flowOf(off: CutOff, wanted: Wanted, boughtG: number): TrimFlow {
  const { of: s, supply, share, sold, taken } = off;
  const asks = (wanted.pots.get(supply) ?? []).map(({ usedG, ...ask }): Asks => ({
    ...ask,
    perBatchG: usedG * off.perUsed,
  }));
  const plates = wanted.plates.get(supply) ?? [];
  const givesG = boughtG * share;
  const asksG = asks.reduce((sum, a) => sum + a.perBatchG * a.batches, 0);
  const really = sold || plates.length > 0 || givesG <= 0 ? taken : Math.min(1, asksG / givesG);
  const then = priceAfterTrim(withTaken(s.knife, supply, really), priceBeforeTrim(s), s.usable, s.stockTrim);
  return {
    supply,
    name: off.name,
    of: { id: s.ingredient.id, name: s.ingredient.name },
    boughtG,
    share,
    guess: isGuess(s),
    givesG,
    asks,
    asksG,
    plates,
    perKg: off.perKg,
    taken,
    reallyTaken: really,
    usablePerKg: s.usablePerKg,
    usableThen: then.usablePerKg,
    sold,
  };
}

const withTaken = (knife: Knife, supply: SupplyKey, taken: number): Knife =>
  readSupply(supply)?.is === 'trim'
    ? { ...knife, trimTaken: taken }
    : {
        ...knife,
        byProducts: knife.byProducts.map((b) => (usableOf(b.knife.id) === supply ? { ...b, taken } : b)),
      };
