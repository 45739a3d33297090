import type { OpenPack } from '../larder';
import { yieldOn, type WrittenIngredient } from '../kitchen-file';
import type { History, KitchenState } from '../kitchen-state';
import { refuse, type Trouble } from '../trouble';
import { runToEnd, type Work } from '../work';
import { priceAfterTrim, type CameOff, type Knife, type Source, type SupplyPrices } from '../knife';
import { childrenIn, knivesOf, sameUsed, supplyUses, type SupplyUse } from './knives';
import { priceBook, priceOf, type PriceFound } from './prices';
import * as texts from './texts';

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
export const priceBeforeTrim = (s: Supply): number | undefined =>
  s.comesOff ? s.comesOff.perKg : s.price?.perKg.toNumber();

/** What it is priced by, apart from its kitchen. */
export const sourceOf = (s: Supply): Source => ({
  id: s.ingredient.id,
  perKg: priceBeforeTrim(s),
  usable: s.usable,
  stockTrim: s.stockTrim,
  knife: s.knife,
});

/** Whether its yield is one that nobody has measured; where nothing comes off there is nothing to measure. */
export const isGuess = (s: Supply): boolean => s.yieldSource === 'estimate' && s.usable < 1;

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
  const { cameOff, ...own } = priceAfterTrim(knife, price?.perKg.toNumber(), usable, stockTrim);
  const noPrice = refuse(
    'no-price',
    `ingredients.${ingredient.id}`,
    texts.noPrice(ingredient.name, day),
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
    texts.comesOffWhichNo(name, of.ingredient.name, day),
  ).trouble;
  return {
    ...child,
    comesOff: { of: of.ingredient.id, perKg },
    usablePerKg,
    trimPerKg,
    trouble: trouble ?? (usablePerKg === undefined ? lacking : undefined),
  };
}

/** What an ingredient and all that comes off it cost, and what that was worked out from: it holds while all of that is the same. */
interface Worked {
  readonly from: readonly unknown[];
  readonly supplies: readonly Supply[];
}

/** Every ingredient of a kitchen as it was priced, for anyone who prices it again with something about it changed. */
export interface KeptSupplies {
  readonly worked: ReadonlyMap<string, Worked>;
  /** What pots and plates take. */
  readonly used: SupplyUse;
  /** All of what it was priced from: while that is the same, so is what came of it. */
  readonly from: readonly unknown[];
  readonly supplies: ReadonlyMap<string, Supply>;
}

const sameList = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((x, i) => x === b[i]);

export interface SuppliesMade {
  readonly supplies: ReadonlyMap<string, Supply>;
  readonly kept: KeptSupplies;
}

/** Ingredients that are one part of the work. */
const A_PART = 50;

/**
 * Every ingredient of a kitchen with what it costs on a day, in the kitchen's order, so that a graph has its nodes where they
 * were. One whose own row, articles, past and uses are what they were is not worked out again.
 */
export function* workSupplies(
  state: KitchenState,
  day: string,
  history: History,
  before?: KeptSupplies,
): Work<SuppliesMade> {
  const taken = supplyUses(state);
  const used = before && sameUsed(before.used, taken) ? before.used : taken;
  const same = [day, state.kitchen, state.suppliers, state.measures];
  const all = [...same, history, used, ...state.ingredients, ...state.articles];
  if (before && sameList(before.from, all)) return { supplies: before.supplies, kept: before };
  const children = childrenIn(state.ingredients);
  const knifeOf = knivesOf(state, (i) => yieldOn(i, day), used, children);
  const sold = groupedBy(state.articles, (a) => a.ingredient);
  const book = priceBook(state, day, history);
  const worked = new Map<string, Worked>();
  const found = new Map<string, Supply>();
  for (const [n, root] of rootsIn(state.ingredients).entries()) {
    if (n % A_PART === A_PART - 1) yield;
    const family = familyOf(root, children);
    const articles = sold.get(root.id) ?? [];
    const times = history.times?.(root.id) ?? 1;
    const from: unknown[] = [...same, history.counted(root.id), times];
    for (const a of articles) from.push(a, history.article(a.id));
    for (const i of family) from.push(i, used.trim.has(i.id), used.usable.has(i.id));
    const was = before?.worked.get(root.id);
    const made =
      was && sameList(was.from, from)
        ? was
        : {
            from,
            supplies: priced(root, family, knifeOf, dearer(priceOf(root, articles, book), times), day),
          };
    worked.set(root.id, made);
    for (const supply of made.supplies) found.set(supply.ingredient.id, supply);
  }
  const supplies = new Map(state.ingredients.map(({ id }) => [id, found.get(id) as Supply]));
  return { supplies, kept: { worked, used, from: all, supplies } };
}

/** A price so many times what it is: something that is tried out. */
const dearer = (found: PriceFound | Trouble | undefined, times: number): PriceFound | Trouble | undefined =>
  found && 'perKg' in found && times !== 1
    ? { ...found, perKg: found.perKg.times(times), packPrice: found.packPrice.times(times) }
    : found;

export const suppliesOn = (state: KitchenState, day: string, history: History): ReadonlyMap<string, Supply> =>
  runToEnd(workSupplies(state, day, history)).supplies;

/** An ingredient and everything that comes off it, priced by its school. */
function priced(
  root: WrittenIngredient,
  family: readonly WrittenIngredient[],
  knifeOf: (ingredient: WrittenIngredient) => Knife,
  price: PriceFound | Trouble | undefined,
  day: string,
): Supply[] {
  const supplies = new Map<string, Supply>(
    family.map((ingredient) => [
      ingredient.id,
      { ingredient, ...yieldOf(ingredient, day), knife: knifeOf(ingredient) },
    ]),
  );
  if (root.comesOff) return [...supplies.values()];
  const { supply, cameOff } = bought(supplies.get(root.id) as Supply, price, day);
  supplies.set(root.id, supply);
  for (const off of cameOff) {
    const child = supplies.get(off.id) as Supply;
    const of = supplies.get(child.ingredient.comesOff?.ingredient ?? '') as Supply;
    supplies.set(off.id, cameOffOf(child, off, of, day));
  }
  return [...supplies.values()];
}

/** Everything that does not come off another ingredient of the kitchen; of a circle of such, each by itself. */
function rootsIn(ingredients: readonly WrittenIngredient[]): WrittenIngredient[] {
  const byId = new Map(ingredients.map((i) => [i.id, i]));
  const hangs = (i: WrittenIngredient): boolean => {
    const seen = new Set([i.id]);
    for (let at = i; at.comesOff;) {
      const next = byId.get(at.comesOff.ingredient);
      if (!next) return at !== i;
      if (seen.has(next.id)) return false;
      seen.add(next.id);
      at = next;
    }
    return i.comesOff !== undefined;
  };
  return ingredients.filter((i) => !hangs(i));
}

/** An ingredient, what comes off it, what comes off that, and so on. */
function familyOf(
  root: WrittenIngredient,
  children: ReadonlyMap<string, readonly WrittenIngredient[]>,
): WrittenIngredient[] {
  if (!children.has(root.id)) return [root];
  const found = new Map([[root.id, root]]);
  for (const member of found.values())
    for (const child of children.get(member.id) ?? []) if (!found.has(child.id)) found.set(child.id, child);
  return [...found.values()];
}

function groupedBy<T>(list: readonly T[], key: (item: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const item of list) {
    const group = groups.get(key(item));
    if (group) group.push(item);
    else groups.set(key(item), [item]);
  }
  return groups;
}
