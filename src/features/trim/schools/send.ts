import { senderOf } from '@/wire';

/** What is declared of these writes is fetched when the first of them is sent. */
const wires = () => import('./wire');

export const saveTrimming = senderOf(() => wires().then((w) => w.TRIMMING));
