import { senderOf } from '@/wire';

/** What is declared of these writes is fetched when the first of them is sent. */
const wires = () => import('./wire');

export const keepMenu = senderOf(() => wires().then((w) => w.MENU));
export const putMenuAway = senderOf(() => wires().then((w) => w.MENU_AWAY));
