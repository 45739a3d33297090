/** What people read in core/shelf. */

// shelf.ts
export const cannotMadeYetTaken = (recipe: string, part: undefined | string): string =>
  `${recipe} cannot be made yet, so ${part ?? 'nothing'} ${part === undefined ? 'can' : 'cannot'} be taken from it.`;
export const noBatchCanMade = (recipe: string): string =>
  `No batch of ${recipe} can be made yet, so none has left anything.`;

// last-batch.ts
export const kgLastBatchTaken = (g: string, leftG: string): string =>
  `${g} kg of the last batch are taken, and a batch leaves ${leftG} kg: it would eat itself up.`;

// cook-all.ts
export const oneBatchGoesInto =
  'One batch goes into the next, but batch after batch never comes to be the same.';
