import 'server-only';
import {
  mannerIn,
  packOn,
  weighableOf,
  type KitchenFile,
  type WrittenArticle,
  type WrittenIngredient,
} from '@/core/kitchen-file';
import { readPrice } from '@/core/larder';
import { countUnitOf, readAmountOf, type Manner } from '@/core/quantity';
import { refuse, under, type Trouble } from '@/core/trouble';
import { recordChange } from '@/db/changes';
import { newId } from '@/db/ids';
import { setIngredient, type IngredientSettings } from '@/db/larder-edits';
import { insertArticles, type ArticleRow } from '@/db/larder-rows';
import { insertPurchases, type BookedLine } from '@/db/purchases';
import { sameInvoice } from '@/db/purchases-read';
import { dayIn, now } from '@/server/clock';
import { costedKitchen } from '@/server/kitchen';
import { edit, Refused, type Edited } from '@/server/write';
import { understandGoods, type TypedGoods } from './understand';

/** An article that is not in the book yet, as it was typed on the invoice form. */
export interface NewArticle {
  readonly ingredient: string;
  readonly name: string;
  readonly code: string;
  readonly pack: string;
  /** What one piece weighs, and a litre: asked for where the pack cannot be weighed without. */
  readonly eachWeighs: string;
  readonly litreWeighs: string;
}

export type PurchaseLineWanted =
  | ({
      readonly is: 'goods';
      readonly article: string;
      readonly newArticle?: NewArticle | undefined;
      readonly inPlaceOf: string;
      readonly note: string;
    } & TypedGoods)
  | {
      readonly is: 'deposit' | 'tax' | 'delivery' | 'discount';
      readonly amount: string;
      readonly note: string;
    };

export interface PurchaseWanted {
  readonly kind: 'invoice' | 'credit note';
  readonly corrects?: string | undefined;
  readonly supplier: string;
  readonly on: string;
  readonly number: string;
  readonly lines: readonly PurchaseLineWanted[];
}

const YEARS_BACK = 5;

/**
 * Writes a purchase down: its lines, the prices on them, its receipts into stock; new articles on the way.
 * @returns the purchase's id, or every mistake with the field it stands in (`theirs` of the refusal)
 */
export function writePurchase(wanted: PurchaseWanted): Promise<Edited<{ id: string }>> {
  return edit('manager', async (sql, who) => {
    const { file } = (await costedKitchen(who.kitchenId)).costing;
    const at = now();
    const today = dayIn(file.kitchen.zone, at);
    const mistakes = headMistakes(wanted, file, today);
    const before = await sameInvoice(sql, who.kitchenId, wanted.supplier, wanted.number.trim());
    if (before) {
      const supplier = file.suppliers.find((s) => s.id === wanted.supplier)?.name ?? 'this supplier';
      mistakes.push(
        refuse(
          'invoice-twice',
          'number',
          `${wanted.number.trim()} of ${supplier} is written down already, for ${before.on}.`,
        ).trouble,
      );
    }
    const made = new Maker(file, today, wanted);
    const lines = wanted.lines.map((line, i) => made.line(line, i));
    mistakes.push(...made.mistakes);
    const [first] = mistakes;
    if (first) throw new Refused(first, mistakes);
    for (const [id, weights] of made.weights) await setIngredient(sql, who.kitchenId, id, weights);
    await insertArticles(sql, who.kitchenId, made.articles, file.articles.length);
    const purchase = {
      id: newId(),
      kind: wanted.kind,
      corrects: wanted.corrects,
      supplier: wanted.supplier,
      on: wanted.on,
      recordedAt: at.toISOString(),
      number: wanted.number.trim(),
      lines: lines.flatMap((l) => (l ? [l.written] : [])),
    };
    await insertPurchases(
      sql,
      who.kitchenId,
      [{ purchase, goods: lines.map((l) => l?.booked) }],
      who.person.id,
    );
    await recordChange(sql, {
      kitchenId: who.kitchenId,
      personId: who.person.id,
      at,
      what: wanted.kind,
      subjectId: purchase.id,
      before: null,
      after: purchase,
    });
    return { id: purchase.id };
  });
}

function headMistakes(wanted: PurchaseWanted, file: KitchenFile, today: string): Trouble[] {
  const found: Trouble[] = [];
  const say = (code: string, path: string, message: string): void =>
    void found.push(refuse(code, path, message).trouble);
  if (!file.suppliers.some((s) => s.id === wanted.supplier))
    say('no-supplier', 'supplier', 'Who is it from?');
  if (wanted.number.trim() === '')
    say('no-number', 'number', 'An invoice has a number: copy it from the paper.');
  const oldest = `${Number(today.slice(0, 4)) - YEARS_BACK}${today.slice(4)}`;
  if (wanted.on > today)
    say('in-the-future', 'on', `${wanted.on} has not come yet: an invoice is of today, ${today}, or before.`);
  else if (wanted.on < oldest)
    say(
      'too-old',
      'on',
      `${wanted.on} is more than ${YEARS_BACK} years ago: the oldest day taken is ${oldest}.`,
    );
  if (wanted.lines.length === 0)
    say('no-lines', 'lines', 'There is nothing on it yet: write at least one line.');
  return found;
}

/** What a purchase asked for and was told of an ingredient's weight. */
type Weights = Pick<IngredientSettings, 'piece' | 'densityGPerMl'>;

/** Turns typed lines into written and booked ones, and gathers every mistake on the way. */
class Maker {
  readonly mistakes: Trouble[] = [];
  readonly articles: ArticleRow[] = [];
  readonly weights = new Map<string, Weights>();
  private readonly manner: Manner;
  private readonly known: Map<string, WrittenArticle>;
  private readonly ingredients: Map<string, WrittenIngredient>;

  constructor(
    file: KitchenFile,
    private readonly today: string,
    private readonly wanted: PurchaseWanted,
  ) {
    this.manner = mannerIn(file);
    this.known = new Map(file.articles.map((a) => [a.id, a]));
    this.ingredients = new Map(file.ingredients.map((i) => [i.id, i]));
  }

  line(
    line: PurchaseLineWanted,
    i: number,
  ): { written: KitchenFile['purchases'][number]['lines'][number]; booked?: BookedLine } | undefined {
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
      if (!line.newArticle)
        say(
          refuse('no-article', 'article', 'What was bought? Choose an article or write a new one.').trouble,
        );
      return undefined;
    }
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

  private newArticle(typed: NewArticle, say: (trouble: Trouble) => undefined): WrittenArticle | undefined {
    const found = this.ingredients.get(typed.ingredient);
    if (!found)
      return say(
        refuse('no-ingredient', 'newArticle.ingredient', 'What is it in the kitchen? Choose the ingredient.')
          .trouble,
      );
    if (typed.name.trim() === '')
      return say(refuse('no-name', 'newArticle.name', 'What does the supplier call it?').trouble);
    const weights = this.weightsOf(typed, say);
    if (!weights) return undefined;
    const { piece, densityGPerMl = found.densityGPerMl } = weights;
    const ingredient: WrittenIngredient = {
      ...found,
      densityGPerMl,
      pieceG: piece ? { ...found.pieceG, [piece.unit]: piece.g } : found.pieceG,
    };
    const article: WrittenArticle = {
      id: newId(),
      supplier: this.wanted.supplier,
      ingredient: found.id,
      name: typed.name.trim(),
      code: typed.code.trim() || undefined,
      pack: typed.pack.trim(),
      weighings: [],
      quotes: [],
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
          refuse(
            'weightless',
            `newArticle.${field}`,
            `“${text.trim()}” weighs nothing: more than 0 g is wanted.`,
          ).trouble,
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
