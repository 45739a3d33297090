import 'server-only';

import { openPool, type Pool } from '@/db/sql';
import { env } from './env';

// Kept on the global object: in development the modules are loaded anew at every edit, connections must not be.
const kept = globalThis as typeof globalThis & { halfPotPool?: Pool };

export function database(): Pool {
  kept.halfPotPool ??= openPool(env().DATABASE_URL);
  return kept.halfPotPool;
}
