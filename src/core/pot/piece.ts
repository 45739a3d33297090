import { noParts, partsG, partsMl, type Parts } from '../quantity';
import type { Stuff } from '../larder';
import type { Liquid } from './liquid';

/**
 * Bones, vegetables, grains: what stays a piece until it is strained out, puréed or served.
 *
 * `parts` are g now. Pools are g that can still pass; salt and sugar pass whole, so they are their
 * own pools. Gelatin waits inside `parts.rest` until it comes out.
 */
export interface Piece {
  readonly stuff: Stuff;
  /** g raw, as added: retention is reckoned on it. */
  rawG: number;
  parts: Parts;
  gelatinPool: number;
  fatPool: number;
  givesPool: number;
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
    takesPool: p.takesPool * k,
    taken: p.taken * k,
  };
}

/** Shares of a pool that pass in some time, one for each half-life. Same for all pieces but gelatin. */
export interface Passing {
  readonly hours: number;
  readonly fat: number;
  readonly salt: number;
  readonly gives: number;
  readonly takes: number;
}

const passed = (hours: number, halfLife: number): number => 1 - 2 ** (-hours / halfLife);

export const passing = (
  hours: number,
  h: { fat: number; salt: number; gives: number; takes: number },
): Passing => ({
  hours,
  fat: passed(hours, h.fat),
  salt: passed(hours, h.salt),
  gives: passed(hours, h.gives),
  takes: passed(hours, h.takes),
});

/**
 * What passes between a piece and the liquid in a stretch of heat, each by its own half-life.
 * Moves g from one to the other and nothing is lost. `gelatinShare` is this piece's own.
 */
export function passBetween(p: Piece, l: Liquid, by: Passing, gelatinShare: number): void {
  if (p.gelatinPool > 0) {
    const g = Math.min(p.gelatinPool * gelatinShare, p.parts.rest);
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
  if (p.parts.salt > 0) {
    const g = p.parts.salt * by.salt;
    p.parts.salt -= g;
    l.salt += g;
  }
  if (p.parts.sugar > 0) {
    const g = p.parts.sugar * by.salt;
    p.parts.sugar -= g;
    l.sugar += g;
  }
  if (p.givesPool > 0) {
    const g = Math.min(p.givesPool * by.gives, p.parts.water);
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

/** Share of this piece's gelatin pool that passes in some hours. */
export const gelatinPassing = (p: Piece, hours: number): number =>
  p.gelatinPool > 0 ? passed(hours, p.stuff.gelatinHalfLifeH) : 0;
