/** What people read in core/kitchen-file. */

// packs.ts
export const holds0GPack = (pack: string): string => `“${pack}” holds 0 g: a pack holds something.`;

// sparse.ts
export const noId = (what: string, id: string): string => `There is no ${what} with the id ${id}.`;

// checks-buying.ts
export const mergedIntoItself = (name: string): string => `${name} is merged into itself.`;

// in-force.ts
export const twoVariantsSameId = (name: string): string => `${name}: two of its variants have the same id.`;
export const housesWayNotOne = (name: string, otherName: string): string =>
  `${name}: the house’s way of “${otherName}” is not one of its variants.`;
export const stepBelongsVariantSheet = (name: string, number: number): string =>
  `${name}, step ${number}: it belongs to a variant that this sheet does not have.`;

// checks-recipes.ts
export const nothingCalledPartsFrom = (part: string, name: string): string =>
  `Nothing called “${part}” parts from ${name}.`;
export const dishTwice = (name: string): string => `${name} has this dish twice.`;
export const cannotSizeItself = (name: string): string => `${name} cannot be a size of itself.`;
export const sizeAnotherDishItself = (name: string, otherName: string): string =>
  `${name} is a size of another dish itself: make ${otherName} a size of that one.`;
export const twoThingsPartFrom = (name: string, as: string): string =>
  `Two things part from ${name} as “${as}”: rename one of them.`;
export const step = (name: string, at: number, words: string): string => `${name}, step ${at}: ${words}`;

// checks-tests.ts
export const wouldComeOffItself = (name: string): string => `${name} would come off itself.`;
export const doesNotSayComes = (name: string, otherName: string): string =>
  `${name} does not say that it comes off ${otherName}.`;

// checks.ts
export const idAlreadyUsed = (id: string, first: string): string =>
  `The id ${id} is already used at ${first}.`;
export const alreadyUsedRecipeLines = (name: string, first: string): string =>
  `“${name}” is already used at ${first}: recipe lines could mean either.`;
export const twoMeasuresCalled = (name: string): string => `There are two measures called “${name}”.`;

// duplicate-keys.ts
export const twiceSecondTimeLine = (line: number): string =>
  `Is there twice, the second time on line ${line}: only one can count.`;

// read.ts
export const fileCharactersMostRead = (count: number, huge: number): string =>
  `The file has ${count} characters; at most ${huge} are read.`;
export const fileNotJson = (why: string): string => `The file is not JSON: ${why}.`;
export const fileNewerVersionHalf = (version: number, formatVersion: number): string =>
  `This file is of a newer version (${version}): this Half Pot reads files up to version ${formatVersion}. Update it first.`;
