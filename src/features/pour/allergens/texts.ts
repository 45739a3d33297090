/** What people read in pour/allergens. */

// csv.ts
export const notKnownBecause = 'not known because';

// pdf.ts
export const dishesTheirAllergens = 'Dishes and their allergens';
export const potsTheirAllergens = 'Pots and their allergens';
