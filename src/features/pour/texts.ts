import { plural } from '@/core/plural';

/** What people read in pour. */

// wire.ts
export const amountMissing = 'An amount is missing.';
export const amountMost80Characters = 'An amount has at most 80 characters.';
export const amountsDish = 'the amounts of a dish';
export const amountsDishPrice = (menuPrice: string): string =>
  `the amounts of a dish, and its price ${menuPrice}`;
export const howMuchDish = 'How much of it is in the dish?';
export const dishMost60Lines = 'A dish has at most 60 lines.';
export const whatDishCalled = 'What is the dish called?';

// making.ts
export const dishAlreadyChooseAnother = (twin: string): string =>
  `“${twin}” is a dish already: choose another name.`;
export const dishNoLongerKitchen = 'This dish is no longer in this kitchen.';
export const eachPortionFromTimes = (typed: string, least: number, most: number, mark: string): string =>
  `${typed} of each portion: from ${least} to ${most} times. Write such as 0${mark}5 or 60 %.`;
export const lineSameIdAnother = 'This line has the same id as another.';
export const outOfRange = (value: number, most: number): string =>
  `${value} % cannot be: from 0 to ${most} %.`;
export const from = (value: number, what: string, least: number, most: number): string =>
  `${value} ${what}: from ${least} to ${most}.`;
export const dishesOnce = 'dishes at once';
export const alreadyIndependent = (name: string): string => `${name} is already independent.`;
export const onlyWhatBoughtCan = 'Only what is bought as it is can be packaging.';
export const lineNoLongerDish = 'This line is no longer in the dish.';
export const dishArchivedAlready = 'This dish is archived already.';
export const dishAlreadyList = 'This dish is already in the list.';
export const archiveFirstOrMake = (names: string, count: number): string =>
  `${names} ${plural(count, 'follows', 'follow')} it: archive that first, or make it independent.`;
export const noSuchDish = 'There is no such dish.';

// finishing.ts
export const whatSmallPotCalled = 'What is the small pot called?';
export const kitchenAlreadyChooseAnother = (twin: string): string =>
  `“${twin}” is in the kitchen already: choose another name for the small pot.`;
export const onlyWhatComesFrom = 'Only what comes from a pot is finished in a small one.';
export const kitchenNoVesselYet = 'The kitchen has no vessel for it yet: say which it has, in Pot.';

// actions.ts
export const fromPot = 'from its pot';
export const partOf = (part: string, name: string): string => `${part} of ${name}`;
export const stockTrim = (name: string): string => `${name}, stock trim`;

// queries.ts
export const partOfPrefix = (part: string): string => `${part} of `;

// pour-nav.tsx
export const whatIf = 'What if';
export const whatChanged = 'What changed';
export const whereUsed = 'Where used';
export const pouring = 'Pouring';
