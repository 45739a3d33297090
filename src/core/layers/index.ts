/** What a cost is made of: a graph for each layer, and a pot's own money followed from row to row. */
export {
  BESIDE,
  COUNTED_COOKIE,
  countedIn,
  energyKey,
  LABOUR,
  LAYERS,
  layerName,
  layerPrices,
  layerText,
  type Layer,
} from './layers';
export { layerMoney, layerShares, type LayerShare } from './layer-money';
export {
  costsThrough,
  graphAfter,
  graphChanges,
  graphOf,
  type GraphParts,
  type PlateTakes,
} from './build-graph';
export { runningBook, type RunningBook } from './book';
export { moneyStaying, moneyWentIn, partsCost, rowCosts, type MoneyWent, type RowCost } from './row-costs';
