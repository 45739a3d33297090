/** What people read in pour/allergens. */

// allergens-view.tsx
export const allergens = 'Allergens';
export const dishesInsteadPots = 'Dishes instead of pots';
export const potsInsteadDishes = 'Pots instead of dishes';
export const pdf = 'PDF';
export const spreadsheetCsv = 'Spreadsheet (CSV)';
export const noYet = (nouns: string): string => `There are no ${nouns} yet.`;
export const nothingGoesIntoThem = 'Nothing that goes into them names an allergen.';
export const inText = (rows: number, nouns: string): string => `(in ${rows} ${nouns})`;
export const more = (count: number): string => ` and ${count} more`;
