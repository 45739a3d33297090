/** The open format: its schema, reading with every mistake told, and moving it in time. */
export {
  FORMAT,
  FORMAT_VERSION,
  KitchenFile,
  type GoodsLine,
  type WrittenArticle,
  type WrittenIngredient,
  type WrittenLine,
  type WrittenPlate,
  type WrittenPurchase,
  type WrittenRecipe,
  type WrittenTest,
  type WrittenVessel,
  type WrittenWaste,
} from './schema';
export { Day } from './schema-parts';
export { Ingredient, type Basis } from './schema-larder';
export { WrittenStep, type Of, type WrittenCost } from './schema-steps';
export { readKitchen, readKitchenText, type FileRead } from './read';
export { inOrder, lastBatchesIn, loopSentence, ofStep, partsOf, usesOf } from './loops';
export { daysBetween, shiftDay, shiftTo } from './shift';
export {
  mannerIn,
  packFacts,
  packOn,
  receivedOn,
  weigh,
  weighableOf,
  type Pack,
  type PackFacts,
} from './packs';
export { cookedOn, hobOf, measuringDensity, stuffOf, vesselOf } from './stuff';
export {
  drainedIn,
  hoursIn,
  isDrained,
  weighLive,
  weighTestIn,
  type LiveTest,
  type LiveWeight,
  type TestAsTyped,
} from './tests';
export { Test } from './schema-tests';
export { mergeTargets, withoutMerged } from './merges';
