/** What people read in pour/family. */

// actions.ts
export const pot = 'a pot';
export const dish = 'a dish';
export const fromBench = 'from the bench';
