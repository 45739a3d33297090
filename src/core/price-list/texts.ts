/** What people read in core/price-list. */

// rows.ts
export const formulaListSavedValues = (shorten: string): string =>
  `“${shorten}” is a formula: have the list saved with its values only.`;
export const neitherCodeNorName = 'It has neither a code nor a name.';
export const noPrice = 'It has no price.';
export const kitchenUses = (shorten: string, other: string, currency: string): string =>
  `“${shorten}” is in ${other}; this kitchen uses ${currency}.`;
export const notPrice = (shorten: string): string => `“${shorten}” is not a price.`;
