import { senderOf } from '@/wire';

/** What is declared of these writes is fetched when the first of them is sent. */
const wires = () => import('./wire');

export const makePlate = senderOf(() => wires().then((w) => w.NEW_PLATE));
export const savePlateLines = senderOf(() => wires().then((w) => w.PLATE_LINES));
export const savePlateHead = senderOf(() => wires().then((w) => w.PLATE_HEAD));
export const saveLineServed = senderOf(() => wires().then((w) => w.LINE_SERVED));
export const archivePlate = senderOf(() => wires().then((w) => w.PLATE_AWAY));
export const finishLine = senderOf(() => wires().then((w) => w.FINISH));
export const letStand = senderOf(() => wires().then((w) => w.BY_ITSELF));
