/** What people type and what it weighs: numbers, amounts, conversions, densities, money. */
export { readNumber, type DecimalMark } from './number';
export { calculate } from './arithmetic';
export { COUNT_UNITS, doubtfulUnits, unitOf, type CountUnit, type Kind, type Unit } from './units';
export { readAmount, readAmountOf, type Amount, type Manner } from './amount';
export { writeAmount } from './format';
export { mannerOf, measureUnit, type HouseMeasure } from './measures';
export { SHOWN_IN, shownAs, type ShownIn } from './shown';
export { countUnitOf, toGrams, type Weighable } from './convert';
export {
  DENSITY,
  PARTS,
  expansion,
  noParts,
  partsG,
  partsMl,
  readingAt20,
  waterDensity,
  type Part,
  type Parts,
} from './density';
export { MoneyError, shareOut, toCents, type Money } from './money';
