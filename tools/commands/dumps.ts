import fs from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { newestSchema } from '@/db/migrate';
import { firstKitchen, readKitchenFrom } from '@/db/kitchen/read-kitchen';
import { openPool } from '@/db/sql';
import { makeBackup } from '../backup/backup';
import { prepareDemo } from '../kitchens';
import { startDatabase } from '../mariadb';
import { placeOf, ROOT } from '../place';
import { endChildrenOnSignal, takePlace } from '../processes';
import { say, Stop } from '../stop';

/** The day that databases left behind are filled for. */
const DAY = '2026-03-14';

/**
 * `halfpot dumps`: leaves a database filled with the demo as the newest step has it, and the kitchen file of it, for the tests to
 * upgrade for ever. Written once, when a step is finished; what has landed is never written again.
 */
export async function dumps(): Promise<number> {
  const step = String(newestSchema()).padStart(3, '0');
  const to = (kind: 'rows' | 'json'): string => path.join(ROOT, 'tests/dumps', `${step}.${kind}.gz`);
  if (fs.existsSync(to('rows')))
    throw new Stop(`Step ${step} has left its database already: remove it if the step has not landed yet.`);
  const place = placeOf('pictures');
  endChildrenOnSignal();
  takePlace(place, 'dumps');
  const own = await startDatabase(place);
  const folder = fs.mkdtempSync(path.join(place.folder, 'dumps-'));
  try {
    const url = own.fresh('halfpot_dumps');
    await prepareDemo(url, DAY, Date.parse(`${DAY}T12:00:00.000Z`));
    const made = await makeBackup(url, folder, new Date(`${DAY}T12:00:00Z`));
    const pool = openPool(url);
    const kitchen = await firstKitchen(pool);
    const { file } = await readKitchenFrom(pool, kitchen?.id ?? '');
    await pool.end();
    fs.copyFileSync(made.file, to('rows'));
    fs.writeFileSync(to('json'), gzipSync(JSON.stringify(file)));
    own.drop('halfpot_dumps');
    say(`Left the demo at step ${step} in tests/dumps.`);
    return 0;
  } finally {
    fs.rmSync(folder, { recursive: true, force: true });
    await own.stop();
  }
}
