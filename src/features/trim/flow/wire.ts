import { z } from 'zod';
import { sender, wire } from '@/wire';
import { ID } from '@/wire/fields';
import * as texts from './texts';

/** How often a pot is usually cooked in a week, as typed. */
export const BATCHES = wire()({
  kind: 'recipe.batches',
  version: 1,
  body: z.object({ id: ID, typed: z.string().max(20, texts.most20CharactersKept) }),
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
  ingredient: z.uuid(texts.chooseWhatWasted),
  part: z.enum(['whole', 'stock trim']),
  amount: z.string().max(80, texts.amountMost80Characters),
  reason: z.string().max(400, texts.reasonMost400Characters),
});
export const WASTE = wire<{ readonly g: number }>()({
  kind: 'stock.waste',
  version: 1,
  body: Waste,
  waits: ({ ingredient, amount, reason }) => ({
    thing: ingredient,
    whole: false,
    words: texts.thrownAway(amount, reason),
  }),
});

export const saveBatches = sender(BATCHES);
export const saveTaken = sender(TAKEN);
export const saveWaste = sender(WASTE);
