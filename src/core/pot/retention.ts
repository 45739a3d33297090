import type { Stuff } from '../larder';
import { DENSITY } from '../quantity';
import type { ProcessConstants } from './constants';
import { noLiquid } from './liquid';
import { browned, newPiece, ownPassing, passAll, passing, pieceG } from './piece';

/**
 * Retention out of the drained weight of spent solids, ml of net liquid per kg raw: what they weigh beyond what they would
 * weigh had they only given and taken what passes in that time, and the water that swelling took up on top.
 *
 * @param rawG as added, before any browning
 * @param intoWaterG as it went into the water: less than raw where it was browned
 * @param hours in the hot liquid
 * @param drainedG as the strainer let it go
 * @returns below 0 where it weighs less than the model leaves of it: a sign that a weight or a pool is wrong
 */
export function retentionFrom(
  stuff: Stuff,
  rawG: number,
  intoWaterG: number,
  hours: number,
  drainedG: number,
  c: ProcessConstants,
): number {
  const piece = newPiece(stuff, rawG);
  // Browning drives off water; what more is gone than there was of it is not followed here.
  browned(piece, Math.min(piece.parts.water, Math.max(0, rawG - intoWaterG)), 0);
  // More water than it can ever take up.
  const pot = { ...noLiquid(), water: rawG * 1000 };
  const simmer = c.heats.simmer.celsius;
  passAll([piece], pot, passing(hours, c.halfLifeH), [ownPassing(piece, hours, simmer, c.halfLifeH)]);
  const keptMl = (drainedG - pieceG(piece)) / DENSITY.water;
  return ((keptMl + piece.taken) / rawG) * 1000;
}
