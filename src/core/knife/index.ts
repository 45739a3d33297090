/** What a kilo comes to after the knife: who pays for what comes off, by the schools of trim. Knows no recipes. */
export {
  priceAfterTrim,
  comesOffShare,
  mostUsable,
  pricesAt,
  sourcePrices,
  type ByProduct,
  type CameOff,
  type Knife,
  type Source,
  type SupplyPrices,
} from './knife';
