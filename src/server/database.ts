import 'server-only';

import { isResponsive } from '@/db/watchdog';
import { openPool, type Pool } from '@/db/sql';
import { env } from './env';

// Kept on the global object: in development the modules are loaded again at every edit, connections must not be.
const kept = globalThis as typeof globalThis & { halfPotPool?: Pool };

export function database(): Pool {
  kept.halfPotPool ??= openPool(env().DATABASE_URL);
  return kept.halfPotPool;
}

/** ms for which a database that has answered is taken to answer. */
const ANSWERED_MS = 2000;
let answeredAt = -Infinity;

/** Whether the database answers now; said within two seconds. */
export async function databaseAnswers(): Promise<boolean> {
  if (performance.now() - answeredAt < ANSWERED_MS) return true;
  const there = await isResponsive(env().DATABASE_URL);
  if (there) answeredAt = performance.now();
  return there;
}
