/** Money: prices after the knife, the graph of what lives from what, and why each figure is what it is. */
export {
  costKitchen,
  sourcePrices,
  type KitchenCosting,
  type PlateCosting,
  type RecipeCosting,
} from './kitchen';
export { gapsOf } from './gaps';
export { jointOf, potOf } from './shelf';
export { CostGraph, GraphError, type GraphNode } from './graph';
export { LAYERS, layerWords, type Layer } from './layers';
export { layerMoney } from './layer-money';
export { beforeTheKnife, isGuess, suppliesOn, yieldOn, type Supply } from './supplies';
export { afterTheKnife, comesOffShare, type Knife } from './knife';
export { supplyOf, tryResolve, type OnShelf, type Shelf } from './resolve';
export { chargeFactors, opened, type Opened } from './opened';
export { historyIn, type ArticleHistory, type HistoryOf, type PriceFound, type PricePoint } from './prices';
export {
  costByLayer,
  costOfProduct,
  inputCosts,
  moneyStaying,
  moneyWentIn,
  rowCosts,
  whereTheMoneyWent,
  type MoneyWent,
  type ProductCost,
  type RowCost,
} from './product-cost';
export { wentInCents, type WentCents } from './went-cents';
export { costOfPlate, type PlateCost } from './plate-cost';
export { overdrawn } from './last-batch';
export { whyCost } from './why';
export { basisWords } from './why-bought';
export type { Why } from './why-row';
export { valuesOf, type Figure } from './test-values';
export { taught, type Taught, type TaughtTerms, type TaughtTest } from './taught';
export { proposalOf, whatMoved, withProposal, type Moved, type Proposal } from './proposal';
export { standsOn, type StandsOn } from './stands-on';
export { trimFlow, type TrimFlow } from './trim-flow';
