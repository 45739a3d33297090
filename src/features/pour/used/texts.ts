/** What people read in pour/used. */

// actions.ts
export const larder = 'in the larder';
export const fromPot = 'from its pot';
export const supplier = 'a supplier';
export const vessel = 'a vessel';
export const boughtFrom = (suppliers: string, pack: string): string => `bought from ${suppliers}, ${pack}`;
