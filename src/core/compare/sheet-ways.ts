import type { KitchenCosting } from '../costing';
import type { WrittenAsks, WrittenRecipe } from '../kitchen-file';
import { ownConstants } from '../kitchen-state';
import type { PotRun, ProcessConstants } from '../pot';
import type { DecimalMark } from '../quantity';
import { potOf } from '../shelf';
import { fine, refuse, type Outcome } from '../trouble';
import { runPot, runPotFrom, type PotTrace, type WrittenStep } from '../verbs';
import type { Of } from '../written';
import * as texts from './texts';

/** What a question is asked on: the kitchen as it is, and the sheet and line that it is about. */
export interface SheetContext {
  readonly costing: KitchenCosting;
  readonly c: ProcessConstants;
  readonly recipe: WrittenRecipe;
  /** Place of the line among the steps; -1 where the question is about no line. */
  readonly at: number;
  /** The last run that was tried: another goes on from the lines it has in common with it. */
  readonly last: { trace?: PotTrace };
}

/** A way as a question makes it: the sheet as it would be, and what there is to say of it. */
export interface SheetWay {
  readonly name: string;
  readonly recipe: WrittenRecipe;
  readonly note?: string | undefined;
  /** A pot that is made for it, beside the sheet. */
  readonly also?: WrittenRecipe | undefined;
  /** Times the sheet is cooked for what the others make in one pot. */
  readonly batches?: number | undefined;
  readonly prices?: number | undefined;
  readonly benchHours?: number | undefined;
}

/** The sheet and line that a question names, or why it cannot be asked. */
export function sheetOf(
  costing: KitchenCosting,
  asks: WrittenAsks,
  shipped: ProcessConstants,
): Outcome<SheetContext> {
  const recipe = costing.state.recipes.find((r) => r.id === asks.recipe);
  if (!recipe) return refuse('gone', '', texts.sheetAskedArchived);
  const at = 'line' in asks ? recipe.steps.findIndex((s) => s.id === asks.line) : -1;
  if ('line' in asks && at < 0) return refuse('gone', '', texts.lineAskedRemovedSince(recipe.name));
  return {
    ok: true,
    value: { costing, c: ownConstants(costing.state.kitchen, shipped), recipe, at, last: {} },
  };
}

/** The pot of a sheet that is tried out, cooked on the kitchen’s shelf. */
export function cookTrial(
  { costing, c, last }: Pick<SheetContext, 'costing' | 'c' | 'last'>,
  recipe: WrittenRecipe,
): PotRun {
  last.trace = runPotFrom(potOf(recipe, costing.shelf), c, last.trace);
  return last.trace.run;
}

/** The same, with one more pot on the shelf, cooked for it. */
export function withPot(on: SheetContext, also: WrittenRecipe): SheetContext {
  const { costing, c } = on;
  const { product } = runPot(potOf(also, costing.shelf), c);
  const shelf: KitchenCosting['shelf'] = {
    ...costing.shelf,
    product: (id, part) =>
      id !== also.id
        ? costing.shelf.product(id, part)
        : product
          ? fine({ name: also.name, product })
          : refuse('no-product', 'of', texts.cannotMade(also.name)),
  };
  return { ...on, costing: { ...costing, shelf } };
}

/** A sheet with some of its lines otherwise. */
export const withSteps = (
  recipe: WrittenRecipe,
  change: (steps: readonly WrittenStep[]) => readonly WrittenStep[],
): WrittenRecipe => ({ ...recipe, steps: [...change(recipe.steps)] as WrittenRecipe['steps'] });

/** A sheet with one line replaced by others, which belong to the way it belongs to. */
export const withLine = (recipe: WrittenRecipe, at: number, by: readonly WrittenStep[]): WrittenRecipe =>
  withSteps(recipe, (steps) =>
    steps.flatMap((s, i) => {
      if (i !== at) return [s];
      const { way } = s;
      return by.map((b) => (way === undefined ? b : { ...b, way }));
    }),
  );

/** A figure as it is typed in a kitchen, with so many digits that count. */
export const formatTyped = (n: number, mark: DecimalMark, digits = 6): string => {
  const plain = Number(n.toPrecision(digits)).toString();
  // Three decimals could be thousands.
  return (/\.\d{3}$/.test(plain) ? `${plain}0` : plain).replace('.', mark);
};

/** What a matter is called. */
export function matterName({ state }: KitchenCosting, of: Of): string {
  const ingredient = (id: string): string =>
    state.ingredients.find((i) => i.id === id)?.name ?? 'something archived';
  const recipe = (id: string): string => state.recipes.find((r) => r.id === id)?.name ?? 'an archived sheet';
  if ('ingredient' in of) return ingredient(of.ingredient);
  if ('stockTrimOf' in of) return `stock trim of ${ingredient(of.stockTrimOf)}`;
  if ('product' in of)
    return of.part === undefined ? recipe(of.product) : `${of.part} of ${recipe(of.product)}`;
  return `last batch of ${recipe(of.lastBatchOf)}`;
}

/** Verbs that finish a pot: what is still to be done to its body comes before the first of them. */
const FINISHING = new Set<WrittenStep['do']>([
  'season to',
  'to taste',
  'mount',
  'enrich',
  'loosen',
  'loosen to',
  'chill',
  'hold',
  'portion',
  'defat',
]);

/** Where a further line goes that changes the body: before the pot is seasoned and finished, and after line `after`. */
export function beforeFinishing(steps: readonly WrittenStep[], after: number): number {
  const at = steps.findIndex((s, i) => i > after && FINISHING.has(s.do));
  return at < 0 ? steps.length : at;
}
