/** What happened between two days: what prices, tests, pots and plates each did to what a plate costs. */
export {
  costedBetween,
  HAPPENED,
  livesFrom,
  movedPlates,
  pricesMoved,
  type Happened,
  type Moved,
  type PriceMoved,
  type Standing,
} from './happened';
