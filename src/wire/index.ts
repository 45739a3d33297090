/** What travels between browser and door when something is written. What checks it stands apart: pages that only show things are sent without. */
export type { Envelope } from './envelope';
export { wire, type Mistake, type No, type Reply, type Wire } from './wire';
export { forgetPages, KEPT_PAGES, keepPagesOf } from './kept-pages';
export { noAnswer, over, pathOf, sender, senderOf, STILL_TYPED, TRY_AGAIN, canWait } from './send';
export { NOTHING_SENT, sentNow, watchSent } from './sent';
export { AT_FIRST, networkIs, statusNow, watchStatus, whenSent } from './status';
export {
  atWork,
  giveUp,
  insist,
  NOTHING_WAITS,
  onSent,
  readWaiting,
  sendWaiting,
  waitingNow,
  watchWaiting,
  type QueuedWrite,
} from './waiting';
