import { plural } from '@/core/plural';

/** What people read in pour/family. */

// outline.tsx
export const takes = (takes: string, is: string, last: boolean): string =>
  `, takes ${takes} ${is === 'plate' ? 'per dish' : 'per batch'}${last ? ' of what the last batch left' : ''}`;
export const cost = (percent: string): string => `, ${percent} % of its cost`;
export const listedAbove = ', listed above';

// family-map.tsx
export const familyTreeOutlineBelow = 'Family tree; the outline below shows the same';
export const costFromHere = (percent: string): string => `${percent} % of its cost from here`;
export const showWhatUses = (name: string): string => `Show what uses ${name}`;
export const hideWhatUses = (name: string): string => `Hide what uses ${name}`;

// family-view.tsx
export const whatBenchGives = 'what the bench gives';
export const whatLastBatchLeft = 'what a last batch left (dotted)';
export const findRecipeOrDish = 'Find a recipe or a dish';
export const showAll = 'Show all';
export const sameOutline = 'The same as an outline';
export const familyOutline = 'The family as an outline';
export const notConnected = 'Not connected: ';
export const whatUses = (name: string): string => `What uses ${name}`;
export const familyTree = 'Family tree';
export const notUsedAnyDish = '. Not used in any dish.';
export const usualWeekOneEach =
  'A usual week, and one of each dish. Wider lines carry more litres; darker lines carry dearer litres. − hides what is made from a box, + shows it.';
export const noLongerHere = 'This is no longer here.';
export const potsDishesTooMany = (sum: number): string =>
  `${sum} pots and dishes are too many for one picture: one family at a time.`;
export const moreFamilyNotDrawn = (more: number): string => ` ${more} more of its family are not drawn.`;
export const usualWeekOneBatch = (batches: number, figure: string, litres: string): string =>
  `In a usual week ${plural(batches, 'one batch gives', `${figure} batches give`)} ${litres}:`;
export const into = 'into';
export const moreThanGivesShort = (litres: string): string =>
  `. That is more than it gives: ${litres} are short.`;
export const leftDishesStore = (litres: string): string => `. ${litres} are left for dishes and the store.`;
