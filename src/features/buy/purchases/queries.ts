import 'server-only';
import { notFound } from 'next/navigation';
import { mannerIn, packOn, receivedOn, weighableOf } from '@/core/kitchen-file';
import type { StateArticle } from '@/core/kitchen-state';
import type { KitchenState } from '@/core/kitchen-state';
import { deliveryWords, differences, type Difference } from '@/core/larder';
import type { DecimalMark, HouseMeasure, Weighable } from '@/core/quantity';
import { purchaseById, purchaseCalled, purchasesOf, type PurchaseRow } from '@/db/purchases-read';
import { database } from '@/server/database';
import { costedKitchen, todayIn } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { figuresFor } from '@/ui/figure-words';
import { comparable } from '../ingredient/queries';

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
    mayEdit: may(who.role, 'manager'),
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
}

export interface PurchaseForm {
  readonly today: string;
  readonly mark: DecimalMark;
  readonly measures: readonly HouseMeasure[];
  readonly suppliers: readonly { readonly id: string; readonly name: string }[];
  readonly articles: readonly ArticleChoice[];
  readonly ingredients: readonly { readonly id: string; readonly name: string; readonly thing: Weighable }[];
  readonly corrects?:
    | {
        readonly id: string;
        readonly number: string;
        readonly supplier: string;
        readonly lines: readonly { readonly article: string; readonly packPrice: string }[];
      }
    | undefined;
}

export async function purchaseForm(who: Worker, corrects?: string): Promise<PurchaseForm> {
  const { costing } = await costedKitchen(who.kitchenId);
  const { state, supplies } = costing;
  const today = await todayIn(who.kitchenId);
  const manner = mannerIn(state);
  const ingredients = new Map(state.ingredients.map((i) => [i.id, i]));
  const invoice = corrects ? await purchaseById(database(), who.kitchenId, corrects) : undefined;
  return {
    today,
    mark: state.kitchen.decimalMark,
    measures: state.measures,
    suppliers: state.suppliers.map(({ id, name }) => ({ id, name })),
    articles: state.articles.flatMap((a): ArticleChoice[] => {
      const ingredient = ingredients.get(a.ingredient);
      const pack = ingredient && packOn(a, ingredient, today, manner);
      const thing = ingredient && weighableOf(ingredient);
      if (!pack?.ok || !thing?.ok) return [];
      const price = supplies.get(a.ingredient)?.price;
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
          lastPackPrice: price?.article.id === a.id ? price.packPrice.toFixed(2) : undefined,
        },
      ];
    }),
    ingredients: state.ingredients.flatMap((i) => {
      const thing = weighableOf(i);
      return thing.ok ? [{ id: i.id, name: i.name, thing: thing.value }] : [];
    }),
    corrects:
      invoice?.kind === 'invoice'
        ? {
            id: invoice.id,
            number: invoice.number,
            supplier: invoice.supplier,
            lines: invoice.lines.flatMap((l) =>
              l.is === 'goods' && l.article ? [{ article: l.article, packPrice: l.packPrice ?? '' }] : [],
            ),
          }
        : undefined,
  };
}

export interface PurchaseView {
  readonly id: string;
  readonly kind: 'invoice' | 'credit note';
  readonly number: string;
  readonly on: string;
  readonly recordedAt: string;
  readonly supplier: string;
  readonly corrects?: { readonly id: string; readonly number: string } | undefined;
  readonly credits: readonly { readonly id: string; readonly number: string; readonly on: string }[];
  readonly lines: readonly PurchaseViewLine[];
  readonly total: number;
  readonly mayEdit: boolean;
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
  const { money } = figuresFor({ locale, currency });
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
      name: article?.name ?? 'an article that has gone',
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
    recordedAt: found.recordedAt,
    supplier: found.supplierName,
    corrects: found.corrects ? { id: found.corrects, number: found.correctsNumber ?? '' } : undefined,
    credits: found.credits,
    lines,
    total: lines.reduce((sum, l) => sum + l.money, 0),
    mayEdit: may(who.role, 'manager'),
  };
}

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
