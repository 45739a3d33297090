/** What people read in core/trials. */

// apply-trials.ts
export const archivedDoesNothingAny = (what: string): string =>
  `${what} has been archived: this does nothing any more.`;
export const nothingPriceDoesNothing = 'Nothing of it has a price: this does nothing.';
export const noLabourCostPer = 'No labour cost per hour is set: this does nothing.';
export const noEnergyPriceSet = 'No energy price is set: this does nothing.';
export const nothingTakesDoesNothing = (what: string): string => `Nothing takes ${what}: this does nothing.`;
