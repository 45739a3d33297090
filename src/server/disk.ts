import 'server-only';
import { statfs } from 'node:fs/promises';
import { env } from './env';
import * as texts from './texts';

/** MB below which nothing more is written: the database needs some to stay whole. `/ready` says so too. */
export const LEAST_MB = 150;

const LOOKED_MS = 5000;
let looked: { readonly at: number; readonly mb: number } | undefined;

/** MB that are free where the kitchen's records lie, looked at every few seconds. */
export async function freeMb(): Promise<number> {
  const at = performance.now();
  if (looked && at - looked.at < LOOKED_MS) return looked.mb;
  const { bavail, bsize } = await statfs(env().HALFPOT_DATA ?? process.cwd());
  looked = { at, mb: (bavail * bsize) / 1024 / 1024 };
  return looked.mb;
}

/** What is said where a write is refused for want of room; undefined while there is enough. */
export async function noRoom(): Promise<string | undefined> {
  const mb = await freeMb();
  return mb >= LEAST_MB ? undefined : texts.onlyMbFreeDisk(Math.floor(mb), LEAST_MB);
}
