'use server';

import { z } from 'zod';
import { worker } from '@/server/session';
import { insteadOf, type Instead } from './queries';

/** What changes when another ingredient is used in this one's place. */
export async function askInstead(id: string, other: string): Promise<Instead | null> {
  const who = await worker();
  const asked = z.tuple([z.uuid(), z.uuid()]).safeParse([id, other]);
  return who && asked.success ? insteadOf(who, ...asked.data) : null;
}
