import fs from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { newestSchema } from '@/db/migrate';
import { firstKitchen, readKitchenFrom, readWithHistory } from '@/db/kitchen/read-kitchen';
import { inSnapshot, openPool } from '@/db/sql';
import { checkedUrl } from '../instance';
import { startDatabase } from '../mariadb';
import { placeOf } from '../place';
import { Stop } from '../stop';

/** `halfpot export [FILE] [--demo] [--history]`: the kept kitchen, or the demo, as a kitchen file, without anybody's secrets. */
export async function exportKitchen(args: readonly string[]): Promise<number> {
  const { values, positionals } = parseArgs({
    args: [...args],
    options: { demo: { type: 'boolean', default: false }, history: { type: 'boolean', default: false } },
    allowPositionals: true,
  });
  const kept = placeOf('kitchen');
  const place = !values.demo && fs.existsSync(kept.data) ? kept : placeOf('demo');
  const running = fs.existsSync(path.join(place.folder, 'run.pid'));
  const own = process.env.DATABASE_URL === undefined ? await startDatabase(place) : undefined;
  const pool = openPool(own ? own.url('halfpot') : checkedUrl(process.env.DATABASE_URL as string));
  try {
    const kitchen = await firstKitchen(pool).catch(() => undefined);
    if (!kitchen)
      throw new Stop('There is no kitchen to write out yet: start ./halfpot start or ./halfpot demo once.');
    const file = await inSnapshot(pool, async (sql) =>
      values.history
        ? readWithHistory(sql, kitchen.id, newestSchema())
        : (await readKitchenFrom(sql, kitchen.id)).file,
    );
    const text = `${JSON.stringify(file, null, 1)}\n`;
    const [to] = positionals;
    if (to === undefined) process.stdout.write(text);
    else fs.writeFileSync(path.resolve(process.env.HALFPOT_FROM ?? '.', to), text);
    return 0;
  } finally {
    await pool.end();
    // A database that a running demo stands on is left to it.
    if (!running) await own?.stop();
  }
}
