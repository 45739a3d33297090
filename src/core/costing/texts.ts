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
export const howManySoldNot = (listed: string): string => `How many are sold is not said of ${listed}.`;
export const sharesMake = (all: number, all2: number, all3: number, all4: number): string =>
  `The shares make ${all} %: ${all2 < 100 ? `${all3} % are missing` : `${all4} % too much`}.`;
export const withoutPriceMenuLeft = (listed: string): string =>
  `Without a price on the menu, and so left out: ${listed}.`;
export const whatCostsNotKnown = (listed: string): string => `What it costs is not known of ${listed}.`;

// menu-price.ts
export const noPriceKeepsTarget = (targetPct: number): string =>
  `No price keeps a target of ${targetPct} %: it has to be above 0 %.`;
