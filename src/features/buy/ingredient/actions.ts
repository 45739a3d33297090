'use server';

import { z } from 'zod';
import { serverQuery } from '@/server/server-query';
import { substituteFor, type SubstituteComparison } from './queries';

/** What changes when another ingredient is used in this one's place. */
export const compareSubstitute = serverQuery(
  { role: 'reader', of: z.tuple([z.uuid(), z.uuid()]), otherwise: null },
  (who, id, other): Promise<SubstituteComparison | null> => substituteFor(who, id, other),
);
