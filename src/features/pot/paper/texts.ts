/** What people read in pot/paper. */

// queries.ts
export const step = (step: number, message: string): string => `Step ${step}: ${message}`;

// pages.ts
export const now = (vessel: string): string => `in the ${vessel} now`;
export const cm = (cm: string): string => `${cm} cm`;
export const whatDo = 'what to do';
export const lookFromRim = 'look for, from the rim';
export const dipRead = 'dip read';
export const litreLayerLayer = 'A litre, layer by layer';
export const noPrice = 'no price';
export const all = 'with all of it';
export const evidence = 'evidence';
export const trimLoss = 'trim loss';
export const leftProduct = (money: string): string => `left in the product, of ${money}`;
export const losses = 'Losses';
export const tookAlong = 'took along';
export const notUsedAnyDish = 'Not used in any dish yet.';
export const usedTheseDishes = 'Used in these dishes';
export const perDish = 'per dish';
export const foodCost = 'food cost';
export const cost = (name: string): string => `${name}, cost`;
export const prices = (litres: string, day: string, versionWords: string): string =>
  `${litres}, at the prices of ${day} · ${versionWords}`;
export const perLitreIncomplete = 'Per litre: incomplete';
export const perLitreIngredients = (money: string): string => `${money} per litre, ingredients`;
export const portionMl = (small: string, ml: string): string => `${small} a portion of ${ml} ml`;
export const whatGoes = 'What goes in';
