import { copyLiquid, liquidG, liquidMl, noLiquid, pourShare, type Liquid } from './liquid';
import { mergeAlike, limitSources } from './merge-sources';
import { pieceG, pieceMl, shareOfPiece, type Piece } from './piece';
import type { PotState } from './state';

/**
 * What a recipe makes, as it leaves the pot. Used elsewhere it brings its composition, bound fat,
 * binding, dissolved gelatin, pieces with their pools, alcohol and allergens, by mass.
 */
export interface Product {
  readonly liquid: Liquid;
  readonly pieces: readonly Piece[];
  readonly allergens: readonly string[];
  /** g of liquid and pieces. */
  readonly g: number;
  /** ml at 20 °C: where pieces are served, a litre means liquid plus pieces. */
  readonly ml: number;
}

/** ml at 20 °C of all that is in a pot: liquid and pieces. */
export const servedMl = (s: PotState): number =>
  s.pieces.reduce((sum, p) => sum + pieceMl(p), liquidMl(s.liquid));

export function productOf(s: PotState): Product {
  const sum = (of: (p: Piece) => number) => s.pieces.reduce((total, p) => total + of(p), 0);
  return {
    liquid: { ...copyLiquid(s.liquid), sources: limitSources(s.liquid.sources) },
    pieces: mergeAlike(s.pieces),
    allergens: [...s.allergens].sort(),
    g: liquidG(s.liquid) + sum(pieceG),
    ml: servedMl(s),
  };
}

/** A part of a product by mass, in g, as fresh matter that may be changed. */
export function takeOf(product: Product, g: number): { liquid: Liquid; pieces: Piece[] } {
  const k = g / product.g;
  const liquid = noLiquid();
  pourShare(liquid, product.liquid, k);
  return { liquid, pieces: product.pieces.map((p) => shareOfPiece(p, k)) };
}
