import fs from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { migrate, newestSchema } from '@/db/migrate';
import { readKitchenText } from '@/core/kitchen-file';
import { mistakeWords } from '@/core/trouble';
import { firstKitchen, readKitchenFrom } from '@/db/kitchen/read-kitchen';
import { openPool } from '@/db/sql';
import { backUp, checkBackup, makeBackup, readInto } from '../backup/backup';
import { checkedUrl } from '../instance';
import { loadInto, mustRead } from '../kitchens';
import { startDatabase, type OwnDatabase } from '../mariadb';
import { placeOf, type Place } from '../place';
import { endChildrenOnSignal, isRunning, takePlace } from '../processes';
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
  // A database that others are at work with stays, whatever becomes of this command.
  if (!running) endChildrenOnSignal();
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

/** What a command puts in place of the kept kitchen. */
interface Coming {
  readonly command: string;
  readonly named: string;
  readonly over: boolean;
  /** Puts it into an empty database, up to date and checked. */
  readonly into: (url: string) => Promise<void>;
}

/**
 * Puts something in place of the kept kitchen: into a database of its own first; only when that is whole and up to date does it take
 * the kitchen's place.
 */
async function inPlace({ command, named, over, into }: Coming): Promise<void> {
  const place = placeOf('kitchen');
  if (isRunning(place))
    throw new Stop(
      `People may be at work: the kitchen is running. Stop it (Ctrl-C where it runs), then ${command}.`,
    );
  takePlace(place, command);
  await withKept(async (url, own) => {
    if (!own)
      throw new Stop('A database of your own is filled with its own tools; unset DATABASE_URL for ours.');
    const there = await kitchenIn(url);
    if (there !== undefined && !over)
      throw new Stop(
        `There is a kitchen here already, ${there}: nothing was touched. To put this in its place: ./halfpot ${command} ${named} --over`,
      );
    if (there !== undefined) {
      // Nothing makes room for it: what is to be restored may lie in the same folder.
      const before = await makeBackup(url, backupsOf(place), new Date());
      say(`What stood here is kept in ${before.file}.`);
    }
    const tried = own.fresh('halfpot_restore');
    await into(tried);
    if ((await kitchenIn(tried)) === undefined)
      throw new Stop(`There is no kitchen in ${named}: nothing was put in place.`);
    await into(own.fresh('halfpot'));
    own.drop('halfpot_restore');
  });
}

const asked = (args: readonly string[], command: string): { named: string; over: boolean } => {
  const { values, positionals } = parseArgs({
    args: [...args],
    options: { over: { type: 'boolean', default: false } },
    allowPositionals: true,
  });
  const [named] = positionals;
  if (named === undefined) throw new Stop(`Which file? ./halfpot ${command} FILE`);
  return { named, over: values.over };
};

/** `halfpot restore FILE [--over]`: the kept kitchen as it was. */
export async function restore(args: readonly string[]): Promise<number> {
  const { named, over } = asked(args, 'restore');
  const file = from(named);
  const checked = await checkBackup(file);
  await inPlace({
    command: 'restore',
    named,
    over,
    into: async (url) => {
      await readInto(url, file, checked);
      await migrate(url);
      await mustBeKitchen(url, checked.kitchenId, named);
    },
  });
  say(`Restored ${checked.kitchen} as of ${checked.at}. Everyone signs in again.`);
  return 0;
}

/** @throws Stop where what was restored is not a kitchen that Half Pot could have written */
async function mustBeKitchen(url: string, kitchenId: string, named: string): Promise<void> {
  const pool = openPool(url);
  try {
    const { file } = await readKitchenFrom(pool, kitchenId);
    const read = readKitchenText(JSON.stringify(file));
    if (read.ok) return;
    const [first] = read.mistakes;
    throw new Stop(
      `${named} does not hold a whole kitchen: ${first ? mistakeWords(first) : 'it cannot be read'} Nothing was put in place.`,
    );
  } finally {
    await pool.end();
  }
}

/** `halfpot import FILE [--over]`: a kitchen file as the kept kitchen, with its history where it has one. */
export async function importKitchen(args: readonly string[]): Promise<number> {
  const { named, over } = asked(args, 'import');
  if (!fs.existsSync(from(named))) throw new Stop(`There is no file ${named}.`);
  const file = mustRead(from(named));
  const ours = newestSchema();
  if (file.history && file.history.schema > ours)
    throw new Stop(
      `${named} was written by a newer Half Pot (its history is of step ${file.history.schema}, this program goes to ${ours}): update the program first.`,
    );
  await inPlace({ command: 'import', named, over, into: (url) => loadInto(url, file) });
  say(`Brought in ${file.kitchen.name}${file.history ? ' with its history' : ''}.`);
  say('Nobody has a password yet: ./halfpot people password NAME gives a manager a new one.');
  return 0;
}

async function kitchenIn(url: string): Promise<string | undefined> {
  const pool = openPool(url);
  return (
    await firstKitchen(pool)
      .catch(() => undefined)
      .finally(() => pool.end())
  )?.name;
}
