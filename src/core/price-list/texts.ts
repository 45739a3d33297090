/** What people read in core/price-list. */

// rows.ts
export const formulaListSavedValues = (cell: string): string =>
  `“${cell}” is a formula: have the list saved with its values only.`;
export const neitherCodeNorName = 'It has neither a code nor a name.';
export const noPrice = 'It has no price.';
export const kitchenUses = (cell: string, other: string, currency: string): string =>
  `“${cell}” is in ${other}; this kitchen uses ${currency}.`;
export const notPrice = (cell: string): string => `“${cell}” is not a price.`;
