import { PIECE_KINDS, type PieceKind } from '../larder';
import { fine, type Outcome } from '../trouble';
import { findNamed, type Namer, type Names } from './names';
import { isQuoted } from './quotes';

/** Which pieces a line means: ingredients by id, a kind of them, or all where it is left out. */
export type WhichSaid = string[] | PieceKind | undefined;

const ALL = new Set(['pieces', 'everything', 'all', 'solids', 'it', 'them', 'lot']);
/** Other words for a kind. */
const ALSO: Readonly<Record<string, PieceKind>> = {
  bone: 'bones',
  carcasses: 'bones',
  shell: 'shells',
  veg: 'vegetables',
  vegetable: 'vegetables',
  aromatics: 'vegetables',
};
const kindOf = (word: string): PieceKind | undefined =>
  PIECE_KINDS.find((kind) => kind === word) ?? ALSO[word];

/**
 * “the bones”, “the veal shin and the onion”, “the pieces”. A kind goes before a thing of that name: who means a thing called
 * “Bones” puts it in quotes.
 * @param roughly `left` where words that are no name are to be left alone rather than asked about
 */
export function whichSaid(
  text: string,
  names: Names,
  roughly: 'asked' | 'left' = 'asked',
): Outcome<{ pieces?: Exclude<WhichSaid, undefined> }> {
  const bare = text.trim().replace(/^(?:(?:all|the|of)\s+)+/i, '');
  const word = isQuoted(bare) ? '' : bare.toLowerCase();
  if (ALL.has(word)) return fine({});
  const kind = kindOf(word);
  if (kind) return fine({ pieces: kind });
  for (const name of [text.trim(), bare]) {
    const whole = findNamed(name, names.ingredients, 'ingredient', 'left');
    if (whole.ok) return fine({ pieces: [whole.value.id] });
  }
  const pieces: string[] = [];
  for (const name of bare.split(/\s*,\s*(?:and\s+)?(?:the\s+)?|\s+and\s+(?:the\s+)?/i)) {
    const found = findNamed(name, names.ingredients, 'ingredient', roughly);
    if (!found.ok) return found;
    pieces.push(found.value.id);
  }
  return fine({ pieces });
}

/** The same in words. */
export const whichWords = (which: WhichSaid, name: Namer): string =>
  which === undefined
    ? 'the pieces'
    : typeof which === 'string'
      ? `the ${which}`
      : `the ${which.map((id) => name.ingredient(id)).join(' and ')}`;
