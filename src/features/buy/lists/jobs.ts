import 'server-only';
import { setImmediate as othersFirst } from 'node:timers/promises';
import { refuse } from '@/core/trouble';
import { Refused } from '@/server/door';
import { log } from '@/server/log';
import * as texts from './texts';

/** Long work on one import: how far it is, and whether it has been asked to stop. */
export interface Job {
  readonly stage: 'looking' | 'writing';
  done: number;
  total: number;
  stop: boolean;
  /** What it ended with, if it could not be done. */
  trouble?: string;
  ended: boolean;
}

/** Thrown inside a job that has been asked to stop: what it has written so far is taken back. */
export class Stopped extends Refused {
  constructor() {
    super(refuse('stopped', '', texts.stoppedNothingWritten).trouble);
  }
}

const kept = globalThis as typeof globalThis & { halfPotJobs?: Map<string, Job> };
const jobs = (kept.halfPotJobs ??= new Map<string, Job>());

export const jobOf = (importId: string): Job | undefined => jobs.get(importId);

/** Lets others have their turn, and ends here if the job has been asked to stop. */
export async function breathe(job: Job): Promise<void> {
  await othersFirst();
  if (job.stop) throw new Stopped();
}

/**
 * Starts long work on an import, one at a time for each.
 * @returns false when some is under way already
 */
export function startJob(
  importId: string,
  stage: Job['stage'],
  work: (job: Job) => Promise<void>,
  stopped: () => Promise<void>,
): boolean {
  const before = jobs.get(importId);
  if (before && !before.ended) return false;
  const job: Job = { stage, done: 0, total: 0, stop: false, ended: false };
  jobs.set(importId, job);
  void work(job)
    .catch(async (error: unknown) => {
      job.trouble = error instanceof Refused ? error.message : texts.couldNotDoneSomething;
      if (!(error instanceof Refused)) log.error({ err: error, importId }, 'a price list job failed');
      await stopped();
    })
    .finally(() => {
      job.ended = true;
    });
  return true;
}
