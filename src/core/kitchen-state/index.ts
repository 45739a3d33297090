/** What costing needs of a kitchen on a day, apart from the file that goes in and out: its state, and its past beside it. */
export { KitchenState, stateFrom, type StateArticle } from './state';
export { historyFrom, type ArticleHistory, type Counted, type History, type PricePoint } from './history';
export { historyMerged, mergeTargets, withoutMerged } from './merges';
export { ownConstants } from './own-constants';
export { insteadOf, namedBy, usersOf, usesIn, type Users } from './uses';
