import { senderOf } from '@/wire';

/** What is declared of these writes is fetched when the first of them is sent. */
const wires = () => import('./wire');

export const makePlate = senderOf(() => wires().then((w) => w.NEW_PLATE));
export const keepPlateLines = senderOf(() => wires().then((w) => w.PLATE_LINES));
export const keepPlateHead = senderOf(() => wires().then((w) => w.PLATE_HEAD));
export const keepLineServed = senderOf(() => wires().then((w) => w.LINE_SERVED));
export const putPlateAway = senderOf(() => wires().then((w) => w.PLATE_AWAY));
export const finishLine = senderOf(() => wires().then((w) => w.FINISH));
export const letStand = senderOf(() => wires().then((w) => w.BY_ITSELF));
