import type { WrittenPlate, WrittenRecipe } from '../kitchen-file';
import { idsOfStep } from '../verbs';
import { idsOfMatter, type EachId, type Named } from '../written';
import type { KitchenState } from './state';

type Cooked = Pick<KitchenState, 'recipes' | 'plates'>;

/** Pot sheets and plates, whole. */
export interface Users {
  readonly recipes: readonly WrittenRecipe[];
  readonly plates: readonly WrittenPlate[];
}

/** A recipe with every id in it put through `each`; the very same where none is another. */
function recipeThrough(recipe: WrittenRecipe, each: EachId): WrittenRecipe {
  let other = false;
  const put: EachId = (kind, id, field) => {
    const next = each(kind, id, field);
    other ||= next !== id;
    return next;
  };
  const next = {
    ...recipe,
    vessel: put('vessel', recipe.vessel, 'vessel'),
    hob: put('hob', recipe.hob, 'hob'),
    steps: recipe.steps.map((step) => idsOfStep(step, put)),
  };
  return other ? next : recipe;
}

function plateThrough(plate: WrittenPlate, each: EachId): WrittenPlate {
  let other = false;
  const put: EachId = (kind, id, field) => {
    const next = each(kind, id, field);
    other ||= next !== id;
    return next;
  };
  const lines = plate.lines.map((line) => ({ ...line, of: idsOfMatter(line.of, put) }));
  return other ? { ...plate, lines } : plate;
}

/** Every id that a recipe or plate names, by kind. */
export function namedBy(of: WrittenRecipe | WrittenPlate): ReadonlyMap<Named, ReadonlySet<string>> {
  const found = new Map<Named, Set<string>>();
  const each: EachId = (kind, id) => {
    const ids = found.get(kind) ?? new Set();
    found.set(kind, ids.add(id));
    return id;
  };
  if ('steps' in of) recipeThrough(of, each);
  else plateThrough(of, each);
  return found;
}

/** Who would be left without something: pot sheets and plates that name it; a recipe's own last batch does not count. */
export function usersOf(state: Cooked, kind: Named, id: string): Users {
  const uses = (of: WrittenRecipe | WrittenPlate): boolean => namedBy(of).get(kind)?.has(id) ?? false;
  return {
    recipes: state.recipes.filter((r) => !(kind === 'recipe' && r.id === id) && uses(r)),
    plates: state.plates.filter(uses),
  };
}

/**
 * Everything that names one thing, naming another in its place; what does not name it is left out.
 * The thing itself, where it is a recipe, keeps its own lines.
 */
export function insteadOf(state: Cooked, kind: Named, from: string, to: string): Users {
  const each: EachId = (k, id) => (k === kind && id === from ? to : id);
  return {
    recipes: state.recipes.flatMap((r) => {
      const next = kind === 'recipe' && r.id === from ? r : recipeThrough(r, each);
      return next === r ? [] : [next];
    }),
    plates: state.plates.flatMap((p) => {
      const next = plateThrough(p, each);
      return next === p ? [] : [next];
    }),
  };
}

/** Who uses what, for anyone who asks about many things: the kitchen is gone through once. */
export function usesIn(state: Cooked): (kind: Named, id: string) => Users {
  const found = new Map<string, { recipes: WrittenRecipe[]; plates: WrittenPlate[] }>();
  const note = (of: WrittenRecipe | WrittenPlate): void => {
    for (const [kind, ids] of namedBy(of))
      for (const id of ids) {
        if (kind === 'recipe' && id === of.id) continue;
        const key = `${kind}:${id}`;
        const users = found.get(key) ?? { recipes: [], plates: [] };
        found.set(key, users);
        if ('steps' in of) users.recipes.push(of);
        else users.plates.push(of);
      }
  };
  for (const r of state.recipes) note(r);
  for (const p of state.plates) note(p);
  return (kind, id) => found.get(`${kind}:${id}`) ?? NOBODY;
}

const NOBODY: Users = { recipes: [], plates: [] };
