import { senderOf } from '@/wire';

/** What is declared of these writes is fetched when the first of them is sent. */
const wires = () => import('./wire');

export const keepPerson = senderOf(() => wires().then((w) => w.PERSON));
export const putPersonAway = senderOf(() => wires().then((w) => w.PERSON_AWAY));
export const changePassword = senderOf(() => wires().then((w) => w.PASSWORD));
export const endSignedIn = senderOf(() => wires().then((w) => w.END_SIGNED_IN));
export const endDevice = senderOf(() => wires().then((w) => w.END_DEVICE));
