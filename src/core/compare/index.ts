/** Ways laid beside each other: questions made into sheets as they would be, cooked and costed apart from their kitchen. */
export {
  Pots,
  apartOf,
  type Apart,
  type Bought,
  type CookedWay,
  type Otherwise,
  type Prices,
  type Way,
} from './apart';
export { cookedWays, counted, figuresOf, laid, type Figures } from './laid';
export { asked, asking, meets, otherKitchens, type Asked } from './ways';
export type { BaseWay } from './base';
export { at, flipOf, type Flip, type Line } from './flip';
export { arisingOn, thickenersOf, type Arising } from './arising';
export { paidIn, type Paid } from './where';
export { cheapest, pricesMoved, standsAsTold, toldOf } from './told';
export { rulesOf, type CmRule, type PressRule, type Rules, type VesselRule, type YieldRule } from './rules';
