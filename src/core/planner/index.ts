/** How much to make, in what: covers on the table become litres in pots. */
export { forCovers, type ForCovers, type Making } from './for-covers';
