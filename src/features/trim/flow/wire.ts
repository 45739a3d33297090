import { z } from 'zod';
import { sender, wire } from '@/wire';
import { ID } from '@/wire/fields';

/** How often a pot is usually cooked in a week, as typed. */
export const BATCHES = wire()({
  kind: 'recipe.batches',
  version: 1,
  body: z.object({ id: ID, typed: z.string().max(20, 'At most 20 characters are kept.') }),
});
/** How much of what comes off carries money away: `what` is the trim of the ingredient, or the by-product itself. */
export const TAKEN = wire()({
  kind: 'ingredient.trim-taken',
  version: 1,
  body: z.object({
    id: ID,
    what: z.enum(['stock trim', 'by-product']),
    pct: z.number().min(0).max(100),
  }),
});
/** Something thrown away, and why. */
export const Waste = z.object({
  ingredient: z.uuid('Choose what was wasted.'),
  part: z.enum(['whole', 'stock trim']),
  amount: z.string().max(80, 'An amount has at most 80 characters.'),
  reason: z.string().max(400, 'A reason has at most 400 characters.'),
});
export const WASTE = wire<{ readonly g: number }>()({
  kind: 'stock.waste',
  version: 1,
  body: Waste,
  waits: ({ ingredient, amount, reason }) => ({
    thing: ingredient,
    whole: false,
    words: `${amount} thrown away: ${reason}`,
  }),
});

export const saveBatches = sender(BATCHES);
export const saveTaken = sender(TAKEN);
export const saveWaste = sender(WASTE);
