import 'server-only';
import { notFound } from 'next/navigation';
import { costOfPlate, costOfProduct, isRead, type KitchenCosting } from '@/core/costing';
import { dayIn } from '@/core/day';
import type { PricePoint } from '@/core/kitchen-state';
import { priceBeforeTrim, isGuess, type Supply } from '@/core/prices';
import { basisWords } from '@/core/why';
import { priceAfterTrim } from '@/core/knife';
import { mannerIn, packOn, weighableOf, type Basis } from '@/core/kitchen-file';
import type { StateArticle } from '@/core/kitchen-state';
import { differences, type Comparable } from '@/core/larder';
import type { DecimalMark, HouseMeasure, Weighable } from '@/core/quantity';
import { referenceLarder } from '@/core/reference';
import { pointsOf } from '@/db/kitchen/read-past';
import { archivedArticlesOf } from '@/db/archive';
import { lastCountOf, spellingsOf } from '@/db/buying/larder';
import { database } from '@/server/database';
import { usableOf } from '@/core/supply';
import { costedKitchen, todayIn } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { takesIngredient, usedBy } from '@/server/used-by';
import { formattersFor } from '@/ui/formatters';
import * as texts from './texts';

/** One article an ingredient can be bought as. Money per kg. */
export interface SellerRow {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly code?: string | undefined;
  readonly supplier: string;
  readonly pack: string;
  readonly packG: number;
  /** Whether the pack's text is a weight already. */
  readonly byWeight: boolean;
  readonly weighedOn?: string | undefined;
  readonly packPrice: number | null;
  readonly since?: string | undefined;
  readonly invoice?: string | undefined;
  readonly perKg: number | null;
  readonly usablePerKg: number | null;
  readonly costedFrom: boolean;
  readonly allergens?: readonly string[] | undefined;
  /** What it cost a kilo over time: [day, per kg]. */
  readonly movement: readonly (readonly [string, number])[];
}

export interface IngredientPage {
  readonly id: string;
  readonly name: string;
  readonly version: number;
  readonly mayEdit: boolean;
  readonly today: string;
  readonly mark: DecimalMark;
  readonly measures: readonly HouseMeasure[];
  readonly thing: Weighable;
  readonly usablePerKg: number | null;
  readonly trouble?: string | undefined;
  readonly estimate: boolean;
  readonly usablePct: number;
  readonly basis: Basis;
  readonly ownBasis: boolean;
  readonly basisWords: string;
  readonly note?: string | undefined;
  readonly perKg: number | null;
  /** For what is not bought: what it comes off. */
  readonly comesOff?: { readonly id: string; readonly name: string } | undefined;
  readonly boughtAs?: string | undefined;
  readonly partPack: 'part' | 'whole';
  readonly sellers: readonly SellerRow[];
  readonly awayArticles: readonly { readonly id: string; readonly name: string; readonly since: string }[];
  readonly lastCount?: { readonly on: string; readonly amount: string } | undefined;
  readonly reference?:
    | {
        readonly name: string;
        readonly usable: string;
        readonly own: string;
        readonly confidence: string;
        readonly basis: string;
      }
    | undefined;
  readonly allergens: readonly string[];
  /** Whether it is known that these are all. */
  readonly allergensRead: boolean;
  readonly spellings: readonly { readonly id: string; readonly name: string }[];
  readonly usedBy: readonly { readonly name: string; readonly href: string }[];
}

export async function ingredientPage(who: Worker, id: string): Promise<IngredientPage> {
  const { costing, versions } = await costedKitchen(who.kitchenId);
  const supply = costing.supplies.get(id);
  if (!supply) notFound();
  const { state } = costing;
  const today = await todayIn(who.kitchenId);
  const thing = weighableOf(supply.ingredient);
  const articles = state.articles.filter((a) => a.ingredient === id);
  const mayEdit = may(who.role, 'changer');
  const [past, count, spellings, awayArticles] = await Promise.all([
    pointsOf(
      database(),
      who.kitchenId,
      articles.map((a) => a.id),
    ),
    lastCountOf(database(), who.kitchenId, id),
    spellingsOf(database(), who.kitchenId, id),
    mayEdit ? archivedArticlesOf(database(), who.kitchenId, id) : [],
  ]);
  const { locale, currency } = state.kitchen;
  const money = formattersFor({ locale, currency }).money;
  const wanted = supply.ingredient.priceBasis ?? state.kitchen.priceBasis;
  return {
    id,
    name: supply.ingredient.name,
    version: versions.ingredients.get(id) ?? 1,
    mayEdit,
    awayArticles: awayArticles.map(({ id: a, name, at }) => ({ id: a, name, since: dayIn(who.zone, at) })),
    today,
    mark: state.kitchen.decimalMark,
    measures: state.measures,
    thing: thing.ok ? thing.value : { name: supply.ingredient.name },
    usablePerKg: supply.usablePerKg ?? null,
    trouble: supply.trouble?.message,
    estimate: isGuess(supply),
    usablePct: Number((supply.usable * 100).toFixed(2)),
    basis: wanted,
    ownBasis: supply.ingredient.priceBasis !== undefined,
    basisWords: basisWords(supply.price?.basis ?? wanted, money),
    note: supply.price?.note,
    perKg: priceBeforeTrim(supply) ?? null,
    comesOff: supply.comesOff && {
      id: supply.comesOff.of,
      name: costing.supplies.get(supply.comesOff.of)?.ingredient.name ?? '',
    },
    boughtAs: supply.ingredient.boughtAs,
    partPack: supply.ingredient.partPack,
    sellers: articles
      .map((a) =>
        sellerRow(costing, supply, a, past.get(a.id) ?? [], versions.articles.get(a.id) ?? 1, today),
      )
      .sort((a, b) => (a.usablePerKg ?? Infinity) - (b.usablePerKg ?? Infinity)),
    lastCount: count,
    reference: besideReference(supply),
    allergens: supply.ingredient.allergens,
    allergensRead: isRead(supply.ingredient),
    spellings,
    usedBy: usedBy(state, takesIngredient(id)),
  };
}

/** What the reference larder says of it, beside the yield in use. */
function besideReference({ ingredient, usable }: Supply): IngredientPage['reference'] {
  const ref = ingredient.reference ? referenceLarder().get(ingredient.reference) : undefined;
  return (
    ref && {
      name: ref.name,
      usable:
        ref.usable.low === ref.usable.high
          ? `${ref.usable.pct} %`
          : texts.likely(ref.usable.pct, ref.usable.low, ref.usable.high),
      own: `${Number((usable * 100).toFixed(1))} %`,
      confidence: ref.confidence,
      basis: ref.basis,
    }
  );
}

function sellerRow(
  { state }: KitchenCosting,
  supply: Supply,
  article: StateArticle,
  points: readonly PricePoint[],
  version: number,
  today: string,
): SellerRow {
  const manner = mannerIn(state);
  const pack = packOn(article, supply.ingredient, today, manner);
  const inForce = [...points].reverse().find((p) => p.on <= today);
  const perKg = inForce && pack.ok ? inForce.price.times(1000).div(pack.value.g).toNumber() : null;
  // Each day's price by what a pack held on that day.
  const movement = points.flatMap((p): [string, number][] => {
    const then = packOn(article, supply.ingredient, p.on, manner);
    return then.ok ? [[p.on, p.price.times(1000).div(then.value.g).toNumber()]] : [];
  });
  return {
    id: article.id,
    version,
    name: article.name,
    code: article.code,
    supplier: state.suppliers.find((s) => s.id === article.supplier)?.name ?? '',
    pack: article.pack,
    packG: pack.ok ? pack.value.g : 0,
    byWeight: pack.ok && pack.value.kind === 'mass',
    weighedOn: pack.ok ? pack.value.weighedOn : undefined,
    packPrice: inForce?.price.toNumber() ?? null,
    since: inForce?.on,
    invoice: inForce?.invoice,
    perKg,
    // As every usable kilo is calculated: what comes off pays its share.
    usablePerKg:
      perKg === null
        ? null
        : (priceAfterTrim(supply.knife, perKg, supply.usable, supply.stockTrim).usablePerKg ?? null),
    costedFrom: supply.price?.article.id === article.id,
    allergens: article.label?.allergens,
    movement,
  };
}

/** What changes when another ingredient is used in this one's place, and what every plate would then cost. */
export interface SubstituteComparison {
  readonly name: string;
  readonly differences: readonly {
    readonly what: string;
    readonly message: string;
    readonly grave: boolean;
  }[];
  readonly moved: readonly {
    readonly name: string;
    readonly per: string;
    readonly before: number | null;
    readonly after: number | null;
  }[];
}

/** What an article's label or else its ingredient says of it, to be compared with another. */
export function comparable(
  costing: KitchenCosting,
  ingredientId: string,
  article?: StateArticle,
): Comparable {
  const s = costing.supplies.get(ingredientId);
  const stuff = costing.shelf.stuff(ingredientId)?.stuff;
  const label = article?.label;
  return {
    name: article?.name ?? s?.ingredient.name ?? '',
    allergens: label?.allergens ?? s?.ingredient.allergens ?? [],
    saltPct: label?.saltPct ?? (stuff?.parts.salt ?? 0) * 100,
    gelatinPct: label?.gelatinPct ?? ((stuff?.parts.gelatin ?? 0) + (stuff?.gelatinPool ?? 0)) * 100,
    usablePerKg: s?.usablePerKg,
  };
}

export async function substituteFor(
  who: Worker,
  id: string,
  other: string,
): Promise<SubstituteComparison | null> {
  const { costing } = await costedKitchen(who.kitchenId);
  const [usual, used] = [costing.supplies.get(id), costing.supplies.get(other)];
  if (!usual || !used) return null;
  const { locale, currency } = costing.state.kitchen;
  const article = (s: Supply) => s.price?.article;
  const found = differences(
    { ...comparable(costing, id, article(usual)), name: usual.ingredient.name },
    { ...comparable(costing, other, article(used)), name: used.ingredient.name },
    formattersFor({ locale, currency }).money,
  );
  // The same weight of the other, at its price: what a buyer asks first. A recipe changed for it says more.
  const keys = [
    ...costing.state.recipes.map((r) => ({
      key: `product:${r.id}`,
      name: r.name,
      per: texts.perLitre,
      id: r.id,
    })),
    ...costing.state.plates.map((p) => ({
      key: `plate:${p.id}`,
      name: p.name,
      per: texts.perDish,
      id: p.id,
    })),
  ];
  const readIn =
    (of: KitchenCosting) =>
    (k: (typeof keys)[number]): number | null =>
      k.per === 'per dish' ? costOfPlate(of, k.id).cost : costOfProduct(of, k.id).perL;
  const before = keys.map(readIn(costing));
  // Tried on a graph of its own: others read this costing meanwhile.
  const graph = costing.graph.fork();
  graph.set([[usableOf(id), graph.cost(usableOf(other))]]);
  const after = keys.map(readIn({ ...costing, graph }));
  return {
    name: used.ingredient.name,
    differences: found,
    moved: keys
      .map((k, i) => ({ name: k.name, per: k.per, before: before[i] ?? null, after: after[i] ?? null }))
      .filter((m) => m.before !== m.after),
  };
}
