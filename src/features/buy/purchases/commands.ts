import 'server-only';
import { mannerIn, packOn, weighableOf, type WrittenIngredient, type WrittenLine } from '@/core/kitchen-file';
import type { StateArticle } from '@/core/kitchen-state';
import type { KitchenState } from '@/core/kitchen-state';
import { readPrice } from '@/core/larder';
import { countUnitOf, readAmountOf, type Manner } from '@/core/quantity';
import { refuse, under, type Trouble } from '@/core/trouble';
import { changesIn } from '@/db/changes';
import { newId } from '@/db/mapping/ids';
import { withIds } from '@/db/recipes/recipe-steps';
import { setIngredient, type IngredientSettings } from '@/db/buying/larder-edits';
import { insertArticles, type ArticleRow } from '@/db/buying/larder-rows';
import { insertPurchases, withdrawPurchase, type BookedLine } from '@/db/buying/purchases';
import { notBack, purchaseById, sameInvoice } from '@/db/buying/purchases-read';
import { database } from '@/server/database';
import { idsIn, declare, Refused } from '@/server/door';
import { understandGoods } from './understand';
import { PURCHASE, PURCHASE_BACK, type LineTyped, type NewArticle, type PurchaseTyped } from './wire';
import * as texts from './texts';

const YEARS_BACK = 5;

/**
 * Writes a purchase down: its lines, the prices on them, its receipts into stock; new articles on the way.
 * Every mistake is told with the field it stands in.
 */
const writePurchase = declare({
  wire: PURCHASE,
  role: 'changer',
  moves: 'costs',
  async look(wanted, { state, who, at, today }) {
    const here = await state();
    const mistakes = headMistakes(wanted, here, today);
    const number = wanted.number.trim();
    const before = await sameInvoice(database(), who.kitchenId, wanted.supplier, number, wanted.on);
    if (before) {
      const supplier = here.suppliers.find((s) => s.id === wanted.supplier)?.name ?? texts.supplier;
      mistakes.push(
        refuse('invoice-twice', 'number', texts.alreadyEntered(number, supplier, before.on)).trouble,
      );
    }
    const made = new Maker(here, today, wanted);
    const lines = wanted.lines.map((line, i) => made.line(line, i));
    mistakes.push(...made.mistakes);
    const [first] = mistakes;
    if (first) throw new Refused(first, { mistakes });
    const purchase = {
      id: newId(),
      kind: wanted.kind,
      corrects: wanted.corrects,
      supplier: wanted.supplier,
      on: wanted.on,
      recordedAt: at.toISOString(),
      number,
      lines: withIds(lines.flatMap((l) => (l ? [l.written] : []))),
    };
    return { purchase, goods: lines.map((l) => l?.booked), made, place: here.articles.length };
  },
  dependsOn: (body) => idsIn(body),
  async write({ sql, kitchenId, who }, _body, { purchase, goods, made, place }) {
    for (const [id, weights] of made.weights) await setIngredient(sql, kitchenId, id, weights);
    await insertArticles(sql, kitchenId, made.articles, place);
    await insertPurchases(sql, kitchenId, [{ purchase, goods }], who.person.id);
    return {
      value: { id: purchase.id },
      what: purchase.kind,
      subject: purchase.id,
      before: null,
      after: { ...purchase, newArticles: made.articles.map((a) => a.article.id) },
    };
  },
});

/** Takes a purchase back, or lets it stand again. Articles that came with it stay: they have no price then. */
const purchaseBack = declare({
  wire: PURCHASE_BACK,
  role: 'changer',
  moves: 'costs',
  async look({ id, back }, { who }) {
    const found = await purchaseById(database(), who.kitchenId, id);
    const why = !found
      ? refuse('gone', '', texts.noLongerAmongPurchases).trouble
      : await notBack(database(), who.kitchenId, found, back);
    if (why) throw new Refused(why);
    const { kind = 'invoice' } = found ?? {};
    const [made] = await changesIn(database(), who.kitchenId, { subject: id, most: 1 });
    return { kind, purchase: made?.after ?? made?.before ?? { id } };
  },
  async write({ sql, kitchenId, who, today, at }, { id, back }, { kind, purchase }) {
    await withdrawPurchase(sql, kitchenId, id, back, { person: who.person.id, on: today, at });
    return {
      value: null,
      what: kind,
      subject: id,
      before: back ? purchase : null,
      after: back ? null : purchase,
    };
  },
});

export const commands = [writePurchase, purchaseBack];

function headMistakes(wanted: PurchaseTyped, state: KitchenState, today: string): Trouble[] {
  const found: Trouble[] = [];
  const say = (code: string, path: string, message: string): void =>
    void found.push(refuse(code, path, message).trouble);
  if (!state.suppliers.some((s) => s.id === wanted.supplier)) say('no-supplier', 'supplier', texts.whoFrom);
  if (wanted.number.trim() === '') say('no-number', 'number', texts.invoiceNumberCopyFrom);
  const oldest = `${Number(today.slice(0, 4)) - YEARS_BACK}${today.slice(4)}`;
  if (wanted.on === '') say('no-day', 'on', texts.whichDayChooseDay);
  else if (wanted.on > today) say('in-the-future', 'on', texts.notComeYetInvoice(wanted.on, today));
  else if (wanted.on < oldest) say('too-old', 'on', texts.moreThanYearsAgo(wanted.on, YEARS_BACK, oldest));
  if (wanted.lines.length === 0) say('no-lines', 'lines', texts.nothingYetWriteLeast);
  return found;
}

/** What a purchase asked for and was told of an ingredient's weight. */
type Weights = Pick<IngredientSettings, 'piece' | 'densityGPerMl'>;

const notTheirs = (name: string): Trouble =>
  refuse('not-theirs', 'article', texts.soldAnotherChooseWhat(name)).trouble;

/** Turns typed lines into written and booked ones, and gathers every mistake on the way. */
class Maker {
  readonly mistakes: Trouble[] = [];
  readonly articles: ArticleRow[] = [];
  readonly weights = new Map<string, Weights>();
  private readonly manner: Manner;
  private readonly known: Map<string, StateArticle>;
  private readonly ingredients: Map<string, WrittenIngredient>;
  private readonly suppliers: ReadonlySet<string>;

  constructor(
    state: KitchenState,
    private readonly today: string,
    private readonly wanted: PurchaseTyped,
  ) {
    this.manner = mannerIn(state);
    this.known = new Map(state.articles.map((a) => [a.id, a]));
    this.ingredients = new Map(state.ingredients.map((i) => [i.id, i]));
    this.suppliers = new Set(state.suppliers.map((x) => x.id));
  }

  line(line: LineTyped, i: number): { written: WrittenLine; booked?: BookedLine } | undefined {
    const say = (trouble: Trouble): undefined => void this.mistakes.push(under(`lines[${i}]`, trouble));
    const note = line.note.trim() || undefined;
    if (line.is !== 'goods') {
      const amount = readPrice(line.amount, this.manner.mark);
      if (!amount.ok) return say({ ...amount.trouble, path: 'amount' });
      return {
        written: {
          is: line.is,
          amount: amount.value.toFixed(Math.max(2, amount.value.decimalPlaces())),
          note,
        },
      };
    }
    const article = line.newArticle ? this.newArticle(line.newArticle, say) : this.known.get(line.article);
    if (!article) {
      if (!line.newArticle) say(refuse('no-article', 'article', texts.whatBoughtChooseArticle).trouble);
      return undefined;
    }
    if (!this.sells(article)) return say(notTheirs(article.name));
    const ingredient = this.ingredients.get(article.ingredient) as WrittenIngredient;
    const pack = packOn(article, ingredient, this.wanted.on, this.manner);
    const thing = weighableOf(ingredient);
    if (!pack.ok) return say({ ...pack.trouble, path: 'pack' });
    if (!thing.ok) return say(thing.trouble);
    const facts = { packG: pack.value.g, thing: thing.value };
    const goods = understandGoods(line, facts, this.manner, this.wanted.kind);
    if (!goods.ok) return say(goods.trouble);
    const inPlaceOf = this.known.has(line.inPlaceOf) ? line.inPlaceOf : undefined;
    const written = {
      is: 'goods' as const,
      article: article.id,
      packs: goods.value.packs,
      packPrice: goods.value.packPrice,
      delivered: line.delivered.trim() || undefined,
      rejected: line.rejected.trim() || undefined,
      inPlaceOf,
      note,
    };
    return {
      written,
      booked: {
        line: written,
        ingredientId: ingredient.id,
        pack: article.pack,
        acceptedG: goods.value.received.acceptedG,
        money: goods.value.received.money.toFixed(4),
        via: pack.value.via,
      },
    };
  }

  /** Whether an article is this supplier's, where one is named; a credit note names what stood on its invoice. */
  private sells(article: StateArticle): boolean {
    return (
      this.wanted.kind === 'credit note' ||
      article.supplier === this.wanted.supplier ||
      !this.suppliers.has(this.wanted.supplier)
    );
  }

  private newArticle(typed: NewArticle, say: (trouble: Trouble) => undefined): StateArticle | undefined {
    const found = this.ingredients.get(typed.ingredient);
    if (!found)
      return say(refuse('no-ingredient', 'newArticle.ingredient', texts.whatKitchenChooseIngredient).trouble);
    if (typed.name.trim() === '')
      return say(refuse('no-name', 'newArticle.name', texts.whatDoesSupplierCall).trouble);
    const weights = this.weightsOf(typed, say);
    if (!weights) return undefined;
    const { piece, densityGPerMl = found.densityGPerMl } = weights;
    const ingredient: WrittenIngredient = {
      ...found,
      densityGPerMl,
      pieceG: piece ? { ...found.pieceG, [piece.unit]: piece.g } : found.pieceG,
    };
    const article: StateArticle = {
      id: newId(),
      supplier: this.wanted.supplier,
      ingredient: found.id,
      name: typed.name.trim(),
      code: typed.code.trim() || undefined,
      pack: typed.pack.trim(),
      weighings: [],
    };
    const pack = packOn(article, ingredient, this.today, this.manner);
    if (!pack.ok) return say({ ...pack.trouble, path: 'newArticle.pack' });
    this.ingredients.set(found.id, ingredient);
    if (Object.keys(weights).length > 0) this.weights.set(found.id, weights);
    this.articles.push({ article, pack: pack.value });
    return article;
  }

  private weightsOf(typed: NewArticle, say: (trouble: Trouble) => undefined): Weights | undefined {
    const grams = (text: string, field: string): number | undefined | null => {
      if (text.trim() === '') return null;
      const read = readAmountOf(['mass'], text, this.manner);
      if (!read.ok) return say({ ...read.trouble, path: `newArticle.${field}` });
      if (!(read.value.value > 0))
        return say(
          refuse('weightless', `newArticle.${field}`, texts.weighsNothingMoreThan(text.trim())).trouble,
        );
      return read.value.value;
    };
    const each = grams(typed.eachWeighs, 'eachWeighs');
    const litre = grams(typed.litreWeighs, 'litreWeighs');
    if (each === undefined || litre === undefined) return undefined;
    const pack = readAmountOf(['count'], typed.pack, this.manner);
    const unit = pack.ok ? countUnitOf(pack.value.unit) : 'each';
    return {
      ...(each === null ? {} : { piece: { unit, g: each } }),
      ...(litre === null ? {} : { densityGPerMl: litre / 1000 }),
    };
  }
}
