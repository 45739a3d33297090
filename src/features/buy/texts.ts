/** What people read in buy. */

// queries.ts
export const invoice = (on: string, invoice: string): string => `${on}, invoice ${invoice}`;

// wire.ts
export const packPrice = (typed: string): string => `a pack price of ${typed}`;

// commands.ts
export const noLongerPriceBook = 'This is no longer in the price book.';
export const set = (name: string): string => `set by ${name}`;

// buy-nav.tsx
export const priceBook = 'Price book';
export const priceLists = 'Price lists';
export const buying = 'Buying';
export const usable = (typed: string): string => `${typed} % usable`;
