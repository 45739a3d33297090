/** Why a figure is what it is: the rows that made it, down to the test and the purchase. */
export { whyCost, whyCounted } from './why';
export { basisWords } from './why-bought';
export type { Why } from './why-row';
