import { isSameName } from '@/core/name';
import type { KitchenState } from '@/core/kitchen-state';
import { refused } from './door';
import * as texts from './texts';

const LONGEST = 120;

/** A name at all: not empty, and not too long. */
function mustBeName(typed: string, none: string): string {
  const name = typed.trim();
  if (name === '') throw refused('no-name', 'name', none);
  if (name.length > LONGEST)
    throw refused('name-too-long', 'name', texts.nameMostCharacters(LONGEST, name.length), {
      value: name.length,
      limit: LONGEST,
    });
  return name;
}

/**
 * A name of its own in a list: not empty, not too long, and no other's there.
 * @param except the thing itself, which may keep its name
 */
export function uniqueName(
  list: readonly { readonly id: string; readonly name: string }[],
  typed: string,
  words: { readonly none: string; readonly twice: (twin: string) => string },
  except?: string,
): string {
  const name = mustBeName(typed, words.none);
  const twin = list.find((x) => x.id !== except && isSameName(x.name, name));
  if (twin) throw refused('name-twice', 'name', words.twice(twin.name));
  return name;
}

/** A name that a recipe line could mean nothing else by: not empty, not too long, and of no ingredient or recipe yet. */
export function newLarderName(
  state: Pick<KitchenState, 'ingredients' | 'recipes'>,
  typed: string,
  words: { readonly none: string; readonly twice: (twin: string) => string },
  except?: string,
): string {
  return uniqueName([...state.ingredients, ...state.recipes], typed, words, except);
}

/** Names said one after the other, the first two and how many more. */
export function listNames(names: readonly string[]): string {
  const [first = '', second, ...more] = names;
  if (second === undefined) return first;
  return more.length === 0 ? texts.and(first, second) : texts.more(first, second, more.length);
}
