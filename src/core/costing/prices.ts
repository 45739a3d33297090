import { Decimal } from 'decimal.js';
import {
  averagePrice,
  quoteOn,
  stockPrice,
  type BasisPrice,
  type PriceLayer,
  type Quote,
  type Receipt,
} from '../larder';
import {
  mannerIn,
  packFacts,
  receivedOn,
  weigh,
  type Basis,
  type KitchenFile,
  type Pack,
  type PackFacts,
  type WrittenArticle,
  type WrittenIngredient,
} from '../kitchen-file';
import type { Manner } from '../quantity';
import { refuse, type Trouble } from '../trouble';

/** A dated price of a pack; where it stands on an invoice, its number. */
export interface PricePoint extends Quote {
  readonly invoice?: string | undefined;
}

/** What the past says of one article. */
export interface ArticleHistory {
  readonly points: readonly PricePoint[];
  readonly receipts: readonly Receipt[];
}

/** Looks up what the past says of an article: a whole file, or as much of it as a day's prices need. */
export type HistoryOf = (articleId: string) => ArticleHistory;

/** Where the price of an ingredient as purchased comes from, on a day. */
export interface PriceFound {
  readonly article: WrittenArticle;
  readonly supplier: string;
  /** Of the newest quote or invoice in force: its day, pack price and invoice. */
  readonly on: string;
  readonly packPrice: Decimal;
  readonly invoice?: string | undefined;
  readonly pack: Pack;
  readonly basis: Basis;
  /** Why another basis than the wanted one was used, or what is odd about it. */
  readonly note?: string | undefined;
  readonly layers: readonly PriceLayer[];
  readonly perKg: Decimal;
}

const NOTHING: ArticleHistory = { points: [], receipts: [] };

/** The past as a whole kitchen file tells it; `knownBy` leaves out what was recorded later. */
export function historyIn(file: KitchenFile, knownBy?: string): HistoryOf {
  const manner = mannerIn(file);
  const facts = packFacts(manner);
  const ingredients = new Map(file.ingredients.map((i) => [i.id, i]));
  const articles = new Map(file.articles.map((a) => [a.id, a]));
  const known = (at: string): boolean => knownBy === undefined || at <= knownBy;
  const past = new Map(
    file.articles.map((a) => [
      a.id,
      {
        points: a.quotes
          .filter((q) => known(q.recordedAt))
          .map((q): PricePoint => ({ ...q, price: new Decimal(q.price) })),
        receipts: [] as Receipt[],
      },
    ]),
  );
  for (const purchase of file.purchases) {
    if (!known(purchase.recordedAt)) continue;
    for (const line of purchase.lines) {
      const article = line.is === 'goods' ? articles.get(line.article) : undefined;
      const ingredient = article && ingredients.get(article.ingredient);
      if (line.is !== 'goods' || !article || !ingredient) continue;
      const at = { on: purchase.on, recordedAt: purchase.recordedAt, invoice: purchase.number };
      const own = past.get(article.id);
      if (purchase.kind === 'invoice') own?.points.push({ ...at, price: new Decimal(line.packPrice) });
      const came = receivedOn(purchase, line, article, ingredient, manner, facts);
      if (came.ok) own?.receipts.push({ ...at, g: came.value.acceptedG, money: came.value.money });
    }
  }
  return (id) => past.get(id) ?? NOTHING;
}

/** Prices as purchased on a day, each ingredient by its own basis or the kitchen's. */
export function pricesOn(
  file: KitchenFile,
  day: string,
  history: HistoryOf = historyIn(file),
): Map<string, PriceFound | Trouble> {
  const suppliers = new Map(file.suppliers.map((s) => [s.id, s.name]));
  const sold = new Map<string, WrittenArticle[]>();
  for (const article of file.articles) {
    const list = sold.get(article.ingredient);
    if (list) list.push(article);
    else sold.set(article.ingredient, [article]);
  }
  const manner = mannerIn(file);
  const counts = lastCounts(file, day, manner);
  const facts = packFacts(manner);
  const found = new Map<string, PriceFound | Trouble>();
  for (const ingredient of file.ingredients) {
    const price = priceOf(
      file,
      ingredient,
      sold.get(ingredient.id) ?? [],
      day,
      history,
      suppliers,
      counts,
      manner,
      facts,
    );
    if (price) found.set(ingredient.id, price);
  }
  return found;
}

function priceOf(
  file: KitchenFile,
  ingredient: WrittenIngredient,
  articles: readonly WrittenArticle[],
  day: string,
  history: HistoryOf,
  suppliers: ReadonlyMap<string, string>,
  counts: ReadonlyMap<string, { on: string; g: number }>,
  manner: Manner,
  factsOf: PackFacts,
): PriceFound | Trouble | undefined {
  const newest = newestOf(articles, ingredient.boughtAs, day, history);
  if (!newest) return undefined;
  const { article, point } = newest;
  const facts = factsOf(article, ingredient, day);
  if (!facts.ok) return facts.trouble;
  const { pack } = facts.value;
  const wanted = ingredient.priceBasis ?? file.kitchen.priceBasis;
  const base = {
    article,
    supplier: suppliers.get(article.supplier) ?? '',
    on: point.on,
    packPrice: point.price,
    invoice: point.invoice,
    pack,
  };
  const latest: PriceFound = {
    ...base,
    basis: { by: 'latest' },
    layers: [],
    perKg: point.price.times(1000).div(pack.g),
  };
  if (wanted.by === 'latest') return latest;
  if (wanted.by === 'fixed') {
    const perKg = fixedPerKg(ingredient, wanted, manner);
    return 'perKg' in perKg ? { ...latest, basis: wanted, perKg: perKg.perKg } : perKg;
  }
  const receipts = articles.flatMap((a) => history(a.id).receipts);
  const count = counts.get(ingredient.id);
  const by: BasisPrice | undefined =
    wanted.by === 'average'
      ? averagePrice(receipts, day, wanted.days)
      : count && stockPrice(receipts, count, day);
  if (!by) return { ...latest, note: whyNot(wanted, count) };
  const short =
    by.unexplainedG > 1
      ? `${(by.unexplainedG / 1000).toFixed(2)} kg more was counted than any purchase explains.`
      : undefined;
  return { ...latest, basis: wanted, note: short, layers: by.layers, perKg: by.perKg };
}

function whyNot(wanted: Basis, count: unknown): string {
  if (wanted.by === 'average')
    return `Nothing was bought in the last ${wanted.days} days: the latest price counts.`;
  return count
    ? 'No purchase explains the quantity counted: the latest price counts.'
    : 'Nobody has counted it yet: the latest price counts.';
}

/** Of all articles of an ingredient the one with the newest price in force, or the one it is costed from. */
function newestOf(
  articles: readonly WrittenArticle[],
  boughtAs: string | undefined,
  day: string,
  history: HistoryOf,
): { article: WrittenArticle; point: PricePoint } | undefined {
  const priced = articles.flatMap((article) => {
    const point = quoteOn(history(article.id).points, day);
    return point ? [{ article, point }] : [];
  });
  const chosen = priced.find((p) => p.article.id === boughtAs);
  if (chosen) return chosen;
  return priced.reduce<(typeof priced)[number] | undefined>((best, p) => {
    if (!best) return p;
    const order =
      p.point.on.localeCompare(best.point.on) || p.point.recordedAt.localeCompare(best.point.recordedAt);
    return order > 0 ? p : best;
  }, undefined);
}

function fixedPerKg(
  ingredient: WrittenIngredient,
  basis: Extract<Basis, { by: 'fixed' }>,
  manner: Manner,
): { perKg: Decimal } | Trouble {
  const g = weigh(basis.per, ingredient, manner);
  if (!g.ok) return g.trouble;
  if (!(g.value > 0))
    return refuse('empty-pack', 'priceBasis.per', `“${basis.per}” holds 0 g: a price is for something.`)
      .trouble;
  return { perKg: new Decimal(basis.price).times(1000).div(g.value) };
}

/** Grams last counted of each ingredient, on or before a day. */
function lastCounts(
  file: KitchenFile,
  day: string,
  manner: Manner,
): Map<string, { on: string; g: number; at: string }> {
  const ingredients = new Map(file.ingredients.map((i) => [i.id, i]));
  const last = new Map<string, { on: string; g: number; at: string }>();
  for (const count of file.counts) {
    const id = count.ingredient;
    const ingredient = ingredients.get(id);
    const before = last.get(id);
    if (!ingredient || count.on > day) continue;
    if (before && (before.on > count.on || (before.on === count.on && before.at > count.recordedAt)))
      continue;
    const g = weigh(count.amount, ingredient, manner);
    if (g.ok) last.set(id, { on: count.on, g: g.value, at: count.recordedAt });
  }
  return last;
}
