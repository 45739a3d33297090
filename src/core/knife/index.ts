/** What a kilo comes to after the knife: who pays for what comes off, by the schools of trim. Knows no recipes. */
export {
  afterTheKnife,
  comesOffShare,
  sourcePrices,
  type ByProduct,
  type CameOff,
  type Knife,
  type SupplyPrices,
} from './knife';
