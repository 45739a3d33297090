/** What people read in trim/flow. */

// wire.ts
export const most20CharactersKept = 'At most 20 characters are kept.';
export const chooseWhatWasted = 'Choose what was wasted.';
export const amountMost80Characters = 'An amount has at most 80 characters.';
export const reasonMost400Characters = 'A reason has at most 400 characters.';
export const thrownAway = (amount: string, reason: string): string => `${amount} thrown away: ${reason}`;

// commands.ts
export const potNoLongerKitchen = 'This pot is no longer in this kitchen.';
export const batchesWeekCannotBetween = (batches: number, mostBatches: number): string =>
  `${batches} batches a week cannot be: between 0 and ${mostBatches}.`;
export const ingredientNoLongerLarder = 'This ingredient is no longer in the larder.';
export const whyWastedWasteRecorded = 'Why was it wasted? Waste is recorded with a reason.';
export const reasonMostCharacters = (longestReason: number, count: number): string =>
  `A reason has at most ${longestReason} characters; this has ${count}.`;
export const nothingEnterMoreThan = (amount: string): string =>
  `“${amount}” is nothing: enter more than 0 g.`;
export const typed = 'as typed';

// queries.ts
export const stockTrim = ', stock trim';
