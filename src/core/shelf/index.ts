/** A kitchen's recipes looked up and cooked, each after what it lives from; last batches until they are all the same. */
export { batchesTaken, jointOf, matterOn, potOf, shelfOf, type Batches } from './shelf';
export { cookAll, lastBatchesOf, type LastBatch } from './cook-all';
export { keptSame, type KeptMatter, type KeptPots } from './kept';
export { overdrawn } from './last-batch';
export { sameLooks, watching, type Look } from './watching';
export type { RecipeCosting } from './recipe-costing';
