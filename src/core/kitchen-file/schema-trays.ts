import { z } from 'zod';
import { TRIM_SCHOOLS } from '../larder';
import { Id, Name, Price, Typed } from '../written';

/** Least and most that a trial makes of a price: a twentieth, and twenty times. */
export const TIMES = { least: 0.05, most: 20 } as const;
const Times = z
  .number()
  .min(TIMES.least)
  .max(TIMES.most)
  .describe('so many times what it is: 1.2 is a fifth more');

/** Trials on one tray. */
export const MOST_ON_A_TRAY = 30;

/** One change that is tried out. What it names need not stand any more: it then says so, and does nothing. */
export const Trial = z.discriminatedUnion('of', [
  z.strictObject({ of: z.literal('price'), ingredient: Id, times: Times }),
  z
    .strictObject({ of: z.literal('group'), group: z.string().min(1).max(60), times: Times })
    .describe('all prices of a group of the larder'),
  z.strictObject({ of: z.literal('supplier'), supplier: Id, times: Times }),
  z.strictObject({ of: z.literal('yield'), ingredient: Id, usablePct: z.number().min(1).max(100) }),
  z
    .strictObject({ of: z.literal('line'), recipe: Id, step: Id, says: z.string().min(1).max(400) })
    .describe('a line of a pot as it is to read: a reduction, an amount'),
  z.strictObject({ of: z.literal('portion'), plate: Id, line: Id, amount: Typed }),
  z.strictObject({ of: z.literal('menu price'), plate: Id, price: Price }),
  z.strictObject({ of: z.literal('school'), school: z.enum(TRIM_SCHOOLS), setValuePerKg: Price.optional() }),
  z
    .strictObject({ of: z.literal('layer'), layer: z.enum(['energy', 'hands']), times: Times })
    .describe('what energy or an hour of labour costs'),
  z
    .strictObject({ of: z.literal('instead'), kind: z.enum(['ingredient', 'recipe']), from: Id, to: Id })
    .describe('one thing in place of another, everywhere'),
]);

export const Tray = z
  .strictObject({ id: Id, name: Name, trials: z.array(Trial).max(MOST_ON_A_TRAY) })
  .describe('trial changes that leave the book as it is until they are applied');
