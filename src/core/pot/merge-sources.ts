import equal from 'fast-deep-equal/es6/index.js';
import type { EthanolSource } from './liquid';
import { copyPiece, type Piece } from './piece';

/**
 * What a product brings of the same thing is one thing from there on. A base that is used twice in each of twelve generations
 * would otherwise bring itself 4,096 times, and every minute would be worked out for each.
 */

/** Adds up what is of the same stuff: everything that passes from pieces goes by their grams, so nothing is another for it. */
export function mergeAlike(pieces: readonly Piece[]): Piece[] {
  const found: Piece[] = [];
  const byId = new Map<string, Piece[]>();
  for (const piece of pieces) {
    const same = byId.get(piece.stuff.id) ?? [];
    byId.set(piece.stuff.id, same);
    const into = same.find((p) => p.stuff === piece.stuff || equal(p.stuff, piece.stuff));
    if (into) add(into, piece);
    else {
      const own = copyPiece(piece);
      same.push(own);
      found.push(own);
    }
  }
  return found;
}

function add(into: Piece, piece: Piece): void {
  into.rawG += piece.rawG;
  for (const part of Object.keys(into.parts) as (keyof Piece['parts'])[])
    into.parts[part] += piece.parts[part];
  into.gelatinPool += piece.gelatinPool;
  into.fatPool += piece.fatPool;
  into.givesPool += piece.givesPool;
  into.juicePool += piece.juicePool;
  into.takesPool += piece.takesPool;
  into.taken += piece.taken;
}

/** Additions of alcohol that a product keeps apart. */
export const MOST_SOURCES = 24;

/** How far apart two additions are: an hour on the heat as far as all of what has boiled away; two wines are never quite the same. */
const apart = (a: EthanolSource, b: EthanolSource): number =>
  Math.abs(a.minutes - b.minutes) / 60 + Math.abs(a.phi - b.phi) + (a.of === b.of ? 0 : 1e-6);

/** What two additions taken for one came with. */
const bothOf = (a: string, b: string): string =>
  (a.split(' and ').includes(b) ? a : `${a} and ${b}`).slice(0, 200);

const asOne = (a: EthanolSource, b: EthanolSource): EthanolSource => {
  const added = a.added + b.added;
  const mean = (x: number, y: number): number => (added > 0 ? (x * a.added + y * b.added) / added : x);
  const of = a.of === b.of ? a.of : bothOf(a.of, b.of);
  return { of, added, minutes: mean(a.minutes, b.minutes), phi: mean(a.phi, b.phi), left: a.left + b.left };
};

/** The same additions of alcohol with the most alike taken for one, until there are few enough; no gram of it is another. */
export function limitSources(sources: readonly EthanolSource[]): EthanolSource[] {
  const few = sources.map((s) => ({ ...s }));
  if (few.length < 2) return few;
  few.sort((a, b) => a.minutes - b.minutes || a.phi - b.phi || (a.of < b.of ? -1 : a.of > b.of ? 1 : 0));
  const gaps = (): number[] => few.slice(1).map((s, i) => apart(few[i] as EthanolSource, s));
  for (let between = gaps(); between.length > 0; between = gaps()) {
    const least = Math.min(...between);
    // What has been through the very same is one addition, however few there are.
    if (least > 1e-12 && few.length <= MOST_SOURCES) break;
    const at = between.indexOf(least);
    few.splice(at, 2, asOne(few[at] as EthanolSource, few[at + 1] as EthanolSource));
  }
  return few;
}
