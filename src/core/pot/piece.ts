import { noParts, partsG, partsMl, type Parts } from '../quantity';
import type { Stuff } from '../larder';
import type { Liquid } from './liquid';

/**
 * Bones, vegetables, grains: what stays a piece until it is strained out, puréed or served.
 *
 * `parts` are g now. Pools are g that can still pass; salt and sugar pass until liquid and piece are equally
 * salty and sweet, so they are their own pools. Gelatin waits inside `parts.rest` until it comes out.
 */
export interface Piece {
  readonly stuff: Stuff;
  /** g raw, as added: retention is calculated on it. */
  rawG: number;
  parts: Parts;
  gelatinPool: number;
  fatPool: number;
  givesPool: number;
  /** Juice that heat can still press out. */
  juicePool: number;
  takesPool: number;
  /** g of water taken up so far. */
  taken: number;
}

export function newPiece(stuff: Stuff, g: number): Piece {
  const parts = noParts();
  for (const part of Object.keys(parts) as (keyof Parts)[]) parts[part] = stuff.parts[part] * g;
  return {
    stuff,
    rawG: g,
    parts,
    gelatinPool: stuff.gelatinPool * g,
    fatPool: stuff.renderedFat * g,
    givesPool: stuff.givesWater * g,
    juicePool: stuff.juice * g,
    takesPool: stuff.takesWater * g,
    taken: 0,
  };
}

export const pieceG = (p: Piece): number => partsG(p.parts);
export const pieceMl = (p: Piece): number => partsMl(p.parts);
/** ml of heap the pieces stand in: true volume over packing share. */
export const heapMl = (p: Piece): number => pieceMl(p) / p.stuff.packing;

export const copyPiece = (p: Piece): Piece => ({ ...p, parts: { ...p.parts } });

/** A share of a piece, pools and all. */
export function shareOfPiece(p: Piece, k: number): Piece {
  const parts = { ...p.parts };
  for (const part of Object.keys(parts) as (keyof Parts)[]) parts[part] *= k;
  return {
    stuff: p.stuff,
    rawG: p.rawG * k,
    parts,
    gelatinPool: p.gelatinPool * k,
    fatPool: p.fatPool * k,
    givesPool: p.givesPool * k,
    juicePool: p.juicePool * k,
    takesPool: p.takesPool * k,
    taken: p.taken * k,
  };
}

/** Half-lives, h, of what passes in every piece alike. */
export interface HalfLives {
  readonly fat: number;
  readonly salt: number;
  readonly gives: number;
  readonly takes: number;
}

/** Shares of what passes alike in every piece, in a stretch of time. */
export interface Passing {
  readonly fat: number;
  readonly salt: number;
  readonly takes: number;
}

/** Shares that pass by a half-life of the piece's own. */
export interface OwnPassing {
  readonly gelatin: number;
  readonly gives: number;
  readonly juice: number;
}

const passed = (hours: number, halfLife: number): number => 1 - 2 ** (-hours / halfLife);

/** °C at which meat begins to give its juice, and from which it gives it as fast as it can (docs/model.md, "Passing"). */
const JUICE = { from: 50, full: 90 };

const juiceSpeed = (celsius: number): number =>
  Math.min(1, Math.max(0, (celsius - JUICE.from) / (JUICE.full - JUICE.from)));

export const passing = (hours: number, h: HalfLives): Passing => ({
  fat: passed(hours, h.fat),
  salt: passed(hours, h.salt),
  takes: passed(hours, h.takes),
});

/** What of a piece's own passes in some hours at a temperature. */
export const ownPassing = (p: Piece, hours: number, celsius: number, h: HalfLives): OwnPassing => ({
  gelatin: p.gelatinPool > 0 ? passed(hours, p.stuff.gelatinHalfLifeH) : 0,
  gives: p.givesPool > 0 ? passed(hours, p.stuff.givesHalfLifeH ?? h.gives) : 0,
  juice: p.juicePool > 0 ? passed(hours * juiceSpeed(celsius), p.stuff.juiceHalfLifeH) : 0,
});

/** What of a piece's pools passes in a stretch of heat, each by its own half-life; nothing is lost. */
function passBetween(p: Piece, l: Liquid, by: Passing, own: OwnPassing): void {
  if (p.gelatinPool > 0) {
    const g = Math.min(p.gelatinPool * own.gelatin, p.parts.rest);
    p.gelatinPool -= g;
    p.parts.rest -= g;
    l.gelatin += g;
  }
  if (p.fatPool > 0) {
    const g = Math.min(p.fatPool * by.fat, p.parts.fat);
    p.fatPool -= g;
    p.parts.fat -= g;
    l.freeFat += g;
  }
  if (p.juicePool > 0) pressOut(p, l, p.juicePool * own.juice);
  if (p.givesPool > 0) {
    const g = Math.min(p.givesPool * own.gives, p.parts.water);
    p.givesPool -= g;
    p.parts.water -= g;
    l.water += g;
  }
  if (p.takesPool > 0) {
    const g = Math.min(p.takesPool * by.takes, l.water);
    p.takesPool -= g;
    p.parts.water += g;
    p.taken += g;
    l.water -= g;
  }
}

/** Juice leaves with the salt and sugar that are dissolved in it. */
function pressOut(p: Piece, l: Liquid, juice: number): void {
  const g = Math.min(juice, p.parts.water);
  if (g <= 0) return;
  const share = g / p.parts.water;
  p.juicePool -= g;
  p.parts.water -= g;
  l.water += g;
  for (const part of ['salt', 'sugar'] as const) {
    const along = p.parts[part] * share;
    p.parts[part] -= along;
    l[part] += along;
  }
}

/**
 * Everything that passes between the pieces of a pot and its liquid in a stretch of time. Salt and sugar pass last, whichever way,
 * towards as much of them in every gram of water: all pieces towards one balance, so that a piece in two halves gives what it
 * gives whole.
 */
export function passAll(pieces: readonly Piece[], l: Liquid, by: Passing, own: readonly OwnPassing[]): void {
  if (pieces.length === 0) return;
  for (let i = 0; i < pieces.length; i += 1) passBetween(pieces[i]!, l, by, own[i]!);
  let water = l.water;
  let salt = l.salt;
  let sugar = l.sugar;
  for (const { parts } of pieces) {
    water += parts.water;
    salt += parts.salt;
    sugar += parts.sugar;
  }
  if (water <= 0) return;
  for (const { parts } of pieces) {
    // Never more than is there, whatever the last bit of a sum says.
    const saltOut = Math.max((parts.salt - (salt / water) * parts.water) * by.salt, -l.salt);
    const sugarOut = Math.max((parts.sugar - (sugar / water) * parts.water) * by.salt, -l.sugar);
    parts.salt -= saltOut;
    parts.sugar -= sugarOut;
    l.salt += saltOut;
    l.sugar += sugarOut;
  }
}

/** Browning drives off what would have come out later anyway: juice first, then water given up; and fat that would have rendered. */
export function browned(p: Piece, vapour: number, fat: number): void {
  p.parts.water -= vapour;
  const juice = Math.min(vapour, p.juicePool);
  p.juicePool -= juice;
  p.givesPool = Math.max(0, p.givesPool - (vapour - juice));
  p.parts.fat -= fat;
  p.fatPool = Math.max(0, p.fatPool - fat);
}
