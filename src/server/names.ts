import type { KitchenState } from '@/core/kitchen-state';
import { refuse } from '@/core/trouble';
import { Refused } from './door';

const LONGEST = 120;

/** A name that a recipe line could mean nothing else by: not empty, not too long, and of no ingredient or recipe yet. */
export function mustBeNewName(
  state: Pick<KitchenState, 'ingredients' | 'recipes'>,
  typed: string,
  words: { readonly none: string; readonly twice: (twin: string) => string },
): string {
  const name = typed.trim();
  if (name === '') throw new Refused(refuse('no-name', 'name', words.none).trouble);
  if (name.length > LONGEST)
    throw new Refused(
      refuse('name-too-long', 'name', `A name has at most ${LONGEST} characters; this has ${name.length}.`, {
        value: name.length,
        limit: LONGEST,
      }).trouble,
    );
  const twin = [...state.ingredients, ...state.recipes].find(
    (x) => x.name.toLowerCase() === name.toLowerCase(),
  );
  if (twin) throw new Refused(refuse('name-twice', 'name', words.twice(twin.name)).trouble);
  return name;
}
