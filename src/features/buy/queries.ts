import 'server-only';
import type { Layer } from '@/core/layers';
import { countedLayers } from '@/server/counted-layers';
import { byName } from '@/search';
import { besideCost, costOfPlate, costOfProduct, type KitchenCosting } from '@/core/costing';
import type { GraphNode } from '@/core/graph';
import type { Supply } from '@/core/prices';
import type { Knife } from '@/core/knife';
import { basisWords } from '@/core/why';
import { shiftDay } from '@/core/day';
import { productOf, trimOf, usableOf } from '@/core/supply';
import type { DecimalMark } from '@/core/quantity';
import { costedKitchen, pricedKitchen, todayIn, type AsOf, type CostedKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { formattersFor } from '@/ui/formatters';
import * as texts from './texts';

/** One line of the price book. Money per kg in currency, shares in %. */
export interface PriceRow {
  readonly id: string;
  readonly name: string;
  readonly version: number;
  readonly article?: {
    readonly id: string;
    readonly version: number;
    readonly words: string;
    readonly packG: number;
    readonly packPrice: string;
    readonly since: string;
  };
  readonly usablePct: number;
  readonly stockTrimPct: number;
  readonly estimate: boolean;
  readonly knife: Knife;
  /** For what is not bought: what it comes off, and per kg as it comes off. */
  readonly comesOff?: { readonly of: string; readonly perKg: number | undefined } | undefined;
  readonly trouble?: string;
  /** As-purchased price per kg where its basis is not the latest price; typing a pack price then moves nothing. */
  readonly basisPerKg?: number;
  readonly basis?: { readonly by: 'average' | 'fixed' | 'stock'; readonly words: string };
  /** Share its usable kilo has moved by since the day compared with; undefined where either is unknown. */
  readonly moved?: number;
}

/** Who answers a price: a product per litre or a plate, each `weight` grams of its graph node. */
export interface PriceEffect {
  readonly key: string;
  readonly name: string;
  readonly href: string;
  readonly weight: number;
  /** Per gram (per plate for a plate), as it is. */
  readonly cost: number | null;
  /** The same of the layers that are counted beside the ingredients: no price in this book moves it. */
  readonly beside: number | null;
  /** Of a plate with a target: the most it may cost. */
  readonly most?: number | undefined;
}

/** What some rows' prices move: the part of the cost graph above them, and who answers. */
export interface AffectedDish {
  readonly graph: readonly GraphNode[];
  /** Currency per gram of the graph's sources. */
  readonly prices: readonly (readonly [string, number | null])[];
  readonly products: readonly PriceEffect[];
  readonly plates: readonly PriceEffect[];
}

export interface PriceBookData {
  /** The day the figures are for, and whether it is today: only then can they be edited. */
  readonly day: string;
  readonly today: string;
  readonly known: AsOf['known'];
  /** The day movement is counted from. */
  readonly since: string;
  readonly order: PriceBookOrder;
  readonly mark: DecimalMark;
  readonly mayEdit: boolean;
  /** How many ingredients there are; `rows` are the first of them, the others are asked for when they are wanted. */
  readonly total: number;
  readonly rows: readonly PriceRow[];
  readonly reached: AffectedDish;
  /** Products and plates there are: in a large house only those that are made from the rows in view are told. */
  readonly answers: number;
}

export interface PriceIndex {
  readonly id: string;
  readonly name: string;
  readonly words: string;
}

export const ORDERS = ['name', 'moved', 'cost'] as const;
export type PriceBookOrder = (typeof ORDERS)[number];

/** What of the price book is asked for; everything has a usual value. */
export interface PriceBookAsked {
  readonly on?: string | undefined;
  readonly known?: AsOf['known'] | undefined;
  readonly since?: string | undefined;
  readonly order?: PriceBookOrder | undefined;
}

/** Rows that come with the page: more than a screen, fewer than a larder. */
const AT_ONCE = 60;
const USUAL_LOOK_BACK = 28;

async function bothDays(who: Worker, asked: PriceBookAsked) {
  const today = await todayIn(who.kitchenId);
  const day = asked.on ?? today;
  const known = asked.known ?? 'since';
  const since = asked.since ?? shiftDay(day, -USUAL_LOOK_BACK);
  const kitchen = await costedKitchen(
    who.kitchenId,
    day === today && known === 'since' ? undefined : { day, known },
  );
  const { supplies: before } = await pricedKitchen(who.kitchenId, { day: since, known: 'since' });
  return { today, day, known, since, kitchen, before };
}

export async function priceBook(who: Worker, asked: PriceBookAsked = {}): Promise<PriceBookData> {
  const { today, day, known, since, kitchen, before } = await bothDays(who, asked);
  const { costing } = kitchen;
  const order = asked.order ?? 'name';
  const sorted = inOrderOf(order, costing, before);
  return {
    day,
    today,
    known,
    since,
    order,
    mark: costing.state.kitchen.decimalMark,
    mayEdit: may(who.role, 'changer') && day === today && known === 'since',
    total: sorted.length,
    rows: sorted.slice(0, AT_ONCE).map((s) => priceRow(kitchen, s.ingredient.id, before)),
    reached: reachedBy(
      costing,
      sorted.slice(0, AT_ONCE).map((s) => s.ingredient.id),
      await countedLayers(),
    ),
    answers: costing.state.recipes.length + costing.state.plates.length,
  };
}

/** Answers that are all told; of more only those that are made from the rows in view. */
const MOST_ANSWERS = 200;

/** What the prices of some ingredients move, what comes off them too. */
export function reachedBy(
  costing: KitchenCosting,
  ids: readonly string[],
  counts: readonly Layer[] = [],
): AffectedDish {
  const { graph, supplies, state } = costing;
  const own = ids.flatMap((id) => {
    const found = supplies.get(id);
    return found ? [id, ...cameOffIds(found.knife)] : [];
  });
  const sources = own.flatMap((id) => [usableOf(id), trimOf(id)]);
  const part = graph.partAbove(sources);
  const inPart = new Set(part.map((n) => n.key));
  const all = state.recipes.length + state.plates.length <= MOST_ANSWERS;
  const answer = (key: string, name: string, href: string, weight: () => number): PriceEffect[] =>
    all || inPart.has(key)
      ? [
          {
            key,
            name,
            href,
            weight: weight(),
            cost: graph.cost(key),
            beside: besideCost(costing, key, counts),
          },
        ]
      : [];
  return {
    // A source nothing is made from moves nothing.
    graph: part,
    prices: sources.filter((key) => inPart.has(key)).map((key) => [key, graph.cost(key)]),
    products: state.recipes.flatMap((r) =>
      answer(productOf(r.id), r.name, `/pot/${r.id}`, () => gramsPerLitre(costing, r.id)),
    ),
    plates: state.plates.flatMap((p) =>
      answer(`plate:${p.id}`, p.name, `/pour/${p.id}`, () => 1).map((a) => ({
        ...a,
        most: costOfPlate(costing, p.id).mostAllowed ?? undefined,
      })),
    ),
  };
}

/** Everything that comes off an ingredient, and off that. */
const cameOffIds = (knife: Knife): string[] =>
  knife.byProducts.flatMap((b) => [b.knife.id, ...cameOffIds(b.knife)]);

/** All there is in the price book, in order: what is searched, asked for when somebody begins to. */
export async function priceIndex(who: Worker, asked: PriceBookAsked): Promise<PriceIndex[]> {
  const { kitchen, before } = await bothDays(who, asked);
  return inOrderOf(asked.order ?? 'name', kitchen.costing, before).map((s) => ({
    id: s.ingredient.id,
    name: s.ingredient.name,
    words: wordsOf(s),
  }));
}

/**
 * Rows of the price book by their ids, for a search in a larger one than comes at once.
 * @param inView every row that is then looked at: what they move together is told again
 */
export async function priceRows(
  who: Worker,
  ids: readonly string[],
  inView: readonly string[],
  asked: PriceBookAsked,
): Promise<{ readonly rows: readonly PriceRow[]; readonly reached: AffectedDish }> {
  const { kitchen, before } = await bothDays(who, asked);
  const { costing } = kitchen;
  return {
    rows: ids.filter((id) => costing.supplies.has(id)).map((id) => priceRow(kitchen, id, before)),
    reached: reachedBy(costing, inView, await countedLayers()),
  };
}

const wordsOf = (s: Supply): string =>
  s.price ? `${s.price.article.name} ${s.price.article.pack}, ${s.price.supplier}` : '';

function inOrderOf(
  order: PriceBookOrder,
  now: KitchenCosting,
  before: ReadonlyMap<string, Supply>,
): Supply[] {
  const supplyNames = (a: Supply, b: Supply): number => byName(a.ingredient, b.ingredient);
  const named = sortedByName.get(now) ?? [...now.supplies.values()].sort(supplyNames);
  sortedByName.set(now, named);
  if (order === 'name') return named;
  const value = (s: Supply): number =>
    order === 'cost' ? (s.usablePerKg ?? -1) : Math.abs(movedSince(s, before.get(s.ingredient.id)) ?? -1);
  // Sorting is stable: what is equal stays by name.
  return [...named].sort((a, b) => value(b) - value(a));
}

const movedSince = (now: Supply, before: Supply | undefined): number | undefined =>
  now.usablePerKg === undefined || !before?.usablePerKg
    ? undefined
    : now.usablePerKg / before.usablePerKg - 1;

/** Worked out once for each costing: a costing never changes. */
const sortedByName = new WeakMap<KitchenCosting, Supply[]>();
const gramsPerLitre = (costing: KitchenCosting, recipeId: string): number => {
  const { g, ml } = costOfProduct(costing, recipeId);
  return ml > 0 ? (g / ml) * 1000 : 0;
};

/** By what an ingredient is costed where that is not its latest price. */
const basisIn = (...[basis, money]: Parameters<typeof basisWords>): PriceRow['basis'] =>
  basis.by === 'latest' ? undefined : { by: basis.by, words: basisWords(basis, money) };

/** One ingredient as the price book shows it. */
export function priceRow(
  { costing, versions }: CostedKitchen,
  ingredientId: string,
  before?: ReadonlyMap<string, Supply>,
): PriceRow {
  const s = costing.supplies.get(ingredientId) as Supply;
  const { price } = s;
  const { locale, currency } = costing.state.kitchen;
  const own = price && price.basis.by !== 'latest' ? price : undefined;
  return {
    id: ingredientId,
    name: s.ingredient.name,
    version: versions.ingredients.get(ingredientId) ?? 1,
    article: price && {
      id: price.article.id,
      version: versions.articles.get(price.article.id) ?? 1,
      words: `${price.article.pack}, ${price.supplier}`,
      packG: price.pack.g,
      packPrice: price.packPrice.toFixed(Math.max(2, price.packPrice.decimalPlaces())),
      since: price.invoice ? texts.invoice(price.on, price.invoice) : price.on,
    },
    usablePct: Number((s.usable * 100).toFixed(5)),
    stockTrimPct: Number((s.stockTrim * 100).toFixed(5)),
    estimate: s.yieldSource === 'estimate',
    knife: s.knife,
    comesOff: s.comesOff && {
      of: costing.supplies.get(s.comesOff.of)?.ingredient.name ?? '',
      perKg: s.comesOff.perKg,
    },
    trouble: s.trouble?.message,
    basisPerKg: own?.perKg.toNumber(),
    basis: own && basisIn(own.basis, formattersFor({ locale, currency }).small),
    moved: before && movedSince(s, before.get(ingredientId)),
  };
}
