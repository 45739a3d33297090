import { refuse, type Trouble } from '../trouble';
import type { KitchenFile, WrittenIngredient } from './schema';
import * as texts from './texts';

/** The lists of a kitchen file whose things have ids. */
export const LISTS = [
  'people',
  'suppliers',
  'vessels',
  'hobs',
  'ingredients',
  'articles',
  'purchases',
  'recipes',
  'plates',
  'menus',
  'trays',
  'questions',
  'batches',
  'tests',
  'wastes',
] as const;

/** A kitchen some of whose things could not be read: those are left out, but their ids are known. */
export type Sparse = Pick<KitchenFile, 'kitchen'> & {
  readonly measures?: KitchenFile['measures'];
  readonly counts?: KitchenFile['counts'];
} & {
  readonly [L in (typeof LISTS)[number]]: readonly (KitchenFile[L][number] | undefined)[];
} & {
  readonly ids?: { readonly [L in (typeof LISTS)[number]]: readonly string[] };
};

/** Things of a list that could be read, each with its place in the file. */
export function* readable<T>(list: readonly (T | undefined)[]): Generator<[number, T]> {
  for (const [i, item] of list.entries()) if (item !== undefined) yield [i, item];
}

const idsIn = (file: Sparse, list: (typeof LISTS)[number]): Set<string> =>
  new Set(file.ids?.[list] ?? [...readable<{ id: string }>(file[list])].map(([, x]) => x.id));

/** What ids are called where one leads nowhere. */
const CALLED = {
  ingredients: 'ingredient',
  recipes: 'recipe',
  plates: 'plate',
  vessels: 'vessel',
  hobs: 'hob',
  suppliers: 'supplier',
  articles: 'article',
  purchases: 'invoice',
  people: 'person',
} as const satisfies Partial<Record<(typeof LISTS)[number], string>>;
type Called = (typeof CALLED)[keyof typeof CALLED];

/** Says of an id that should lead to a thing where it leads nowhere; each list is looked through once. */
export function missingReferences(file: Sparse, found: Trouble[]) {
  const known = new Map<Called, Set<string>>();
  for (const list of Object.keys(CALLED) as (keyof typeof CALLED)[])
    known.set(CALLED[list], idsIn(file, list));
  return (what: Called, id: string | undefined, path: string): void => {
    if (id !== undefined && !known.get(what)?.has(id))
      found.push(refuse('unknown-id', path, texts.noId(what, id)).trouble);
  };
}
export type ReportMissing = ReturnType<typeof missingReferences>;

export const ingredientsById = (file: Sparse): ReadonlyMap<string, WrittenIngredient> =>
  new Map([...readable(file.ingredients)].map(([, i]) => [i.id, i]));

/** Follows pointers from one ingredient to another; true where they come back to where they began. */
export function isCircular(
  id: string,
  ingredients: ReadonlyMap<string, WrittenIngredient>,
  next: (i: WrittenIngredient | undefined) => string | undefined,
): boolean {
  let at = next(ingredients.get(id));
  for (let i = 0; at !== undefined && i <= ingredients.size; i += 1) {
    if (at === id) return true;
    at = next(ingredients.get(at));
  }
  return false;
}
