'use server';

import { z } from 'zod';
import { worker } from '@/server/session';
import { platesInSchools, type PlatesShown } from './queries';

const Ids = z.array(z.uuid()).max(12);

/** Other plates priced under each school; undefined for whoever is not signed in. */
export async function askPlates(ids: readonly string[]): Promise<PlatesShown | undefined> {
  const who = await worker();
  const asked = Ids.safeParse(ids);
  return who && asked.success ? platesInSchools(who, asked.data) : undefined;
}
