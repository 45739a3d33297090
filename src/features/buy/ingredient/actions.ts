'use server';

import { z } from 'zod';
import { asked } from '@/server/asked';
import { insteadOf, type Instead } from './queries';

/** What changes when another ingredient is used in this one's place. */
export const askInstead = asked(
  { role: 'reader', of: z.tuple([z.uuid(), z.uuid()]), otherwise: null },
  (who, id, other): Promise<Instead | null> => insteadOf(who, id, other),
);
