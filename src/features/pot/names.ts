import 'server-only';
import { namesToRead, type KitchenCosting } from '@/core/costing';
import type { WrittenIngredient } from '@/core/kitchen-file';
import type { Names } from '@/core/said';
import type { NamedIds } from './reach';

/** Names, and for things that people do not weigh in kilos how they measure them: `l`, `bunch`, nothing for so many of it. */
export interface SheetNames extends Names {
  readonly usual?: Readonly<Record<string, readonly string[]>> | undefined;
}

/** How people measure an ingredient, most usual first; nothing where that is by the kilo. */
function measuredIn({ role, eachG, eachUnit, pieceG }: WrittenIngredient): readonly string[] {
  const pieces = [...(eachG === undefined ? [] : [eachUnit ?? '']), ...Object.keys(pieceG ?? {})];
  return [...(role === 'liquid' ? ['l', ...pieces] : pieces)];
}

/** How every ingredient is measured that is not weighed. */
export const usualMeasures = ({ state }: KitchenCosting): Readonly<Record<string, readonly string[]>> =>
  Object.fromEntries(
    state.ingredients.flatMap((i) => {
      const by = measuredIn(i);
      return by.length > 0 ? [[i.id, by] as const] : [];
    }),
  );

/** The names that the lines of a sheet say already: enough to write them out, not to read what is typed. */
export const namesToWrite = (costing: KitchenCosting, of: NamedIds): Names => {
  const all = namesToRead(costing);
  const [ingredients, recipes] = [new Set(of.ingredients), new Set(of.recipes)];
  return {
    ...all,
    ingredients: all.ingredients.filter((i) => ingredients.has(i.id)),
    recipes: all.recipes.filter((r) => recipes.has(r.id)),
    parts: all.parts?.filter((p) => recipes.has(p.id)),
  };
};
