/** Ways compared: questions made into sheets as they would be, cooked and costed apart from their kitchen. */
export {
  SnapshotPots,
  snapshotOf,
  type Snapshot,
  type PurchaseOverride,
  type CookedWay,
  type Overrides,
  type LayerPrices,
  type Way,
} from './snapshot';
export { cookWays, countedPerLitre, wayFigures, figuresOfWays, type WayFigures } from './way-figures';
export { waysOf, waysInSlices, meetsTarget, kitchenVariants, type QuestionWays } from './ways';
export type { BaseWay } from './base';
export { valueAt, flipOf, type Flip, type Line } from './flip';
export { suggestedQuestions, thickenersOf, type SuggestedQuestion } from './suggested-questions';
export { costSources, type CostSource } from './cost-sources';
export { cheapest, changedPrices, isSummaryCurrent, summaryOf } from './answer-summary';
export {
  rulesOfThumb,
  type CmRule,
  type PressRule,
  type Rules,
  type VesselRule,
  type YieldRule,
} from './rules';
