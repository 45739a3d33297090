import fs from 'node:fs';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';
import { z } from 'zod';
import {
  BackupError,
  BackupRow,
  BackupTable,
  loadBackup,
  readBackup,
  type BackupPart,
} from '@/db/kitchen/backup-rows';
import { firstKitchen } from '@/db/kitchen/read-kitchen';
import { migrate, newestSchema, schemaOf } from '@/db/migrate';
import { inTransaction, openPool } from '@/db/sql';
import { Stop } from '../stop';
import { DumpError, partsOfDump } from './dump';
import { kept, type Made } from './keep';
import { cutShort, unpackedLines } from './lines';

/** The first line of a backup: what it is of. */
const Head = z.object({
  format: z.literal('half-pot-backup'),
  version: z.literal(2),
  at: z.iso.datetime(),
  kitchen: z.string(),
  kitchenId: z.uuid(),
  /** The newest migration its tables had. */
  schema: z.number().int().positive(),
});
/** The same of version 1, which was a dump of the database: its kitchen's id stands among its rows. */
const DumpHead = Head.extend({ version: z.literal(1) }).omit({ kitchenId: true });
export type BackupHead = z.infer<typeof Head>;

/** The last line: without it a backup is cut short. */
const End = z.strictObject({ rows: z.number().int().nonnegative() });

const DUMP_MARK = '-- half-pot-backup ';
const DUMP_END = '-- Dump completed';

const named = (at: Date): string =>
  `half-pot-${at
    .toISOString()
    .replace(/\.\d+Z$/, 'Z')
    .replaceAll(':', '-')}.rows.gz`;
/** Those of version 1 ended in `.sql.gz`. */
const NAME = /^half-pot-(\d{4}-\d\d-\d\dT)(\d\d)-(\d\d)-(\d\d)Z\.(?:rows|sql)\.gz$/;

/** Backups in a folder, by the instant in their names. */
export const backupsIn = (folder: string): Made[] =>
  !fs.existsSync(folder)
    ? []
    : fs.readdirSync(folder).flatMap((file) => {
        const [, day, h, m, s] = NAME.exec(file) ?? [];
        return day ? [{ file, at: new Date(`${day}${h}:${m}:${s}Z`) }] : [];
      });

export interface Backup {
  readonly file: string;
  readonly bytes: number;
  readonly at: Date;
}

/** A backup line by line: its head, for each table its columns and then its rows, and its end. */
async function* linesOf(head: BackupHead, parts: AsyncIterable<BackupPart>): AsyncGenerator<string> {
  yield `${JSON.stringify(head)}\n`;
  let rows = 0;
  for await (const part of parts) {
    if (Array.isArray(part)) rows += 1;
    yield `${JSON.stringify(part)}\n`;
  }
  yield `${JSON.stringify({ rows } satisfies z.infer<typeof End>)}\n`;
}

/**
 * Writes a kitchen's rows out as of one moment, while people go on working in it. The file gets its name when it is whole.
 * @throws Stop where there is no kitchen
 */
export async function makeBackup(url: string, folder: string, at: Date): Promise<Backup> {
  const pool = openPool(url);
  try {
    const kitchen = await firstKitchen(pool).catch(() => undefined);
    if (!kitchen) throw new Stop('There is no kitchen to back up yet.');
    fs.mkdirSync(folder, { recursive: true, mode: 0o700 });
    const file = path.join(folder, named(at));
    const part = `${file}.part`;
    const head: BackupHead = {
      format: 'half-pot-backup',
      version: 2,
      at: at.toISOString(),
      kitchen: kitchen.name,
      kitchenId: kitchen.id,
      schema: await schemaOf(url),
    };
    try {
      await pipeline(
        linesOf(head, readBackup(pool, url, kitchen.id)),
        createGzip(),
        fs.createWriteStream(part, { mode: 0o600 }),
      );
    } catch (error) {
      fs.rmSync(part, { force: true });
      throw error;
    }
    fs.renameSync(part, file);
    return { file, bytes: fs.statSync(file).size, at };
  } finally {
    await pool.end();
  }
}

/** Makes a backup, leaves those that are kept, and writes down where the last good one is. */
export async function backUp(url: string, folder: string, at: Date): Promise<Backup> {
  const made = await makeBackup(url, folder, at);
  const all = backupsIn(folder);
  const stay = kept(all);
  for (const { file } of all) if (!stay.has(file)) fs.rmSync(path.join(folder, file), { force: true });
  fs.writeFileSync(
    path.join(folder, 'last.json'),
    `${JSON.stringify({ at: at.toISOString(), file: path.basename(made.file), bytes: made.bytes })}\n`,
  );
  return made;
}

/** What a line holds, or undefined where it is no JSON. */
function parsed(line: string): unknown {
  try {
    return JSON.parse(line);
  } catch {
    return undefined;
  }
}

/** The tables and rows of a backup's lines after its head. */
async function* partsOf(name: string, lines: AsyncIterable<string>): AsyncGenerator<BackupPart> {
  let rows = 0;
  let [began, ended] = [false, false];
  for await (const line of lines) {
    if (ended) throw new Stop(`${name} goes on after its end: it is damaged. Nothing was restored.`);
    const value = parsed(line);
    const row = began ? BackupRow.safeParse(value) : undefined;
    if (row?.success) {
      rows += 1;
      yield row.data;
      continue;
    }
    const table = BackupTable.safeParse(value);
    if (table.success) {
      began = true;
      yield table.data;
    } else if (End.safeParse(value).data?.rows === rows) ended = true;
    else throw cutShort(name);
  }
  if (!ended) throw cutShort(name);
}

interface OpenBackup {
  readonly head: Omit<BackupHead, 'version' | 'kitchenId'>;
  /** Undefined in version 1: it stands in the row of its table `kitchen`. */
  readonly kitchenId: string | undefined;
  readonly parts: AsyncGenerator<BackupPart>;
}

/** Opens a backup of either version at its first row. */
async function openBackup(file: string): Promise<OpenBackup> {
  const name = path.basename(file);
  const lines = unpackedLines(file);
  const first = await lines.next();
  const line = first.done ? '' : first.value;
  const dump = line.startsWith(DUMP_MARK);
  const value = parsed(dump ? line.slice(DUMP_MARK.length) : line);
  const head = dump ? DumpHead.safeParse(value) : Head.safeParse(value);
  if (!head.success) {
    await lines.return(undefined);
    throw new Stop(`${name} is not a backup of Half Pot.`);
  }
  const ours = newestSchema();
  if (head.data.schema > ours) {
    await lines.return(undefined);
    throw new Stop(
      `${name} was made by a newer Half Pot (its tables are at step ${head.data.schema}, this program goes to ${ours}): update the program first.`,
    );
  }
  return {
    head: head.data,
    kitchenId: head.data.version === 2 ? head.data.kitchenId : undefined,
    parts: head.data.version === 2 ? partsOf(name, lines) : partsOfDump(whole(name, lines)),
  };
}

/** The lines of a dump, to be seen through to its last. */
async function* whole(name: string, lines: AsyncIterable<string>): AsyncGenerator<string> {
  let last = '';
  for await (const line of lines) {
    if (line.trim() !== '') last = line;
    yield line;
  }
  if (!last.startsWith(DUMP_END)) throw cutShort(name);
}

export interface CheckedBackup {
  readonly kitchen: string;
  readonly kitchenId: string;
  readonly at: string;
  readonly schema: number;
  readonly rows: number;
}

/**
 * Reads a backup through and says what it is of. Nothing of it is run or written.
 * @throws Stop where it is none, was cut short, unpacks to too much, or is of a newer program
 */
export async function checkBackup(file: string): Promise<CheckedBackup> {
  const { head, kitchenId, parts } = await openBackup(file);
  const found = new Set<string>();
  let rows = 0;
  let idAt = -1;
  try {
    for await (const part of parts)
      if (!Array.isArray(part)) idAt = part.table === 'kitchen' ? part.columns.indexOf('id') : -1;
      else {
        rows += 1;
        if (idAt >= 0) found.add(String(part[idAt]));
      }
  } catch (error) {
    throw asStop(file, error);
  }
  const [only] = found;
  if (only === undefined || found.size > 1 || (kitchenId ?? only) !== only)
    throw new Stop(
      `${path.basename(file)} holds ${found.size === 1 ? 'another kitchen than it says' : `${found.size} kitchens`}: a backup holds one. Nothing was restored.`,
    );
  return { kitchen: head.kitchen, kitchenId: only, at: head.at, schema: head.schema, rows };
}

const asStop = (file: string, error: unknown): unknown =>
  error instanceof DumpError || error instanceof BackupError
    ? new Stop(`${path.basename(file)} cannot be restored. ${error.message} Nothing was put in place.`)
    : error;

/**
 * Reads a backup into an empty database, and leaves that at the step the backup was made at. Tables come from our own migrations,
 * rows are written with bound values: nothing in the file is run.
 * @throws Stop where it holds what no kitchen of that step holds
 */
export async function readInto(url: string, file: string, checked?: CheckedBackup): Promise<void> {
  const { kitchenId, schema } = checked ?? (await checkBackup(file));
  await migrate(url, undefined, schema);
  const { parts } = await openBackup(file);
  const pool = openPool(url);
  try {
    await inTransaction(pool, (sql) => loadBackup(sql, kitchenId, parts));
  } catch (error) {
    const { sqlMessage } = error as { sqlMessage?: unknown };
    if (typeof sqlMessage !== 'string') throw asStop(file, error);
    throw new Stop(
      `${path.basename(file)} cannot be restored. The database refused a row of it: ${sqlMessage}. Nothing was put in place.`,
    );
  } finally {
    await pool.end();
  }
}
