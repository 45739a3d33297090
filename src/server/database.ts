import 'server-only';
import type { Pool } from 'mysql2/promise';
import { openPool } from '@/db/sql';
import { env } from './env';

// Kept on the global object: in development the modules are loaded anew at every edit, connections must not be.
const kept = globalThis as typeof globalThis & { halfPotPool?: Pool };

export function database(): Pool {
  kept.halfPotPool ??= openPool(env().DATABASE_URL);
  return kept.halfPotPool;
}
