/** What if: trial changes done to a kitchen without touching it, all of them at once or while a slider moves. */
export { pricedBy, triedOut, type TriedOut } from './tried';
export { isSlid, slidOf } from './slid';
export { slidPlates, type Slid, type SlidPortion, type TriedPlate } from './sliding';
