import { senderOf } from '@/wire';

/** What is declared of these writes is fetched when the first of them is sent. */
const wires = () => import('./wire');

export const savePerson = senderOf(() => wires().then((w) => w.PERSON));
export const archivePerson = senderOf(() => wires().then((w) => w.PERSON_AWAY));
export const changePassword = senderOf(() => wires().then((w) => w.PASSWORD));
export const sendRevokeSignIn = senderOf(() => wires().then((w) => w.END_SIGNED_IN));
export const sendRevokeDevice = senderOf(() => wires().then((w) => w.END_DEVICE));
