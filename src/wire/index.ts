/** What travels between browser and door when something is written. */
export { Envelope, wire, type Mistake, type No, type Reply, type Wire } from './wire';
export { noAnswer, pathOf, sender, STILL_TYPED, TRY_AGAIN } from './send';
export { CHOSEN, ID, NEW_PASSWORD, TYPED } from './fields';
