'use server';

import { z } from 'zod';
import { importById } from '@/db/price-lists';
import { database } from '@/server/database';
import { worker } from '@/server/session';
import { jobOf } from './jobs';

const Id = z.uuid();

/** The work under way on a list of the kitchen somebody is at work in. */
async function jobHere(id: string) {
  const who = await worker();
  const job = Id.safeParse(id).success ? jobOf(id) : undefined;
  return who && job && (await importById(database(), who.kitchenId, id)) ? job : undefined;
}

/** Asks the work under way on a list to stop; what it has done so far is taken back. */
export async function stop(id: string): Promise<void> {
  const job = await jobHere(id);
  if (job) job.stop = true;
}

export interface Progress {
  readonly stage: 'looking' | 'writing';
  readonly done: number;
  readonly total: number;
  readonly ended: boolean;
  readonly trouble?: string | undefined;
}

/** How far the work on a list is; null when none is under way or was. */
export async function progress(id: string): Promise<Progress | null> {
  const job = await jobHere(id);
  if (!job) return null;
  const { stage, done, total, ended, trouble } = job;
  return { stage, done, total, ended, trouble };
}
