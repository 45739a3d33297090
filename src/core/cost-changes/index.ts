/** What happened between two days: what prices, tests, pots and plates each did to what a plate costs. */
export {
  costedBetween,
  CAUSES,
  madeFrom,
  plateChanges,
  priceEffects,
  type Cause,
  type PlateChange,
  type PriceEffect,
  type KitchenOnDay,
} from './happened';
