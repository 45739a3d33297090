import { senderOf } from '@/wire';

/** What is declared of these writes is fetched when the first of them is sent. */
const wires = () => import('./wire');

export const keepTray = senderOf(() => wires().then((w) => w.TRAY));
export const putTrayAway = senderOf(() => wires().then((w) => w.TRAY_AWAY));
export const applyTray = senderOf(() => wires().then((w) => w.APPLY));
