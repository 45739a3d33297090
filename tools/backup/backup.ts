import { spawn } from 'node:child_process';
import { once } from 'node:events';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip, createGzip } from 'node:zlib';
import { z } from 'zod';
import { newestSchema, schemaOf } from '@/db/migrate';
import { firstKitchen } from '@/db/kitchen/read-kitchen';
import { openPool } from '@/db/sql';
import { Stop } from '../stop';
import { kept, type Made } from './keep';

/** The first line of a backup: what it is of. */
const Head = z.object({
  format: z.literal('half-pot-backup'),
  version: z.literal(1),
  at: z.iso.datetime(),
  kitchen: z.string(),
  /** The newest migration its tables had. */
  schema: z.number().int().positive(),
});
export type Head = z.infer<typeof Head>;

const MARK = '-- half-pot-backup ';
const END = '-- Dump completed';
/** Characters in which the last line of a backup lies. */
const LAST = 400;

/** Where a client of the database finds it, in a file only its owner can read: a password on a command line is everybody's. */
function withAccess<T>(url: string, work: (defaults: string, database: string) => Promise<T>): Promise<T> {
  const { username, password, hostname, port, pathname } = new URL(url);
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'halfpot-'));
  const file = path.join(folder, 'client.cnf');
  const lines = [
    '[client]',
    `user="${decodeURIComponent(username)}"`,
    `password="${decodeURIComponent(password)}"`,
    `host=${hostname}`,
    `port=${port || '3306'}`,
    'protocol=tcp',
    'default-character-set=utf8mb4',
  ];
  fs.writeFileSync(file, `${lines.join('\n')}\n`, { mode: 0o600 });
  return work(file, pathname.slice(1)).finally(() => fs.rmSync(folder, { recursive: true, force: true }));
}

const named = (at: Date): string =>
  `half-pot-${at
    .toISOString()
    .replace(/\.\d+Z$/, 'Z')
    .replaceAll(':', '-')}.sql.gz`;
const NAME = /^half-pot-(\d{4}-\d\d-\d\dT)(\d\d)-(\d\d)-(\d\d)Z\.sql\.gz$/;

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

/**
 * Writes the whole database out as of one moment, while people go on working in it. The file gets its name when it is whole.
 * @throws Stop where there is no kitchen, or the database's own tool failed
 */
export async function makeBackup(url: string, folder: string, at: Date): Promise<Backup> {
  const pool = openPool(url);
  const kitchen = await firstKitchen(pool)
    .catch(() => undefined)
    .finally(() => pool.end());
  if (!kitchen) throw new Stop('There is no kitchen to back up yet.');
  fs.mkdirSync(folder, { recursive: true, mode: 0o700 });
  const file = path.join(folder, named(at));
  const part = `${file}.part`;
  const head: Head = {
    format: 'half-pot-backup',
    version: 1,
    at: at.toISOString(),
    kitchen: kitchen.name,
    schema: await schemaOf(url),
  };
  await withAccess(url, async (defaults, database) => {
    const dump = spawn(
      'mariadb-dump',
      [
        `--defaults-file=${defaults}`,
        '--single-transaction',
        '--quick',
        '--skip-lock-tables',
        '--triggers',
        '--hex-blob',
        '--no-tablespaces',
        database,
      ],
      { stdio: ['ignore', 'pipe', 'pipe'] },
    );
    let said = '';
    dump.stderr.on('data', (data: Buffer) => (said += data.toString()));
    const ended = once(dump, 'close') as Promise<[number]>;
    const zip = createGzip();
    zip.write(`${MARK}${JSON.stringify(head)}\n`);
    await pipeline(dump.stdout, zip, fs.createWriteStream(part, { mode: 0o600 }));
    const [code] = await ended;
    if (code !== 0) {
      fs.rmSync(part, { force: true });
      throw new Stop(`The database could not be written out: ${said.trim().split('\n').slice(-2).join(' ')}`);
    }
  });
  fs.renameSync(part, file);
  return { file, bytes: fs.statSync(file).size, at };
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

/**
 * Reads a backup through and says what it is of.
 * @throws Stop where it is none, was cut short, or is of a newer program
 */
export async function checkBackup(file: string): Promise<Head> {
  const name = path.basename(file);
  if (!fs.existsSync(file)) throw new Stop(`There is no file ${name}.`);
  const short = new Stop(`${name} is cut short or damaged: nothing was restored. Take another one.`);
  let [first, last] = ['', ''];
  const unzipped = createGunzip();
  fs.createReadStream(file)
    .on('error', (error) => unzipped.destroy(error))
    .pipe(unzipped);
  try {
    for await (const chunk of unzipped as AsyncIterable<Buffer>) {
      const text = chunk.toString('utf8');
      if (!first.includes('\n')) first += text;
      last = (last + text).slice(-LAST);
    }
  } catch {
    throw first === '' ? new Stop(`${name} is not a backup of Half Pot, or damaged.`) : short;
  }
  const line = first.slice(0, first.indexOf('\n'));
  const read = line.startsWith(MARK) ? Head.safeParse(JSON.parse(line.slice(MARK.length))) : undefined;
  if (!read?.success) throw new Stop(`${name} is not a backup of Half Pot.`);
  const head = read.data;
  if (!last.trimEnd().split('\n').at(-1)?.startsWith(END)) throw short;
  const ours = newestSchema();
  if (head.schema > ours)
    throw new Stop(
      `${name} was made by a newer Half Pot (its tables are at step ${head.schema}, this program goes to ${ours}): update the program first.`,
    );
  return head;
}

/**
 * Leaves out who made a trigger: the person who restores has another name, and may not make one in somebody else's. What a trigger
 * is made by stands at the beginning of a line of its own, however long the lines before it are.
 */
function asWhoeverRestores(): Transform {
  let rest = '';
  const mine = (text: string): string =>
    text.replace(/^(\/\*!50003 CREATE\*\/ )\/\*!50017 DEFINER=`[^`]*`@`[^`]*`\*\/ /gm, '$1');
  return new Transform({
    decodeStrings: false,
    transform(chunk: string, _encoding, done) {
      const whole = rest + chunk;
      const end = whole.lastIndexOf('\n') + 1;
      rest = whole.slice(end);
      done(null, mine(whole.slice(0, end)));
    },
    flush: (done) => done(null, mine(rest)),
  });
}

/** Reads a backup into an empty database. */
export const readInto = (url: string, file: string): Promise<void> =>
  withAccess(url, async (defaults, database) => {
    const client = spawn('mariadb', [`--defaults-file=${defaults}`, database], {
      stdio: ['pipe', 'ignore', 'pipe'],
    });
    let said = '';
    client.stderr.on('data', (data: Buffer) => (said += data.toString()));
    const ended = once(client, 'close') as Promise<[number]>;
    let broken: unknown;
    await pipeline(
      fs.createReadStream(file),
      createGunzip().setEncoding('utf8'),
      asWhoeverRestores(),
      client.stdin,
    ).catch((error: unknown) => {
      broken = error;
    });
    const [code] = await ended;
    if (code === 0 && broken !== undefined) throw broken;
    if (code !== 0)
      throw new Stop(`The backup could not be read in: ${said.trim().split('\n').slice(-2).join(' ')}`);
  });
