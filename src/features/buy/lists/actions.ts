'use server';

import { z } from 'zod';
import { importById } from '@/db/buying/price-lists';
import { serverQuery } from '@/server/server-query';
import { database } from '@/server/database';
import type { Worker } from '@/server/session';
import { jobOf, type Job } from './jobs';

const One = z.tuple([z.uuid()]);

/** The work under way on a list of the kitchen somebody is at work in. */
async function jobHere(who: Worker, id: string): Promise<Job | undefined> {
  const job = jobOf(id);
  return job && (await importById(database(), who.kitchenId, id)) ? job : undefined;
}

/** Asks the work under way on a list to stop; what it has done so far is taken back. Who may only see it may not stop it. */
export const stop = serverQuery({ role: 'manager', of: One, otherwise: false }, async (who, id) => {
  const job = await jobHere(who, id);
  if (job) job.stop = true;
  return job !== undefined;
});

export interface Progress {
  readonly stage: 'looking' | 'writing';
  readonly done: number;
  readonly total: number;
  readonly ended: boolean;
  readonly trouble?: string | undefined;
}

/** How far the work on a list is; null when none is under way or was. */
export const progress = serverQuery(
  { role: 'reader', of: One, otherwise: null },
  async (who, id): Promise<Progress | null> => {
    const job = await jobHere(who, id);
    if (!job) return null;
    const { stage, done, total, ended, trouble } = job;
    return { stage, done, total, ended, trouble };
  },
);
