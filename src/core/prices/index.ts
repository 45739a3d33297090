/** What ingredients cost on a day: as purchased, after the knife, and by the opened pack. */
export {
  priceBeforeTrim,
  isGuess,
  sourceOf,
  suppliesOn,
  workSupplies,
  type KeptSupplies,
  type Supply,
} from './supplies';
export { chargeFactors, openedPacks, type OpenedPacks } from './opened-packs';
export { type PriceFound } from './prices';
export { evidenceFor, type Evidence } from './evidence';
