import type { Trouble } from '../trouble';
import type { Stuff } from '../larder';
import type { SupplyKey } from '../supply';
import type { ProcessConstants } from './constants';
import { kilos, trouble } from './figures';
import { addStuff, liquidG, pourShare, type Liquid } from './liquid';
import { newPiece, pieceG, type Piece } from './piece';
import { takeOf, type Product } from './product';
import type { StepReport } from './report';
import { mixedCelsius, type PotState } from './state';

/** Something that can go into a pot: an ingredient, or another recipe's product. */
export type Matter =
  | { readonly is: 'stuff'; readonly supply: SupplyKey; readonly stuff: Stuff }
  | { readonly is: 'product'; readonly supply: SupplyKey; readonly name: string; readonly product: Product };

export const nameOf = (what: Matter): string => (what.is === 'stuff' ? what.stuff.name : what.name);

/** Share of it that is salt. */
export const saltShare = (what: Matter): number =>
  what.is === 'stuff' ? what.stuff.parts.salt : what.product.liquid.salt / what.product.g;

/**
 * Puts matter into the pot: liquids join the liquid, pieces stay pieces, products bring both.
 * `bindFat` holds the fat that comes in (roux, mounted butter).
 */
export function putIn(
  pot: PotState,
  what: Matter,
  g: number,
  c: ProcessConstants,
  report: StepReport,
  bindFat = false,
): void {
  report.inputs.push({ supply: what.supply, name: nameOf(what), g });
  if (what.is === 'stuff') {
    const piece = what.stuff.role === 'piece';
    pot.celsius = mixedCelsius(pot, c, g, piece ? 'pieces' : 'liquid', c.addedCelsius);
    if (piece) pot.pieces.push(newPiece(what.stuff, g));
    else addStuff(pot.liquid, what.stuff, g, bindFat);
    for (const allergen of what.stuff.allergens) pot.allergens.add(allergen);
    return;
  }
  const { liquid, pieces } = takeOf(what.product, g);
  pot.celsius = mixedCelsius(pot, c, liquidG(liquid), 'liquid', c.addedCelsius);
  pot.celsius = mixedCelsius(pot, c, sumG(pieces), 'pieces', c.addedCelsius);
  if (bindFat) holdFat(liquid);
  pourShare(pot.liquid, liquid, 1);
  pot.pieces.push(...pieces);
  for (const allergen of what.product.allergens) pot.allergens.add(allergen);
}

const sumG = (pieces: readonly Piece[]): number => pieces.reduce((sum, p) => sum + pieceG(p), 0);

function holdFat(l: Liquid): void {
  l.boundFat += l.freeFat;
  l.freeFat = 0;
}

/** Refuses what would stay a piece, and nothing at all. */
export function mustJoin(verb: string, what: Matter, g: number): Trouble | undefined {
  if (what.is === 'stuff' && what.stuff.role === 'piece')
    return trouble(
      'stays-a-piece',
      `${verb} with ${nameOf(what)}: it stays a piece and would not join the liquid.`,
      0,
      0,
    );
  if (!(g > 0))
    return trouble('nothing-added', `${verb} needs more than 0 g; ${kilos(g)} was asked for.`, g, 0);
  return undefined;
}
