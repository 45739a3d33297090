/** A kitchen's recipes looked up and cooked, each after what it is made from; last batches until they are all the same. */
export { batchesTaken, jointOf, matterOn, potOf, shelfOf, type Batches } from './shelf';
export { cookAll, lastBatchesOf, type LastBatch } from './cook-all';
export { reuseIfEqual, type CachedMatter, type CachedPots } from './pot-cache';
export { overdrawn } from './last-batch';
export { areDependenciesSame, trackDependencies, type Dependency } from './dependencies';
export type { RecipeCosting } from './recipe-costing';
