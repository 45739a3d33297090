/** What people read in core/prices. */

// prices.ts
export const holds0GPrice = (per: string): string => `“${per}” holds 0 g: a price is for something.`;

// supplies.ts
export const noPrice = (name: string, day: string): string => `${name} has no price on ${day}.`;
export const comesOffWhichNo = (name: string, otherName: string, day: string): string =>
  `${name} comes off ${otherName}, which has no cost on ${day}.`;
