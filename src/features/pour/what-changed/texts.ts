/** What people read in pour/what-changed. */

// queries.ts
export const firstDayBeforeSecond = 'The first day has to be before the second.';
export const firstDayNoDishs =
  'On the first day no dish’s cost was known: nothing had been bought yet, or there were no dishes.';
export const forText = (names: string, price: string, pack: string, invoice: undefined | string): string =>
  `${names}: ${price} for ${pack}${invoice === undefined ? ', a quote' : `, invoice ${invoice}`}`;
export const usable = (name: string, value: number, source: string): string =>
  `${name}: ${value} % usable, ${source === 'measured' ? 'measured' : 'set by hand'}`;
export const somethingArchived = 'Something archived';
export const by = (byName: string): string => ` by ${byName}`;
