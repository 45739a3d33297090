/** What ingredients cost on a day: as purchased, after the knife, and by the opened pack. */
export {
  beforeTheKnife,
  isGuess,
  sourceOf,
  suppliesOn,
  workSupplies,
  type KeptSupplies,
  type Supply,
} from './supplies';
export { chargeFactors, opened, type Opened } from './opened';
export { type PriceFound } from './prices';
export { standsOn, type StandsOn } from './stands-on';
