import type { KitchenCosting } from '@/core/costing';
import type { WrittenAsks } from '@/core/kitchen-file';

/** What each kind of question asks, as a heading. */
const QUESTIONS: Readonly<Record<WrittenAsks['of'], string>> = {
  base: 'which base?',
  thicken: 'reduce, or thicken?',
  press: 'pressed, or not?',
  'second pass': 'a second pass, or not?',
  'second wash': 'a second wash, or not?',
  salt: 'salt early, or late?',
  lid: 'lid off, ajar or on?',
  pot: 'in which pot?',
  instead: 'one thing in the place of another',
  article: 'which pack, from whom?',
  school: 'who pays for trim?',
  sheets: 'which pot sheet?',
  versions: 'as it stands, or as it was?',
};

/** A question in words: what it is asked of, and what. */
export function titleOf({ state }: KitchenCosting, asks: WrittenAsks): string {
  const name = state.recipes.find((r) => r.id === asks.recipe)?.name ?? 'An archived sheet';
  if (asks.of !== 'article') return `${name}: ${QUESTIONS[asks.of]}`;
  const ingredient = state.ingredients.find((i) => i.id === asks.ingredient)?.name ?? 'something archived';
  return `${ingredient} for ${name}: ${QUESTIONS.article}`;
}
