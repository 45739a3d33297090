/** The open format: its schema, reading with every mistake told, and moving it in time. */
export { MIXES, MOST_ON_A_MENU, SERVICES } from './services';
export {
  Choice,
  FORMAT,
  FORMAT_VERSION,
  Hob,
  KitchenFile,
  Menu,
  HouseRules,
  MOST_CHOICES,
  MOST_WAYS,
  OwnHands,
  Follows,
  Plate,
  SIZES,
  Recipe,
  SharedHands,
  TaughtBoils,
  Vessel,
  type GoodsLine,
  type WrittenArticle,
  type WrittenChoice,
  type WrittenIngredient,
  type WrittenLine,
  type WrittenMenu,
  type WrittenFollows,
  type WrittenPlate,
  type WrittenBatch,
  type WrittenQuestion,
  type WrittenTray,
  type WrittenTrial,
  type WrittenPurchase,
  type WrittenRecipe,
  type WrittenVessel,
  type WrittenWaste,
} from './schema';
export { Article, Columns, Supplier } from './schema-buying';
export { Basis, Ingredient } from './schema-larder';
export { readKitchen, readKitchenText, type FileRead } from './read';
export { inOrder, lastBatchesIn, loopSentence, namesIn, partsOf, usesOf } from './loops';
export { flawsOfChoices, inForce, stepsInForce } from './in-force';
export { lineWords } from './line-words';
export { upgradeLine, upgradeLines } from './upgrade';
export { shiftTo, underWayAt } from './shift';
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
export { cookedOn, hobOf, measuringDensity, stuffOf, vesselOf, yieldOn } from './stuff';
export {
  Batch,
  BatchEvent,
  CAME_IN,
  GONE,
  LEARNED_TIMES,
  PLACES,
  PROBLEMS,
  type WrittenBatchEvent,
} from './schema-batches';
export { Asks, MOST_LAID, Question, Told, type WrittenAsks, type WrittenTold } from './schema-questions';
export { MOST_ON_A_TRAY, TIMES, Tray, Trial } from './schema-trays';
export { withoutArchived } from './without-archived';
export { portionAt, standingPlate, withUsualLoss, writtenOver } from './sizes';
export { flawOfFollowing } from './checks-recipes';
