import { senderOf } from '@/wire';

/** What is declared of these writes is fetched when the first of them is sent. */
const wires = () => import('./wire');

export const saveTray = senderOf(() => wires().then((w) => w.TRAY));
export const archiveTray = senderOf(() => wires().then((w) => w.TRAY_AWAY));
export const applyTray = senderOf(() => wires().then((w) => w.APPLY));
