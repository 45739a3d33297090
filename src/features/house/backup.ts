import 'server-only';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { z } from 'zod';
import { clockIn, dayIn } from '@/core/day';
import { now } from '@/server/clock';
import { env } from '@/server/env';
import { may, type Worker } from '@/server/session';

const Last = z.object({ at: z.iso.datetime(), file: z.string(), bytes: z.number() });

/** The last good backup by the kitchen's own clock, and whether it is too old to sleep well. */
export interface LastBackup {
  readonly day?: string | undefined;
  readonly clock?: string | undefined;
  readonly old: boolean;
}

/** s after a start by which there is a backup. */
const LONG_S = 3600;
/** ms after which a manager is warned. */
const OLD_MS = 2 * 86_400_000;

/** The last good backup, for a manager of a kitchen that is backed up; undefined for everybody else. */
export async function lastBackup(who: Worker): Promise<LastBackup | undefined> {
  const folder = env().HALFPOT_BACKUPS;
  if (folder === undefined || !may(who.role, 'manager')) return undefined;
  const text = await readFile(path.join(folder, 'last.json'), 'utf8').catch(() => '');
  const read = Last.safeParse(text === '' ? undefined : (JSON.parse(text) as unknown));
  // The first is made as soon as there is a kitchen: an hour without one is no beginning any more.
  if (!read.success) return { old: process.uptime() > LONG_S };
  const at = new Date(read.data.at);
  return {
    day: dayIn(who.zone, at),
    clock: clockIn(who.zone, at),
    old: now().getTime() - at.getTime() > OLD_MS,
  };
}
