/** What people read in core/costing. */

// gaps.ts
export const step = (name: string, step: number, message: string): string =>
  `${name}, step ${step}: ${message}`;
export const noStepsYetMake = (name: string): string => `${name} has no steps yet that make anything.`;
export const whatPartsFromCredited = (name: undefined | string): string =>
  `${name ?? 'A pot'}: what parts from it is credited with more than it all has cost up to there. Lower a set value.`;
export const sizeDishArchivedRestore = (name: string): string =>
  `${name} is a size of a dish that is archived: restore it.`;

// menu-mix.ts
export const howManySoldNot = (names: string): string => `No sales are entered for ${names}.`;
export const sharesMake = (sum: number): string => {
  const off = +Math.abs(sum - 100).toFixed(2);
  return `The shares make ${+sum.toFixed(2)} %: ${off} % ${sum < 100 ? 'are missing' : 'too much'}.`;
};
export const withoutPriceMenuLeft = (names: string): string =>
  `Without a price on the menu, and so left out: ${names}.`;
export const whatCostsNotKnown = (names: string): string => `The cost is not known for ${names}.`;

// menu-price.ts
export const noPriceKeepsTarget = (targetPct: number): string =>
  `No price keeps a target of ${targetPct} %: it has to be above 0 %.`;
