/** The parts every food is calculated in. Protein, fibre, ash and acids are the rest. */
export const PARTS = ['water', 'ethanol', 'fat', 'salt', 'sugar', 'starch', 'gelatin', 'rest'] as const;
export type Part = (typeof PARTS)[number];
/** Mass of each part: g in a portion of matter, or g per g in a composition. */
export type Parts = Record<Part, number>;

export const noParts = (): Parts => ({
  water: 0,
  ethanol: 0,
  fat: 0,
  salt: 0,
  sugar: 0,
  starch: 0,
  gelatin: 0,
  rest: 0,
});

/**
 * True density of each part, g/ml at 20 °C.
 * Source: physics of the pure substances; gelatin and rest as dry protein. See docs/model.md.
 */
export const DENSITY: Readonly<Parts> = {
  water: 0.9982,
  ethanol: 0.7893,
  fat: 0.92,
  salt: 2.165,
  sugar: 1.587,
  starch: 1.5,
  gelatin: 1.35,
  rest: 1.35,
};

/** Volume in ml at 20 °C of parts given in g: the sum of mass over density, nothing for mixing. */
export function partsMl(p: Parts): number {
  return (
    p.water / DENSITY.water +
    p.ethanol / DENSITY.ethanol +
    p.fat / DENSITY.fat +
    p.salt / DENSITY.salt +
    p.sugar / DENSITY.sugar +
    p.starch / DENSITY.starch +
    (p.gelatin + p.rest) / DENSITY.rest
  );
}

export const partsG = (p: Parts): number =>
  p.water + p.ethanol + p.fat + p.salt + p.sugar + p.starch + p.gelatin + p.rest;

/** Density of water, g/ml, by °C. Source: physics; linear between the points. */
const WATER: readonly (readonly [number, number])[] = [
  [4, 1.0],
  [20, 0.9982],
  [40, 0.9922],
  [60, 0.9832],
  [80, 0.9718],
  [90, 0.9653],
  [95, 0.9619],
  [100, 0.9584],
];

/** Water's density at a temperature, g/ml; held at the ends outside 4–100 °C. */
export function waterDensity(celsius: number): number {
  let [t0, d0] = WATER[0] as readonly [number, number];
  if (celsius <= t0) return d0;
  for (const [t1, d1] of WATER.slice(1)) {
    if (celsius <= t1) return d0 + ((d1 - d0) * (celsius - t0)) / (t1 - t0);
    [t0, d0] = [t1, d1];
  }
  return d0;
}

/** The temperature that was asked for last: a pot stands at one for hours, and is asked minute by minute. */
const last = { celsius: 20, expansion: 1 };

/** How much larger a liquid stands at a temperature than at 20 °C, taken as water's expansion. */
export function expansion(celsius: number): number {
  if (celsius !== last.celsius) {
    last.celsius = celsius;
    last.expansion = waterDensity(20) / waterDensity(celsius);
  }
  return last.expansion;
}

/**
 * Litres read in a hot pot, brought to 20 °C.
 * @param readMl total volume read on the wall at `celsius`
 * @param piecesMl true volume of pieces in it, subtracted first and not expanded
 */
export const readingAt20 = (readMl: number, celsius: number, piecesMl = 0): number =>
  (readMl - piecesMl) / expansion(celsius);
