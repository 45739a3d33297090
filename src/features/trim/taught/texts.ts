/** What people read in trim/taught. */

// commands.ts
export const ingredientNoLongerLarder = 'This ingredient is no longer in the larder.';
export const testsChangedSinceYou =
  'The tests have changed since you looked: somebody has finished one, or left one out. Look again.';
export const supplierNoLonger = 'This supplier is no longer there.';
export const takenOutOfRange = (value: number): string => `${value} % taken cannot be: between 0 and 100 %.`;
export const stockTrimPerKilo = (value: string, name: string, paid: string): string =>
  `Stock trim at ${value} per kilo would be dearer than ${name} as bought, at ${paid}: at most that.`;
export const whyDoesNotCount = 'Why does it not count? The next person will ask.';
export const reasonMostCharacters = (longestReason: number, count: number): string =>
  `A reason has at most ${longestReason} characters; this has ${count}.`;
export const testNoLonger = 'This test is no longer there.';

// queries.ts
export const usableYield = 'Usable yield';
export const stockTrim = 'Stock trim';
export const browningGoneVapour = 'Browning: gone as vapour';
export const browningFatRunOff = 'Browning: fat run off';
export const sweatingWeightLost = 'Sweating: weight lost';
export const wiltingWaterGivenUp = 'Wilting: water given up';
export const clarifyingClearFat = 'Clarifying: clear fat';
export const keptBackStrainerDrained = 'Kept back in the strainer, drained';
export const keptBackStrainerPressed = 'Kept back in the strainer, pressed';
export const trim = (stockTrimPct: number): string => `, trim ${stockTrimPct} %`;
