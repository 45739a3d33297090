'use server';

import { z } from 'zod';
import { kept } from '@/server/kept';
import type { KeptAnswer } from '@/ui/use-kept';
import { setBatches, setTaken, throwAway } from './service';

const At = { id: z.uuid(), seen: z.number().int().positive() };

const Batches = z.object({ ...At, typed: z.string().max(20, 'At most 20 characters are kept.') });
export const keepBatches = async (input: z.infer<typeof Batches>): Promise<KeptAnswer> =>
  kept(Batches, input, ({ id, seen, typed }) => setBatches(id, seen, typed));

const Taken = z.object({
  supply: z.string().regex(/^(trim|usable):[0-9a-f-]{36}$/),
  seen: z.number().int().positive(),
  pct: z.number().min(0).max(100),
});
export const keepTaken = async (input: z.infer<typeof Taken>): Promise<KeptAnswer> =>
  kept(Taken, input, ({ supply, seen, pct }) => setTaken(supply, seen, pct));

const Waste = z.object({
  ingredient: z.uuid('Choose what was thrown away.'),
  part: z.enum(['whole', 'stock trim']),
  amount: z.string().max(80, 'An amount has at most 80 characters.'),
  reason: z.string().max(400),
});
export const keepWaste = async (input: z.infer<typeof Waste>): Promise<KeptAnswer> =>
  kept(Waste, input, throwAway);
