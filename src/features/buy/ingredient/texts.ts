/** What people read in buy/ingredient. */

// articles.ts
export const articleArchivedAlready = 'This article is archived already.';
export const mostCharactersKept = (longest: number, count: number): string =>
  `At most ${longest} characters are kept; this has ${count}.`;
export const whatDoesSupplierCall = 'What does the supplier call it?';
export const ingredientNoLongerLarder = 'This ingredient is no longer in the larder.';
export const howPackedWriteSuch = 'How is it packed? Write such as 10 kg or 6 x 1 l.';
export const whatDoesPackCost = (pack: string): string =>
  `What does a pack of ${pack} cost? Another pack has another price.`;
export const articleAlreadyPriceBook = 'This article is already in the price book.';

// commands.ts
export const holds0GPrice = (per: string): string => `“${per}” holds 0 g: a price is for something.`;
export const kgPackKgCannot = (g: string, pack: string, said: string): string =>
  `${g} kg in a pack of ${pack} (${said} kg) cannot be: between a third and three times that.`;

// queries.ts
export const likely = (pct: number, low: number, high: number): string =>
  `${pct} %, likely ${low} to ${high}`;
export const perLitre = 'per litre';
export const perDish = 'per dish';
