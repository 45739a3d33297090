/** A kitchen costed: what products and plates come to, in which layers, why a figure is not whole, and the flow of trim. */
export {
  costFile,
  costKitchen,
  costingKitchen,
  type KitchenCosting,
  type PlateCosting,
  type Workings,
} from './kitchen';
export { namesToRead } from './names';
export { gapsOf } from './gaps';
export {
  besideCost,
  costByLayer,
  costOfProduct,
  inputCosts,
  whereTheMoneyWent,
  type ProductCost,
} from './product-cost';
export { wentInCents, type WentCents } from './went-cents';
export { portionsServed, portionsUsed } from './served';
export { costOfPlate, type PlateCost } from './plate-cost';
export { isTaken, trimFlow, type TrimFlow } from './trim-flow';
export { familyOf, goesTo, kinOf, sharesOf, tiesBy, type Family, type Relative, type Tie } from './family';
export { alcoholOn, type AlcoholLeft } from './alcohol';
export { carriedIn, isRead, type AllergenSet } from './allergens';
export { menuMix, type InMix, type MenuMix, type Sold } from './menu-mix';
export { menuSteps, priceFor, type AskedPrice, type MenuSteps } from './menu-price';
export { USED, whereUsed, type OnPlate, type Use, type UsedRecord, type WhereUsed } from './where-used';
