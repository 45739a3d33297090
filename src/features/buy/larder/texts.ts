/** What people read in buy/larder. */

// wire.ts
export const most200CharactersKept = 'At most 200 characters are kept.';

// commands.ts
export const startingPointNotLarder = 'This starting point is not in the larder.';
export const whatCalledKitchen = 'What is it called in this kitchen?';
export const kitchenAlreadyRecipeLines = (twin: string): string =>
  `“${twin}” is in the kitchen already: recipe lines could mean either. Give this one another name.`;
export const oneTwoNoLonger = 'One of the two is no longer in the larder.';
export const cannotMergedIntoItself = (name: string): string =>
  `${name} cannot be merged into itself: choose two.`;
export const potTheyNotSame = (name: string, role: string, otherName: string, otherRole: string): string =>
  `${name} is a ${role} in the pot and ${otherName} a ${otherRole}: they are not the same thing.`;
export const theseAlreadySeparated = 'These have already been separated.';
export const hereAlready = (name: string, amount: string): string => `A ${name} is ${amount} here already.`;
export const measureArchivedAlready = 'This measure is archived already.';
export const writtenSChangeFirst = (name: string, otherName: string): string =>
  `${name} is written in ${otherName}s: change that first.`;
