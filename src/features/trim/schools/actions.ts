'use server';

import { z } from 'zod';
import { serverQuery } from '@/server/server-query';
import { platesInSchools, type PlatesShown } from './queries';

/** Other plates priced under each school. */
export const compareSchools = serverQuery(
  { role: 'reader', of: z.tuple([z.array(z.uuid()).max(12)]), otherwise: undefined },
  (who, ids): Promise<PlatesShown | undefined> => platesInSchools(who, ids),
);
