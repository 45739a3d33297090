/** Money: prices after the knife, the graph of what lives from what, and why each figure is what it is. */
export {
  costKitchen,
  gapsOf,
  potOf,
  sourcePrices,
  type KitchenCosting,
  type PlateCosting,
  type RecipeCosting,
} from './kitchen';
export { CostGraph, GraphError, type GraphNode } from './graph';
export { afterTheKnife, suppliesOn, type Supply, type SupplyTerms } from './supplies';
export { supplyOf, tryResolve, type OnShelf, type Shelf } from './resolve';
export { opened, type Opened } from './opened';
export { historyIn, type ArticleHistory, type HistoryOf, type PriceFound, type PricePoint } from './prices';
export {
  costOfProduct,
  inputCosts,
  moneyWentIn,
  rowCosts,
  whereTheMoneyWent,
  type MoneyWent,
  type ProductCost,
  type RowCost,
} from './product-cost';
export { wentInCents, type WentCents } from './went-cents';
export { costOfPlate, type PlateCost } from './plate-cost';
export { basisWords, whyCost, type Why } from './why';
