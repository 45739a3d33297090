/** What people read in core/verbs. */

// resolving.ts
export const ingredientLineNotKnown = 'The ingredient of this line is not known.';
export const vesselOrHobLine = 'The vessel or hob of this line is not known.';

// understand.ts
export const orSayOnceUnder = (message: string): string =>
  `${message} Or say once, under This kitchen, which are meant here.`;

// steps.ts
export const lineEmpty = 'The line is empty.';
export const couldNotRead = (said: string): string => `“${said}” could not be read.`;
export const kitchenNoHob = 'The kitchen has no hob.';
export const noWayToShareCost = (words: string): string =>
  `“${words}” is not a way to share a cost: “by weight”, “at 12.00 a kilo” or “market 38.00 to 2.00 a kilo”.`;
