import path from 'node:path';
import { parseArgs } from 'node:util';
import { migrate } from '@/db/migrate';
import { firstKitchen } from '@/db/read-kitchen';
import { openPool } from '@/db/sql';
import { backUp, checkBackup, makeBackup, readInto } from '../backup/backup';
import { checkedUrl } from '../instance';
import { startDatabase, type OwnDatabase } from '../mariadb';
import { placeOf, type Place } from '../place';
import { isRunning, takePlace } from '../processes';
import { say, Stop } from '../stop';

export const backupsOf = (place: Place): string => path.join(place.folder, 'backups');

const from = (file: string): string => path.resolve(process.env.HALFPOT_FROM ?? '.', file);
const mb = (bytes: number): string => `${(bytes / 1e6).toFixed(1)} MB`;

/** The kept kitchen's database, started where it does not run; left running where it does. */
export async function withKept<T>(
  work: (url: string, own: OwnDatabase | undefined, place: Place) => Promise<T>,
): Promise<T> {
  const place = placeOf('kitchen');
  const running = isRunning(place);
  const given = process.env.DATABASE_URL;
  const own = given === undefined ? await startDatabase(place) : undefined;
  try {
    return await work(own ? own.url('halfpot') : checkedUrl(given ?? ''), own, place);
  } finally {
    if (!running) await own?.stop();
  }
}

/** `halfpot backup [FOLDER]`: the kept kitchen whole, as of this moment. */
export const backup = (args: readonly string[]): Promise<number> =>
  withKept(async (url, _own, place) => {
    const [to] = args;
    const made =
      to === undefined
        ? await backUp(url, backupsOf(place), new Date())
        : await makeBackup(url, from(to), new Date());
    say(`Backed up to ${made.file} (${mb(made.bytes)}).`);
    return 0;
  });

/**
 * `halfpot restore FILE [--over]`: the kept kitchen as it was. It is read into a database of its own first; only when that is
 * whole and up to date does it take the kitchen's place.
 */
export async function restore(args: readonly string[]): Promise<number> {
  const { values, positionals } = parseArgs({
    args: [...args],
    options: { over: { type: 'boolean', default: false } },
    allowPositionals: true,
  });
  const [named] = positionals;
  if (named === undefined) throw new Stop('Which backup? ./halfpot restore FILE');
  const file = from(named);
  const head = await checkBackup(file);
  const place = placeOf('kitchen');
  if (isRunning(place))
    throw new Stop(
      'People may be at work: the kitchen is running. Stop it (Ctrl-C where it runs), then restore.',
    );
  takePlace(place, 'restore');
  return withKept(async (url, own) => {
    if (!own)
      throw new Stop('A database of your own is restored with its own tools; unset DATABASE_URL for ours.');
    const there = await kitchenIn(url);
    if (there !== undefined && !values.over)
      throw new Stop(
        `There is a kitchen here already, ${there}: nothing was touched. To put the backup in its place: ./halfpot restore ${named} --over`,
      );
    if (there !== undefined) {
      // Nothing makes room for it: what is to be restored may lie in the same folder.
      const before = await makeBackup(url, backupsOf(place), new Date());
      say(`What stood here is kept in ${before.file}.`);
    }
    const tried = own.fresh('halfpot_restore');
    await readInto(tried, file);
    await migrate(tried);
    if ((await kitchenIn(tried)) === undefined)
      throw new Stop(`There is no kitchen in ${named}: nothing was restored.`);
    const live = own.fresh('halfpot');
    await readInto(live, file);
    await migrate(live);
    own.drop('halfpot_restore');
    say(`Restored ${head.kitchen} as of ${head.at}.`);
    return 0;
  });
}

async function kitchenIn(url: string): Promise<string | undefined> {
  const pool = openPool(url);
  return (
    await firstKitchen(pool)
      .catch(() => undefined)
      .finally(() => pool.end())
  )?.name;
}
