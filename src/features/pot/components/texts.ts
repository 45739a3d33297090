/** What people read in pot. */

// pot-list.tsx
export const pots = 'Pots';
export const whatHappensLitresMoney = 'What happens to the litres, and to the money in them.';
export const newRecipe = 'New recipe';
export const findRecipe = 'Find a recipe';
export const moreTypeWordWhat = (more: number): string =>
  `${more} more: type a word of what you are looking for.`;
export const noPotSheetFits = (wanted: string): string => `No pot sheet fits “${wanted}”.`;
export const noPotSheetsYet = 'There are no pot sheets yet.';
export const writeFirstOneYou =
  'Write the first one as you would say it: “40 g butter”, “300 g shallots”, “reduce by half”. What the kitchen does not have yet (an ingredient, a price, what a bunch weighs) is asked for where it is missed.';
export const writeFirstPotSheet = 'Write the first pot sheet';
export const managerWritesFirstOne = 'A manager writes the first one.';
export const perLitre = (currencySign: string, value: string): string => `${currencySign} per litre${value}`;
export const madeFrom = 'Made from';
export const larder = 'the larder';
export const stands = 'Stands in';
export const yieldPeakVolume = 'yield of peak volume';
export const hob = 'on the hob';
export const partOf = (litres: string, totalLitres: string): string => `${litres} of ${totalLitres}`;
export const incomplete = 'incomplete';
export const perKilo = 'per kilo';
export const pot = 'Pot';
