import { senderOf } from '@/wire';

/** What is declared of these writes is fetched when the first of them is sent. */
const wires = () => import('./wire');

export const saveLabour = senderOf(() => wires().then((w) => w.OWN_LABOUR));
export const saveCups = senderOf(() => wires().then((w) => w.CUPS));
export const saveCosting = senderOf(() => wires().then((w) => w.KEEP_COSTING));
export const archiveCosting = senderOf(() => wires().then((w) => w.COSTING_AWAY));
export const seeModel = senderOf(() => wires().then((w) => w.MODEL_SEEN));
export const takeStartingValues = senderOf(() => wires().then((w) => w.STARTING_VALUES));
export const giveStartingValuesBack = senderOf(() => wires().then((w) => w.STARTING_VALUES_BACK));
