import { senderOf } from '@/wire';

/** What is declared of these writes is fetched when the first of them is sent. */
const wires = () => import('./wire');

export const saveQuestion = senderOf(() => wires().then((w) => w.QUESTION));
export const archiveQuestion = senderOf(() => wires().then((w) => w.QUESTION_AWAY));
export const questionSeen = senderOf(() => wires().then((w) => w.QUESTION_SEEN));
