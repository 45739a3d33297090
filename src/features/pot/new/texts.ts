/** What people read in pot/new. */

// queries.ts
export const standardSizeWillAdded = 'standard size: will be added to your vessels';
