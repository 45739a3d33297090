import { senderOf } from '@/wire';

/** What is declared of these writes is fetched when the first of them is sent. */
const wires = () => import('./wire');

export const accept = senderOf(() => wires().then((w) => w.ACCEPT));
export const leaveOutTest = senderOf(() => wires().then((w) => w.LEFT_OUT));
export const learnFrom = senderOf(() => wires().then((w) => w.LEARN_FROM));
export const saveTrim = senderOf(() => wires().then((w) => w.TRIM));
export const saveComesOff = senderOf(() => wires().then((w) => w.COMES_OFF));
