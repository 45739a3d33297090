/** What is opened when a recipe needs some of an ingredient: one bottle of a case, one sack, one bunch. */
export interface OpenPack {
  /** g as purchased that one opened pack holds. */
  readonly g: number;
  /** Usable share of it. */
  readonly usable: number;
  /** Whether an opened pack is charged whole or by the part used. */
  readonly charged: 'part' | 'whole';
}

export interface PacksOpened {
  /** Packs opened, a whole number. */
  readonly packs: number;
  /** g as purchased left in the last one. */
  readonly leftG: number;
  /** What the recipe is charged for, as a multiple of what it uses: 1 by the part, more for whole packs. */
  readonly factor: number;
}

/** Two bottles by weight may be a little more than two by volume: so much of a pack does not open another. */
const SLACK = 0.01;

/**
 * How many packs some usable grams take, and what is left of the last.
 * @example packsOpened(500, { g: 750, usable: 1, charged: 'whole' }) // 1 pack, 250 g left, factor 1.5
 */
export function packsOpened(usableG: number, pack: OpenPack): PacksOpened {
  if (!(usableG > 0)) return { packs: 0, leftG: 0, factor: 1 };
  const asPurchased = usableG / pack.usable;
  const packs = Math.max(1, Math.ceil(asPurchased / pack.g - SLACK));
  return {
    packs,
    leftG: Math.max(0, packs * pack.g - asPurchased),
    factor: pack.charged === 'whole' ? Math.max(1, (packs * pack.g) / asPurchased) : 1,
  };
}
