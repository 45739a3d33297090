/** A kitchen's recipes looked up and cooked, each after what it lives from; last batches until they are all the same. */
export { jointOf, potOf, shelfOf } from './shelf';
export { cookAll, lastBatchesOf, type LastBatch } from './cook-all';
export { overdrawn } from './last-batch';
export type { RecipeCosting } from './recipe-costing';
