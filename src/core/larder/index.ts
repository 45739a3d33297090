/** What things are made of, what they cost as bought, and what they cost after the knife. */
export { WATER, checkStuff, composition, type Role, type Stuff, type WrittenComposition } from './ingredient';
export {
  TRIM_SCHOOLS,
  checkShares,
  sharePrice,
  type ComesOff,
  type KnifePrices,
  type TrimSchool,
  type TrimShares,
} from './trim';
export { readDays, readPct, readPrice } from './typed';
export { quoteOn, type Quote } from './price';
export { averagePrice, stockPrice, type BasisPrice, type PriceLayer, type Receipt } from './basis';
export { deliveryWords, received, type Received } from './received';
export { packsOpened, type OpenPack, type PacksOpened } from './open-pack';
export { differences, type Comparable, type Difference } from './substitute';
export { priceText } from './price-text';
export { PIECE_KINDS, pieceKind, type PieceKind } from './piece-kind';
export { outlierQuestion } from './outlier-question';
export { fromLabel, type FromLabel, type NutritionLabel } from './label';
