/** What people read in trim/bench. */

// queries.ts
export const kg = (on: string, supplierName: string, number: string, g: string): string =>
  `${on}, ${supplierName}, ${number}: ${g} kg`;

// wire.ts
export const testParts = (count: number): string => `a test of ${count} parts`;

// commands.ts
export const testNoLongerBench = 'This test is no longer on the bench: somebody has discarded it.';
export const testFinishedWhatSays =
  'This test is finished: what it says stays as it was weighed. Leave it out, or make another.';
export const couldNotRead = (message: string): string => `This could not be read: ${message}.`;
export const ingredientNoLongerLarder = 'This ingredient is no longer in the larder.';
export const notLarderChooseStarting = (like: string): string =>
  `“${like}” is not in the larder: choose a starting point, or leave it empty.`;
export const comesOff = (name: string): string => `as it comes off ${name}`;
export const whatProductCalled = 'What is the by-product called?';
export const kitchenAlreadyGiveWhat = (twin: string, name: string): string =>
  `“${twin}” is in the kitchen already. Give what comes off ${name} a name of its own.`;

// actions.ts
export const onlyCookOrManager = 'Only a cook or a manager can tare the scale.';
export const kitchenNoScaleType = 'This kitchen has no scale: type the weights.';
