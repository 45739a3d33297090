import fs from 'node:fs';
import path from 'node:path';
import { shiftTo, readKitchenText, underWayAt, type KitchenFile } from '@/core/kitchen-file';
import { loadKitchen, type Secrets } from '@/db/kitchen/load-kitchen';
import { migrate, newestSchema, schemaOf } from '@/db/migrate';
import { firstKitchen, mustSay } from '@/db/kitchen/read-kitchen';
import { inTransaction, openPool } from '@/db/sql';
import { HistoryError, loadRows } from '@/db/kitchen/history-rows';
import { hashSecret } from '@/server/passwords';
import { backUp } from './backup/backup';
import { ROOT } from './place';
import { say, Stop } from './stop';
import { mistakeWords } from '@/core/trouble';

export const DEMO_FILE = path.join(ROOT, 'demo/kestrel-weir.json');

/** Reads a kitchen file or stops with every mistake in it. */
export function mustRead(file: string): KitchenFile {
  const read = readKitchenText(fs.readFileSync(file, 'utf8'));
  if (read.ok) return read.file;
  throw new Stop(
    [
      `${path.basename(file)} has ${read.mistakes.length} mistakes:`,
      ...read.mistakes.map((m) => `  ${mistakeWords(m)}`),
    ].join('\n'),
  );
}

async function secretsOf(file: KitchenFile): Promise<Secrets> {
  const secrets = new Map<string, { password: string | null; pin: string | null }>();
  for (const p of file.people)
    secrets.set(p.id, {
      password: p.firstPassword === undefined ? null : await hashSecret(p.firstPassword),
      pin: p.firstPin === undefined ? null : await hashSecret(p.firstPin),
    });
  return secrets;
}

/**
 * A kitchen file into an empty database: with its history first at the step that was written at, then brought up to date; and read
 * out again it says the same.
 * @throws Stop where its history is none that can be taken
 */
export async function loadInto(url: string, file: KitchenFile): Promise<void> {
  const { history } = file;
  await migrate(url, undefined, history?.schema);
  const pool = openPool(url);
  try {
    if (!history) return await loadKitchen(pool, file, await secretsOf(file));
    await inTransaction(pool, (sql) => loadRows(sql, file.kitchen.id, history));
    await migrate(url);
    await mustSay(pool, file);
  } catch (error) {
    throw error instanceof HistoryError ? new Stop(`${error.message} Nothing was brought in.`) : error;
  } finally {
    await pool.end();
  }
}

/**
 * Migrates the database of a kitchen of one's own; before anything in it is changed, it is backed up.
 * @returns whether a kitchen is in it
 */
export async function prepareOwn(url: string, backups: string): Promise<boolean> {
  const stands = await schemaOf(url);
  const pool = openPool(url);
  try {
    if (stands > 0 && stands < newestSchema() && (await firstKitchen(pool))) {
      const made = await backUp(url, backups, new Date());
      say(`Backed up to ${made.file} before the database is brought up to date.`);
    }
    const ran = await migrate(url);
    if (ran.length > 0) say(`Database brought up to date (${ran.length} steps).`);
    return (await firstKitchen(pool)) !== undefined;
  } finally {
    await pool.end();
  }
}

/** Migrates a database and loads the demo kitchen, its days shifted to `today` and its running pots to `now`, ms, unless it is there already. */
export async function prepareDemo(url: string, today: string, now: number): Promise<undefined> {
  const ran = await migrate(url);
  if (ran.length > 0) say(`Database brought up to date (${ran.length} steps).`);
  const pool = openPool(url);
  try {
    const there = await firstKitchen(pool);
    if (there) return undefined;
    const file = mustRead(DEMO_FILE);
    await loadKitchen(pool, underWayAt(shiftTo(file, today), now), await secretsOf(file));
    say(`Loaded the demo kitchen, ${file.kitchen.name}.`);
    return undefined;
  } finally {
    await pool.end();
  }
}
