import { z } from 'zod';
import { PIECE_KINDS } from '../../larder';
import { whichSaid, type Names } from '../../said';
import { readNumber } from '../../quantity';
import { fine, type Outcome } from '../../trouble';
import { Id, type EachId } from '../../written';
import { maybeIn } from '../resolving';
import type { Shelf } from '../shelf';

/** Which pieces a step means, as the file writes it. */
export const Pieces = z
  .union([z.array(Id).min(1).max(10), z.enum(PIECE_KINDS)])
  .optional()
  .describe('ingredients, or a kind of pieces; left out, all of them');
type Pieces = z.infer<typeof Pieces>;

/** The same step with the ids of its pieces put through `each`. */
export const idsOfPieces = <T extends { readonly pieces?: Pieces }>(step: T, each: EachId): T =>
  typeof step.pieces === 'object'
    ? { ...step, pieces: step.pieces.map((id, k) => each('ingredient', id, `pieces[${k}]`)) }
    : step;

/** `60 % of the veal shin`: a share that may be left out, and which. */
export function shareAndWhich(
  share: string,
  which: string,
  names: Names,
): Outcome<{ share?: string; pieces?: Exclude<Pieces, undefined> }> {
  const found = whichSaid(which, names);
  return found.ok && share !== '' ? { ok: true, value: { share, ...found.value } } : found;
}

/** As it stands in a form: `SHARE of the NAMES`. */
export const SHARE_OF = String.raw`(?:(\S+(?:\s*%)?)\s+of\s+)?(.+?)`;

/** A share as it is said: `60 %`, `1/2`; undefined where none is. */
export function shareIn(shelf: Shelf, share: string | undefined): Outcome<number | undefined> {
  const bare = share === undefined ? undefined : readNumber(share, shelf.manner.mark);
  return bare?.ok ? fine(bare.value.toNumber()) : maybeIn(shelf, 'share', share, 'share');
}
