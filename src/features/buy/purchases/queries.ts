import 'server-only';
import { notFound } from 'next/navigation';
import { dayIn } from '@/core/day';
import { mannerIn, packOn, receivedOn, weighableOf } from '@/core/kitchen-file';
import type { StateArticle } from '@/core/kitchen-state';
import type { KitchenState } from '@/core/kitchen-state';
import { deliveryWords, differences, type Difference } from '@/core/larder';
import type { DecimalMark, HouseMeasure, Weighable } from '@/core/quantity';
import { proposalEffects, type ProposalEffect } from '@/core/taught';
import { purchaseById, purchaseCalled, purchasesOf, type PurchaseRow } from '@/db/buying/purchases-read';
import { pastWithout } from '@/db/kitchen/read-past';
import { byName, searcher } from '@/search';
import { database } from '@/server/database';
import { costedKitchen, costedWith, todayIn } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { searchLarder } from '@/server/larder-search';
import { formattersFor } from '@/ui/formatters';
import { comparable } from '../ingredient/queries';
import * as texts from './texts';

const A_PAGE = 40;

export interface PurchaseList {
  readonly rows: readonly PurchaseRow[];
  readonly more?: { readonly on: string; readonly id: string } | undefined;
  readonly suppliers: readonly { readonly id: string; readonly name: string }[];
  readonly supplier?: string | undefined;
  readonly mayEdit: boolean;
}

export async function purchaseList(
  who: Worker,
  asked: { supplier?: string | undefined; before?: { on: string; id: string } | undefined },
): Promise<PurchaseList> {
  const { costing } = await costedKitchen(who.kitchenId);
  const rows = await purchasesOf(database(), who.kitchenId, { ...asked, most: A_PAGE + 1 });
  const shown = rows.slice(0, A_PAGE);
  const last = shown[shown.length - 1];
  return {
    rows: shown,
    more: rows.length > A_PAGE && last ? { on: last.on, id: last.id } : undefined,
    suppliers: costing.state.suppliers.map(({ id, name }) => ({ id, name })),
    supplier: asked.supplier,
    mayEdit: may(who.role, 'changer'),
  };
}

/** An article as the form needs it: what a pack weighs, what it last cost. */
export interface ArticleChoice {
  readonly id: string;
  readonly supplier: string;
  readonly ingredient: string;
  readonly name: string;
  readonly code?: string | undefined;
  readonly pack: string;
  readonly packG: number;
  readonly thing: Weighable;
  readonly lastPackPrice?: string | undefined;
  /** What it is, beside its name where one is chosen. */
  readonly says: string;
}

/** An ingredient as a new article of it needs it: how it is weighed, and what a kilo of it costs now. */
export interface IngredientChoice {
  readonly id: string;
  readonly name: string;
  readonly thing: Weighable;
  readonly perKg?: number | undefined;
}

export interface PurchaseForm {
  readonly today: string;
  readonly mark: DecimalMark;
  readonly measures: readonly HouseMeasure[];
  readonly suppliers: readonly { readonly id: string; readonly name: string }[];
  /** Those on the invoice that is corrected; all others are found by their words. */
  readonly articles: readonly ArticleChoice[];
  /** Whether the larder has anything of which something could be bought. */
  readonly larder: boolean;
  readonly corrects?:
    | {
        readonly id: string;
        readonly number: string;
        readonly supplier: string;
        readonly lines: readonly {
          readonly article: string;
          readonly packs: number;
          readonly packPrice: string;
        }[];
      }
    | undefined;
}

export async function purchaseForm(who: Worker, corrects?: string): Promise<PurchaseForm> {
  const { costing } = await costedKitchen(who.kitchenId);
  const { state } = costing;
  const invoice = corrects ? await purchaseById(database(), who.kitchenId, corrects) : undefined;
  const goods = invoice?.lines.filter((l) => l.is === 'goods') ?? [];
  const bought = new Set(goods.map((l) => l.article));
  return {
    today: await todayIn(who.kitchenId),
    mark: state.kitchen.decimalMark,
    measures: state.measures,
    suppliers: state.suppliers.map(({ id, name }) => ({ id, name })),
    articles: await choicesOf(
      who,
      state.articles.filter((a) => bought.has(a.id)),
    ),
    larder: state.ingredients.length > 0,
    corrects:
      invoice?.kind === 'invoice'
        ? {
            id: invoice.id,
            number: invoice.number,
            supplier: invoice.supplier,
            lines: goods.flatMap((l) =>
              l.article ? [{ article: l.article, packs: l.packs ?? 0, packPrice: l.packPrice ?? '' }] : [],
            ),
          }
        : undefined,
  };
}

/** What the form has to know of some articles; one whose pack cannot be weighed is left out. */
async function choicesOf(who: Worker, articles: readonly StateArticle[]): Promise<ArticleChoice[]> {
  const { costing } = await costedKitchen(who.kitchenId);
  const { state, supplies } = costing;
  const today = await todayIn(who.kitchenId);
  const manner = mannerIn(state);
  const wanted = new Set(articles.map((a) => a.ingredient));
  const ingredients = new Map(state.ingredients.flatMap((i) => (wanted.has(i.id) ? [[i.id, i]] : [])));
  return articles.flatMap((a): ArticleChoice[] => {
    const ingredient = ingredients.get(a.ingredient);
    const pack = ingredient && packOn(a, ingredient, today, manner);
    const thing = ingredient && weighableOf(ingredient);
    if (!pack?.ok || !thing?.ok) return [];
    const price = supplies.get(a.ingredient)?.price;
    const lastPackPrice = price?.article.id === a.id ? price.packPrice.toFixed(2) : undefined;
    return [
      {
        id: a.id,
        supplier: a.supplier,
        ingredient: a.ingredient,
        name: a.name,
        code: a.code,
        pack: a.pack,
        packG: pack.value.g,
        thing: thing.value,
        lastPackPrice,
        says: [a.pack, lastPackPrice && `last ${lastPackPrice}`].filter(Boolean).join(', '),
      },
    ];
  });
}

interface Named {
  readonly id: string;
  readonly name: string;
  readonly words: string;
  readonly article: StateArticle;
}
/** Searches over the articles of one supplier, or of all, for as long as the articles are the same. */
const searches = new WeakMap<readonly StateArticle[], Map<string, (wanted: string) => Named[]>>();

function searchOf({ articles, ingredients }: KitchenState, supplier: string): (wanted: string) => Named[] {
  const made = searches.get(articles) ?? new Map<string, (wanted: string) => Named[]>();
  searches.set(articles, made);
  const known = made.get(supplier);
  if (known) return known;
  const names = new Map(ingredients.map((i) => [i.id, i.name]));
  const search = searcher(
    articles
      .filter((a) => supplier === '' || a.supplier === supplier)
      .map((article) => ({
        id: article.id,
        name: article.name,
        words: `${article.code ?? ''} ${article.pack} ${names.get(article.ingredient) ?? ''}`,
        article,
      }))
      .sort(byName),
  );
  made.set(supplier, search);
  return search;
}

/** As many as anybody looks through before typing another letter. */
const MOST_OFFERED = 12;

/** Articles of a supplier (of all, where none is named) that fit some words, best first. */
export async function goodsCalled(who: Worker, supplier: string, wanted: string): Promise<ArticleChoice[]> {
  const { costing } = await costedKitchen(who.kitchenId);
  const found = searchOf(costing.state, supplier)(wanted).slice(0, MOST_OFFERED);
  return choicesOf(
    who,
    found.map((f) => f.article),
  );
}

/** Articles by their ids: of a draft that was begun earlier. */
export async function goodsWith(who: Worker, ids: readonly string[]): Promise<ArticleChoice[]> {
  const { costing } = await costedKitchen(who.kitchenId);
  const wanted = new Set(ids);
  return choicesOf(
    who,
    costing.state.articles.filter((a) => wanted.has(a.id)),
  );
}

/** Ingredients of which something new could be bought, by some words or by their ids. */
export async function ingredientsFor(
  who: Worker,
  asked: { readonly wanted: string } | { readonly ids: readonly string[] },
): Promise<IngredientChoice[]> {
  const { costing } = await costedKitchen(who.kitchenId);
  const ids =
    'ids' in asked
      ? asked.ids
      : searchLarder(costing, asked.wanted)
          .slice(0, MOST_OFFERED)
          .map((t) => t.id);
  const place = new Map(ids.map((id, i) => [id, i]));
  return costing.state.ingredients
    .filter((i) => place.has(i.id))
    .sort((a, b) => (place.get(a.id) ?? 0) - (place.get(b.id) ?? 0))
    .flatMap((i) => {
      const thing = weighableOf(i);
      const perKg = costing.supplies.get(i.id)?.price?.perKg.toNumber();
      return thing.ok ? [{ id: i.id, name: i.name, thing: thing.value, perKg }] : [];
    });
}

export interface PurchaseView {
  readonly id: string;
  readonly kind: 'invoice' | 'credit note';
  readonly number: string;
  readonly on: string;
  /** The day on which it was written down, in the kitchen. */
  readonly recordedAt: string;
  readonly supplier: string;
  readonly corrects?: { readonly id: string; readonly number: string } | undefined;
  readonly credits: readonly { readonly id: string; readonly number: string; readonly on: string }[];
  readonly lines: readonly PurchaseViewLine[];
  readonly total: number;
  readonly mayEdit: boolean;
  /** The day on which it was taken back, where it was. */
  readonly withdrawnOn?: string | undefined;
}

export interface PurchaseViewLine {
  readonly is: string;
  readonly name: string;
  readonly href?: string | undefined;
  readonly pack?: string | undefined;
  readonly packs?: number | undefined;
  readonly packPrice?: string | undefined;
  readonly acceptedG?: number | undefined;
  readonly money: number;
  readonly perKg?: number | undefined;
  readonly note?: string | undefined;
  readonly words: readonly string[];
  /** Where it came in place of another article: what that changes. */
  readonly instead?: { readonly of: string; readonly differences: readonly Difference[] } | undefined;
}

const EXTRA_WORDS = { deposit: 'Deposit', tax: 'Tax', delivery: 'Delivery', discount: 'Discount' } as const;

export async function purchaseView(who: Worker, id: string): Promise<PurchaseView> {
  const { costing } = await costedKitchen(who.kitchenId);
  const found = await purchaseById(database(), who.kitchenId, id);
  if (!found) notFound();
  const { state } = costing;
  const articles = new Map(state.articles.map((a) => [a.id, a]));
  const { locale, currency } = state.kitchen;
  const { money } = formattersFor({ locale, currency });
  const lines = found.lines.map((l): PurchaseViewLine => {
    if (l.is !== 'goods')
      return {
        is: l.is,
        name: EXTRA_WORDS[l.is],
        money: Number(l.amount ?? 0) * (l.is === 'discount' ? -1 : 1),
        note: l.note,
        words: [],
      };
    const article = articles.get(l.article ?? '');
    const ordered = articles.get(l.inPlaceOf ?? '');
    const paid = Number(l.money ?? 0);
    return {
      is: 'goods',
      name: article?.name ?? texts.articleGone,
      href: article && `/buy/${article.ingredient}`,
      pack: article?.pack,
      packs: l.packs,
      packPrice: l.packPrice,
      acceptedG: l.acceptedG,
      money: paid,
      perKg: l.acceptedG && l.acceptedG > 0 ? (paid / l.acceptedG) * 1000 : undefined,
      note: l.note,
      words: wordsOf(costing.state, article, l, found.on, found.kind),
      instead:
        article && ordered
          ? {
              of: ordered.name,
              differences: differences(
                comparable(costing, ordered.ingredient, ordered),
                comparable(costing, article.ingredient, article),
                money,
              ),
            }
          : undefined,
    };
  });
  return {
    id: found.id,
    kind: found.kind,
    number: found.number,
    on: found.on,
    recordedAt: dayIn(who.zone, new Date(found.recordedAt)),
    supplier: found.supplierName,
    corrects: found.corrects ? { id: found.corrects, number: found.correctsNumber ?? '' } : undefined,
    credits: found.credits,
    lines,
    total: lines.reduce((sum, l) => sum + l.money, 0),
    mayEdit: may(who.role, 'changer'),
    withdrawnOn: found.withdrawnAt && dayIn(who.zone, new Date(found.withdrawnAt)),
  };
}

/** What the kitchen would cost without a purchase: the largest share first. Nothing is written. */
export async function changedWithout(who: Worker, id: string): Promise<ProposalEffect[]> {
  const found = await purchaseById(database(), who.kitchenId, id);
  if (!found || found.withdrawnAt) return [];
  const kitchen = await costedKitchen(who.kitchenId);
  const articles = [...new Set(found.lines.flatMap((l) => (l.article ? [l.article] : [])))];
  const without = await pastWithout(database(), who.kitchenId, id, articles, kitchen.costing.day);
  const then = await costedWith(
    kitchen,
    (state) => state,
    (past) => ({ ...past, article: (a) => without.get(a) ?? past.article(a) }),
  );
  const share = ({ before, after }: ProposalEffect): number =>
    before === null || after === null ? Infinity : Math.abs(after / before - 1);
  return proposalEffects(kitchen.costing, then)
    .sort((a, b) => share(b) - share(a))
    .slice(0, MOST_MOVED);
}

/** Of what a purchase moves as much is shown. */
const MOST_MOVED = 40;

type FoundLine = NonNullable<Awaited<ReturnType<typeof purchaseById>>>['lines'][number];

/** What is odd about the delivery of a line: read again as it was typed. */
function wordsOf(
  state: KitchenState,
  article: StateArticle | undefined,
  line: FoundLine,
  on: string,
  kind: 'invoice' | 'credit note',
): string[] {
  const ingredient = state.ingredients.find((i) => i.id === article?.ingredient);
  if (!article || !ingredient || kind === 'credit note' || line.packs === undefined) return [];
  const { packs, packPrice = '0', delivered, rejected } = line;
  const came = receivedOn(
    { on, kind },
    { is: 'goods', article: article.id, packs, packPrice, delivered, rejected },
    article,
    ingredient,
    mannerIn(state),
  );
  return came.ok ? deliveryWords(came.value) : [];
}

/** The invoice of a day that has a number. */
export const invoiceCalled = async (who: Worker, on: string, number: string): Promise<string | undefined> =>
  (await purchaseCalled(database(), who.kitchenId, on, number))?.id;
