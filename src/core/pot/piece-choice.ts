import { pieceKind, type PieceKind } from '../larder';
import type { Trouble } from '../trouble';
import { trouble } from './figures';
import { heldBackMl } from './left-behind';
import { liquidMl, noLiquid, pourShare, scaleLiquid, type Liquid } from './liquid';
import { shareOfPiece, type Piece } from './piece';
import type { StandLevel } from './state';

/** Which pieces are meant: ingredients by id, a kind of them, or all where it is left out. */
export type PieceChoice = readonly string[] | PieceKind | undefined;

const isOf = (p: Piece, which: PieceChoice): boolean => {
  if (which === undefined) return true;
  return typeof which === 'string' ? pieceKind(p.stuff) === which : which.includes(p.stuff.id);
};

const list = (names: readonly string[]): string => [...new Set(names)].join(', ');

/** The pieces that are meant, or why there are none such: says what is there instead. */
export function chosenPieces(
  verb: string,
  from: StandLevel,
  which: PieceChoice,
  where: string,
): Piece[] | Trouble {
  const there = from.pieces;
  const chosen = there.filter((p) => isOf(p, which));
  const missing =
    typeof which === 'object' ? which.filter((id) => !there.some((p) => p.stuff.id === id)).length : 0;
  if (chosen.length > 0 && missing === 0) return chosen;
  const only = list(there.map((p) => p.stuff.name));
  const meant = typeof which === 'string' ? `no ${which} ${where}` : `not all of these are ${where}`;
  return trouble(
    'no-such-pieces',
    there.length === 0 ? `${verb}: there are no pieces ${where}.` : `${verb}: ${meant}, only ${only}.`,
    chosen.length,
    1,
  );
}

/** Share of the liquid that comes along with a share of some pieces, left to drain and not pressed; never more than there is. */
export function wetShare(from: StandLevel, chosen: readonly Piece[], share: number): number {
  const held = chosen.reduce((ml, p) => ml + heldBackMl(p, false), 0) * share;
  const there = liquidMl(from.liquid);
  return there > 0 ? Math.min(1, held / there) : 0;
}

/**
 * Lifts a share of some pieces out of what they stand in, in place: as wet as they come.
 * @returns the pieces and the liquid that comes along
 */
export function liftWet(
  from: StandLevel,
  chosen: readonly Piece[],
  share: number,
): { readonly pieces: Piece[]; readonly liquid: Liquid } {
  const wet = wetShare(from, chosen, share);
  const liquid = noLiquid();
  pourShare(liquid, from.liquid, wet);
  scaleLiquid(from.liquid, 1 - wet);
  const pieces = chosen.map((p) => shareOfPiece(p, share));
  from.pieces = from.pieces.flatMap((p) =>
    !chosen.includes(p) ? [p] : share < 1 ? [shareOfPiece(p, 1 - share)] : [],
  );
  return { pieces, liquid };
}
