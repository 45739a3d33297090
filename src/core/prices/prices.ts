import { olderFirst } from '../day';
import { Decimal } from 'decimal.js';
import { averagePrice, quoteOn, stockPrice, type BasisPrice, type PriceLayer } from '../larder';
import {
  mannerIn,
  packFacts,
  weigh,
  type Basis,
  type Pack,
  type PackFacts,
  type WrittenIngredient,
} from '../kitchen-file';
import type { History, KitchenState, PricePoint, StateArticle } from '../kitchen-state';
import type { Manner } from '../quantity';
import { refuse, type Trouble } from '../trouble';
import * as texts from './texts';

/** Where the price of an ingredient as purchased comes from, on a day. */
export interface PriceFound {
  readonly article: StateArticle;
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

/** What an ingredient's price is found with, besides the ingredient: the same for all of a kitchen. */
export interface PriceBook {
  readonly state: Pick<KitchenState, 'kitchen'>;
  readonly day: string;
  readonly history: History;
  readonly suppliers: ReadonlyMap<string, string>;
  readonly manner: Manner;
  readonly facts: PackFacts;
}

export function priceBook(state: KitchenState, day: string, history: History): PriceBook {
  const manner = mannerIn(state);
  const suppliers = new Map(state.suppliers.map((s) => [s.id, s.name]));
  return { state, day, history, suppliers, manner, facts: packFacts(manner) };
}

/** The price as purchased of an ingredient on a day, by its own basis or the kitchen's; undefined where none of its articles has one. */
export function priceOf(
  ingredient: WrittenIngredient,
  articles: readonly StateArticle[],
  { state, day, history, suppliers, manner, facts: factsOf }: PriceBook,
): PriceFound | Trouble | undefined {
  const newest = newestOf(articles, ingredient.boughtAs, day, history);
  if (!newest) return undefined;
  const { article, point } = newest;
  const facts = factsOf(article, ingredient, day);
  if (!facts.ok) return facts.trouble;
  const { pack } = facts.value;
  const wanted = ingredient.priceBasis ?? state.kitchen.priceBasis;
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
  const receipts = articles.flatMap((a) => history.article(a.id).receipts);
  const counted = history.counted(ingredient.id);
  const countedG = counted && weigh(counted.amount, ingredient, manner);
  const count = counted && countedG?.ok ? { on: counted.on, g: countedG.value } : undefined;
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
  articles: readonly StateArticle[],
  boughtAs: string | undefined,
  day: string,
  history: History,
): { article: StateArticle; point: PricePoint } | undefined {
  const priced = articles.flatMap((article) => {
    const point = quoteOn(history.article(article.id).points, day);
    return point ? [{ article, point }] : [];
  });
  const chosen = priced.find((p) => p.article.id === boughtAs);
  if (chosen) return chosen;
  return priced.reduce<(typeof priced)[number] | undefined>((best, p) => {
    if (!best) return p;
    return olderFirst(p.point, best.point) > 0 ? p : best;
  }, undefined);
}

function fixedPerKg(
  ingredient: WrittenIngredient,
  basis: Extract<Basis, { by: 'fixed' }>,
  manner: Manner,
): { perKg: Decimal } | Trouble {
  const g = weigh(basis.per, ingredient, manner);
  if (!g.ok) return g.trouble;
  if (!(g.value > 0)) return refuse('empty-pack', 'priceBasis.per', texts.holds0GPrice(basis.per)).trouble;
  return { perKg: new Decimal(basis.price).times(1000).div(g.value) };
}
