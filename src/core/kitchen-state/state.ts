import { z } from 'zod';
import { Article, KitchenFile } from '../kitchen-file';

const { kitchen, measures, suppliers, vessels, hobs, ingredients, recipes, plates, menus } =
  KitchenFile.shape;

/**
 * What costing needs of a kitchen on a day: what stands in it now. What has happened there (quotes, purchases, counts, tests,
 * waste, batches) is no part of it, however long it grows: the little of that which prices need is a `History` beside it. A
 * kitchen file is what goes in and out; it becomes a state here and nowhere else.
 */
export const KitchenState = z.strictObject({
  kitchen,
  measures: measures.removeDefault(),
  suppliers: suppliers.removeDefault(),
  vessels,
  hobs,
  ingredients: ingredients.removeDefault(),
  articles: z.array(Article.omit({ quotes: true })),
  recipes: recipes.removeDefault(),
  plates: plates.removeDefault(),
  menus: menus.removeDefault(),
});
export type KitchenState = z.infer<typeof KitchenState>;
export type StateArticle = KitchenState['articles'][number];

/** What stands in a kitchen, out of the file of it. */
export const stateFrom = (file: KitchenFile): KitchenState => ({
  kitchen: file.kitchen,
  measures: file.measures,
  suppliers: file.suppliers,
  vessels: file.vessels,
  hobs: file.hobs,
  ingredients: file.ingredients,
  articles: file.articles.map(({ quotes: _q, ...article }) => article),
  recipes: file.recipes,
  plates: file.plates,
  menus: file.menus,
});
