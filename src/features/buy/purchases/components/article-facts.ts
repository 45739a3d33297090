import { countUnitOf, readAmountOf, toGrams, type Manner, type Weighable } from '@/core/quantity';
import type { IngredientChoice } from '../queries';
import type { ArticleFacts } from '../understand';
import type { NewArticle } from '../wire';

type Known = ReadonlyMap<string, IngredientChoice>;

/** The ingredient's weights with what has just been typed of them. */
function thingOf(typed: NewArticle, known: Known, manner: Manner): Weighable | undefined {
  const thing = known.get(typed.ingredient)?.thing;
  if (!thing) return undefined;
  const grams = (text: string): number | undefined => {
    const read = text.trim() === '' ? undefined : readAmountOf(['mass'], text, manner);
    return read?.ok && read.value.value > 0 ? read.value.value : undefined;
  };
  const litre = grams(typed.litreWeighs);
  const pack = readAmountOf(['count'], typed.pack, manner);
  const each = grams(typed.eachWeighs);
  return {
    ...thing,
    pieceG:
      each === undefined || !pack.ok
        ? thing.pieceG
        : { ...thing.pieceG, [countUnitOf(pack.value.unit)]: each },
    densityGPerMl: litre === undefined ? thing.densityGPerMl : litre / 1000,
  };
}

/** What a new article's pack comes to, as far as it has been typed. */
export function factsOf(typed: NewArticle, known: Known, manner: Manner): ArticleFacts | undefined {
  const thing = thingOf(typed, known, manner);
  const { grams } = packOf(typed, known, manner);
  return thing && grams?.ok && grams.value.grams > 0 ? { packG: grams.value.grams, thing } : undefined;
}

/** What a new article's pack is, what it weighs, and what it cannot be weighed without. */
export function packOf(typed: NewArticle, known: Known, manner: Manner) {
  const thing = thingOf(typed, known, manner);
  const pack =
    typed.pack.trim() === '' ? undefined : readAmountOf(['mass', 'volume', 'count'], typed.pack, manner);
  const grams = thing && pack?.ok ? toGrams(pack.value, thing) : undefined;
  const asks = grams && !grams.ok ? grams.trouble.code : undefined;
  return { pack, grams, asks };
}
