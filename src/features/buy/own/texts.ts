import { plural } from '@/core/plural';

/** What people read in buy/own. */

// wire.ts
export const whatCalledKitchen = 'What is it called in this kitchen?';

// commands.ts
export const kitchenAlreadyLineCould = (twin: string): string =>
  `“${twin}” is in the kitchen already: a line could mean either. Choose another name.`;
export const gOneCannotAbove = (grams: number): string =>
  `${grams} g for one cannot be: above 0 and at most 100 kg.`;
export const usableOutOfRange = (value: number): string =>
  `${value} % usable cannot be: above 0 and at most 100.`;
export const set = (name: string): string => `set by ${name}`;
export const ingredientNoLongerLarder = 'This ingredient is no longer in the larder.';
export const howPackedWriteSuch = 'How is it packed? Write such as 10 kg, 6 x 1 l or a bunch.';
export const whatDoesOneWeigh = 'What does one weigh? Write such as 35 g.';
export const comesOffArchiveFirst = (name: string): string => `${name} comes off it: archive that first.`;
export const comesOffWhoseTests = (name: string): string => `It comes off ${name}, whose tests count it.`;
export const anotherSpellingSeparateTwo = (name: string): string =>
  `${name} is another spelling of it: separate the two first.`;
export const ingredientLarderAlready = 'This ingredient is in the larder already.';
export const ingredientArchivedAlready = 'This ingredient is archived already.';
export const chooseWhatTakesPlace = (names: string, count: number): string =>
  `${names} ${plural(count, 'takes', 'take')} it: choose what takes its place.`;
export const whatTakePlaceNo = 'What is to take its place is no longer in the larder.';
export const potCannotTakePlace = (
  name: string,
  role: string,
  otherName: string,
  otherRole: string,
): string =>
  `${name} is a ${role} in the pot and ${otherName} a ${otherRole}: it cannot take its place by itself.`;

// actions.ts
export const usable = (role: string, pct: number): string =>
  `${role === 'liquid' ? 'liquid' : 'pieces'}, ${pct} % usable`;
