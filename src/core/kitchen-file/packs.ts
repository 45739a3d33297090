import { olderFirst } from '../day';
import { mannerOf, readAmountOf, toGrams, type Amount, type Manner, type Weighable } from '../quantity';
import { received, type Received } from '../larder';
import { fine, refuse, under, type Outcome } from '../trouble';
import { measuringDensity, stuffOf } from './stuff';
import type { GoodsLine, KitchenFile, WrittenArticle, WrittenIngredient, WrittenPurchase } from './schema';
import * as labels from './texts';

/** How a kitchen writes amounts: its decimal mark and its own measures. */
export const mannerIn = (file: Pick<KitchenFile, 'kitchen' | 'measures'>): Manner =>
  mannerOf(file.kitchen.decimalMark, file.measures);

/** What has to be known of an ingredient before litres or pieces of it become grams. */
export function weighableOf(ingredient: WrittenIngredient): Outcome<Weighable> {
  const stuff = stuffOf(ingredient);
  return stuff.ok
    ? fine({
        name: ingredient.name,
        densityGPerMl: measuringDensity(ingredient, stuff.value),
        eachG: ingredient.eachG,
        eachUnit: ingredient.eachUnit,
        pieceG: ingredient.pieceG,
      })
    : stuff;
}

/**
 * Grams of an ingredient for an amount as typed.
 * @returns trouble where it cannot be read, or what the ingredient weighs is not known
 */
export function weigh(typed: string, ingredient: WrittenIngredient, manner: Manner): Outcome<number> {
  const thing = weighableOf(ingredient);
  if (!thing.ok) return thing;
  const amount = readAmountOf(['mass', 'volume', 'count'], typed, manner);
  if (!amount.ok) return amount;
  const grams = toGrams(amount.value, thing.value);
  return grams.ok ? fine(grams.value.grams) : grams;
}

const PACKED = ['mass', 'volume', 'count'] as const;

/** What a pack of an article holds. */
export interface Pack {
  readonly g: number;
  /** As its text says; other than `g` where somebody weighed it. */
  readonly nominalG: number;
  /** g of one of what it is packed in: a bottle of a case; the pack itself where it is one piece. */
  readonly innerG: number;
  /** What was understood of it: amount and unit kind. */
  readonly amount: number;
  readonly kind: 'mass' | 'volume' | 'count';
  readonly via: string;
  /** The day it was weighed, if it was. */
  readonly weighedOn?: string | undefined;
}

/**
 * What a pack of an article holds on a day: as its text says, or as it was last weighed.
 * @returns trouble where the text cannot be read or brought to grams, or holds nothing
 */
export function packOn(
  article: Pick<WrittenArticle, 'pack' | 'weighings'>,
  ingredient: WrittenIngredient,
  day: string,
  manner: Manner,
  read: (text: string) => Outcome<Amount> = (text) => readAmountOf(PACKED, text, manner),
): Outcome<Pack> {
  const thing = weighableOf(ingredient);
  if (!thing.ok) return thing;
  const amount = read(article.pack);
  if (!amount.ok) return amount;
  const said = toGrams(amount.value, thing.value);
  if (!said.ok) return said;
  const nominalG = said.value.grams;
  if (!(nominalG > 0))
    return refuse('empty-pack', '', labels.holds0GPack(article.pack), {
      value: 0,
      limit: 0,
    });
  const weighed = [...article.weighings]
    .filter((w) => w.on <= day)
    .sort(olderFirst)
    .at(-1);
  const held = weighed && weigh(weighed.held, ingredient, manner);
  const g = held?.ok && held.value > 0 ? held.value : nominalG;
  // Of what is counted one is taken at a time: a head of celery out of the case, a bunch out of twelve.
  const inner = amount.value.inner ?? (amount.value.kind === 'count' ? 1 : undefined);
  return fine({
    g,
    nominalG,
    innerG: inner === undefined ? g : (g * inner) / amount.value.value,
    amount: amount.value.value,
    kind: amount.value.kind as Pack['kind'],
    via: said.value.via,
    weighedOn: g === nominalG ? undefined : weighed?.on,
  });
}

/** What of an article says how it is packed. */
type Packed = Pick<WrittenArticle, 'pack' | 'weighings'>;

/** Pack and weights of an article on a day. */
export type PackFacts = (
  article: Packed,
  ingredient: WrittenIngredient,
  day: string,
) => Outcome<{ readonly pack: Pack; readonly thing: Weighable }>;

/** Looks packs up and remembers those that no weighing changes: for going through years of invoices. */
export function packFacts(manner: Manner): PackFacts {
  const known = new Map<Packed, ReturnType<PackFacts>>();
  // Thousands of articles are packed in a few dozen ways.
  const texts = new Map<string, Outcome<Amount>>();
  const read = (text: string): Outcome<Amount> => {
    const amount = texts.get(text) ?? readAmountOf(PACKED, text, manner);
    texts.set(text, amount);
    return amount;
  };
  const find: PackFacts = (article, ingredient, day) => {
    const pack = packOn(article, ingredient, day, manner, read);
    if (!pack.ok) return { ok: false, trouble: under('pack', pack.trouble) };
    const thing = weighableOf(ingredient);
    return thing.ok ? fine({ pack: pack.value, thing: thing.value }) : thing;
  };
  return (article, ingredient, day) => {
    if (article.weighings.length > 0) return find(article, ingredient, day);
    const facts = known.get(article) ?? find(article, ingredient, day);
    known.set(article, facts);
    return facts;
  };
}

/** What one goods line of a purchase brought and cost. */
export function receivedOn(
  purchase: Pick<WrittenPurchase, 'on' | 'kind'>,
  line: GoodsLine,
  article: Packed,
  ingredient: WrittenIngredient,
  manner: Manner,
  factsOf: PackFacts = packFacts(manner),
): Outcome<Received & { readonly via: string }> {
  const facts = factsOf(article, ingredient, purchase.on);
  if (!facts.ok) return facts;
  const { pack, thing } = facts.value;
  const came = received(line, pack.g, thing, manner, purchase.kind);
  return came.ok ? fine({ ...came.value, via: pack.via }) : came;
}
