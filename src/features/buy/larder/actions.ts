'use server';

import { z } from 'zod';
import { serverQuery } from '@/server/server-query';
import { findInLarder, ownNames, type LarderFound, type OwnName } from './queries';

/** What of the larder fits some words. */
export const findLarder = serverQuery(
  { role: 'reader', of: z.tuple([z.string().max(200)]), otherwise: undefined },
  (who, wanted): Promise<LarderFound | undefined> => findInLarder(who, wanted),
);

/** The kitchen's own ingredients that fit some words. */
export const findOwn = serverQuery(
  { role: 'reader', of: z.tuple([z.string().max(200)]), otherwise: [] },
  (who, wanted): Promise<OwnName[]> => ownNames(who, wanted),
);
