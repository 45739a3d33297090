import { z } from 'zod';
import { Day, Id, Instant } from '../written';

/** Something thrown away. */
export const Waste = z.strictObject({
  id: Id,
  ingredient: Id,
  part: z.enum(['whole', 'stock trim']).default('whole'),
  on: Day,
  recordedAt: Instant,
  by: Id.optional(),
  amount: z.string().trim().min(1).max(80),
  reason: z.string().trim().min(1, 'waste needs a reason').max(200),
});
