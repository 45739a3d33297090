import 'server-only';
import { processSingleton } from './process-singleton';
import * as own from './kitchens';

export type { AsOf, CostedKitchen, Freshness, PricedKitchen, Progress, StandingKitchen } from './kitchens';

/** Kitchens as they stand and as they are costed: one memory of them, and one costing at a time, for pages and writes alike. */
export const {
  todayIn,
  costedKitchen,
  costedWith,
  costedWithin,
  progressOf,
  standingKitchen,
  pricedKitchen,
  readFor,
} = processSingleton('kitchens', () => ({
  todayIn: own.todayIn,
  costedKitchen: own.costedKitchen,
  costedWith: own.costedWith,
  costedWithin: own.costedWithin,
  progressOf: own.progressOf,
  standingKitchen: own.standingKitchen,
  pricedKitchen: own.pricedKitchen,
  readFor: own.readFor,
}));
