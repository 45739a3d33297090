import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { freshDatabase } from '../../tests/helpers/test-database';
import type { RowDataPacket } from 'mysql2/promise';
import type { BackupPart } from '@/db/kitchen/backup-rows';
import { demoKitchen } from '@/core/testing/demo';
import { migrate, newestSchema } from '@/db/migrate';
import { readKitchenFrom } from '@/db/kitchen/read-kitchen';
import { openPool, run, type Pool } from '@/db/sql';
import { backUp, backupsIn, checkBackup, makeBackup, readInto } from './backup';
import { DumpError, partsOfDump } from './dump';
import { unpackedLines } from './lines';

let folder: string;
let source: Awaited<ReturnType<typeof freshDatabase>>;
let pool: Pool;
const file = demoKitchen();

beforeAll(async () => {
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'halfpot-backup-'));
  source = await freshDatabase('demo');
  pool = openPool(source.url);
});
afterAll(async () => {
  await pool.end();
  await source.drop();
  fs.rmSync(folder, { recursive: true });
});

test('what is backed up while people write is the kitchen of one moment, and restored it is that kitchen', async () => {
  // A renaming of all plates at once, again and again: in a backup all of them have the same number or it is of two moments.
  let writing = true;
  const writer = (async () => {
    for (let n = 0; writing; n += 1)
      await run(pool, 'UPDATE plate SET name = CONCAT(LEFT(name, 12), ?)', [` no. ${n}`]);
  })();
  const made = await makeBackup(source.url, folder, new Date('2026-03-14T03:00:00Z'));
  writing = false;
  await writer;
  expect(path.basename(made.file)).toBe('half-pot-2026-03-14T03-00-00Z.rows.gz');
  expect(fs.statSync(made.file).mode & 0o077).toBe(0);
  expect(await checkBackup(made.file)).toMatchObject({ kitchen: file.kitchen.name, schema: newestSchema() });
  const empty = await freshDatabase();
  await readInto(empty.url, made.file);
  expect(await migrate(empty.url)).toEqual([]);
  const restored = openPool(empty.url);
  const back = (await readKitchenFrom(restored, file.kitchen.id)).file;
  expect(new Set(back.plates.map((p) => / no\. (\d+)$/.exec(p.name)?.[1])).size).toBe(1);
  const plain = (k: typeof back) => ({ ...k, plates: k.plates.map((p) => ({ ...p, name: '' })) });
  expect(plain(back)).toEqual(plain((await readKitchenFrom(pool, file.kitchen.id)).file));
  await restored.end();
  await empty.drop();
});

test('one that is cut short, damaged, of something else or of the future is refused before anything is touched', async () => {
  const { file: good } = await makeBackup(source.url, folder, new Date('2026-03-15T03:00:00Z'));
  const bytes = fs.readFileSync(good);
  const as = (name: string, data: Buffer): string => {
    const at = path.join(folder, name);
    fs.writeFileSync(at, data);
    return at;
  };
  for (const share of [0.2, 0.7, 0.999])
    await expect(
      checkBackup(as('short.rows.gz', bytes.subarray(0, Math.floor(bytes.length * share)))),
    ).rejects.toThrow(/cut short or damaged|not a backup/);
  const text = gunzipSync(bytes).toString();
  await expect(checkBackup(as('half.rows.gz', gzipSync(text.slice(0, text.length / 2))))).rejects.toThrow(
    /cut short/,
  );
  const lines = text.trimEnd().split('\n');
  const without = [...lines.slice(0, -2), ...lines.slice(-1)].join('\n');
  await expect(checkBackup(as('row.rows.gz', gzipSync(without)))).rejects.toThrow(/cut short/);
  await expect(checkBackup(as('more.rows.gz', gzipSync(`${text}[1]\n`)))).rejects.toThrow(
    /goes on after its end/,
  );
  const future = text.replace(/"schema":\d+/, `"schema":${newestSchema() + 1}`);
  await expect(checkBackup(as('future.rows.gz', gzipSync(future)))).rejects.toThrow(
    new RegExp(
      `newer Half Pot \\(its tables are at step ${newestSchema() + 1}, this program goes to ${newestSchema()}\\)`,
    ),
  );
  for (const head of ['{"format":"half-pot-backup"', '-- half-pot-backup {', '-- half-pot-backup [1]', '[]'])
    await expect(checkBackup(as('head.rows.gz', gzipSync(`${head}\n`)))).rejects.toThrow(
      /head\.rows\.gz is not a backup of Half Pot\.$/,
    );
  await expect(checkBackup(as('other.sql.gz', gzipSync('-- some other dump\n')))).rejects.toThrow(
    /not a backup of Half Pot/,
  );
  await expect(checkBackup(as('no.sql.gz', Buffer.from('plain')))).rejects.toThrow(/not a backup/);
  await expect(checkBackup(path.join(folder, 'nowhere.sql.gz'))).rejects.toThrow(/no file nowhere/);
});

test('a file that unpacks to more than a backup can be is refused with the limit, and not read to its end', async () => {
  const at = path.join(folder, 'bomb.rows.gz');
  fs.writeFileSync(at, gzipSync(`{}\n${'[1]\n'.repeat(300_000)}`));
  const read = async (most: { all?: number; line?: number }): Promise<number> => {
    let lines = 0;
    for await (const line of unpackedLines(at, most)) lines += line === '' ? 0 : 1;
    return lines;
  };
  expect(await read({})).toBe(300_001);
  await expect(read({ all: 500_000 })).rejects.toThrow('bomb.rows.gz is more than 0.5 MB once unpacked');
  fs.writeFileSync(at, gzipSync('x'.repeat(9_000_000)));
  await expect(read({ line: 2_000_000 })).rejects.toThrow('has a line of more than 2 MB');
});

let lines: string[];
let empty: Awaited<ReturnType<typeof freshDatabase>>;

const written = (changed: readonly string[]): string => {
  const at = path.join(folder, 'changed.rows.gz');
  fs.writeFileSync(at, gzipSync(`${changed.join('\n')}\n`));
  return at;
};
/** The first row of a table, changed. */
const withRow = (table: string, change: (row: (string | number | null)[]) => unknown): string => {
  const at = lines.findIndex((line) => line.startsWith(`{"table":"${table}"`)) + 1;
  return written(
    lines.map((line, i) =>
      i === at ? JSON.stringify(change(JSON.parse(line) as (string | number | null)[])) : line,
    ),
  );
};
const rowsThere = async (): Promise<number> => {
  const there = openPool(empty.url);
  const [rows] = await there.query<RowDataPacket[]>('SELECT COUNT(*) AS n FROM person');
  await there.end();
  return Number(rows[0]?.n);
};

/** What is wrong with a row, where, and what is said. */
const WRONG_ROWS: readonly [string, string, (row: unknown[]) => unknown, RegExp][] = [
  [
    'of another kitchen',
    'recipe',
    (row: unknown[]) => [crypto.randomUUID(), ...row.slice(1)],
    /of another kitchen/,
  ],
  ['too short', 'recipe', (row: unknown[]) => row.slice(1), /has \d+ values, its table \d+/],
  [
    'that refers to nothing',
    'recipe_step',
    (row: unknown[]) => [...row.slice(0, 2), crypto.randomUUID(), ...row.slice(3)],
    /recipe_step refers to one that is not there/,
  ],
  [
    'that no column can hold',
    'hob',
    (row: unknown[]) => [...row.slice(0, 2), 'x'.repeat(500), ...row.slice(3)],
    /The database refused a row/,
  ],
];

describe('a file that someone has changed', () => {
  beforeAll(async () => {
    const { file: good } = await makeBackup(source.url, folder, new Date('2026-03-16T03:00:00Z'));
    lines = gunzipSync(fs.readFileSync(good)).toString().trimEnd().split('\n');
  });
  beforeEach(async () => {
    empty = await freshDatabase('tables');
  });
  afterEach(() => empty.drop());

  test.each(WRONG_ROWS)('a row %s: nothing is put in place', async (_, table, change, words) => {
    await expect(readInto(empty.url, withRow(table, change))).rejects.toThrow(words);
    expect(await rowsThere()).toBe(0);
  });

  test.each([
    [
      'table',
      '{"table":"mysql.user","columns":["kitchen_id"]}',
      /a table mysql\.user, which Half Pot did not have at that step/,
    ],
    [
      'column',
      '{"table":"recipe","columns":["kitchen_id`) VALUES (1); DROP TABLE recipe; -- "]}',
      /a column recipe\.kitchen_id`\)/,
    ],
  ])('a %s that Half Pot never had is refused by its name', async (_, line, words) => {
    await expect(
      readInto(empty.url, written([...lines.slice(0, -1), line, ...lines.slice(-1)])),
    ).rejects.toThrow(words);
    expect(await rowsThere()).toBe(0);
  });

  test('commands for a shell or a database client are values like any other', async () => {
    const trace = path.join(folder, 'halfpot-was-here');
    const evil = `\\! touch ${trace}\nsystem id;\n'); DROP TABLE person; -- `;
    const hobs = lines.findIndex((line) => line.startsWith('{"table":"hob"'));
    const columns = (JSON.parse(lines[hobs] ?? '') as { columns: string[] }).columns;
    const name = columns.indexOf('name');
    await readInto(
      empty.url,
      withRow('hob', (row) => row.map((value, i) => (i === name ? evil : value))),
    );
    const there = openPool(empty.url);
    const [rows] = await there.query<RowDataPacket[]>('SELECT name FROM hob WHERE name LIKE ?', [
      '%halfpot-was%',
    ]);
    await there.end();
    expect(rows.map((row) => String(row.name))).toEqual([evil]);
    expect(fs.existsSync(trace)).toBe(false);
  });
});

describe('a dump of version 1', () => {
  const dump = (body: string): string => {
    const at = path.join(folder, 'old.sql.gz');
    const head = {
      format: 'half-pot-backup',
      version: 1,
      at: '2026-03-14T12:00:00.000Z',
      kitchen: 'Old',
      schema: 6,
    };
    fs.writeFileSync(
      at,
      gzipSync(`-- half-pot-backup ${JSON.stringify(head)}\n${body}\n-- Dump completed on 2026\n`),
    );
    return at;
  };
  const of = async (body: string): Promise<BackupPart[]> => {
    const parts: BackupPart[] = [];
    const lines = (async function* () {
      for (const line of body.split('\n')) yield await Promise.resolve(line);
    })();
    for await (const part of partsOfDump(lines)) parts.push(part);
    return parts;
  };
  const CREATE =
    'CREATE TABLE `t` (\n  `a` int(11),\n  `g` int(11) GENERATED ALWAYS AS (`a`) STORED,\n  `b` longblob,\n  PRIMARY KEY (`a`)\n) ENGINE=InnoDB;\n';

  test('its rows are read with their escapes, generated columns left out', async () => {
    expect(
      await of(`${CREATE}INSERT INTO \`t\` VALUES\n(-1.5,2,0x4142),\n(NULL,2,'a\\n\\\\\\'b''c;\\0)');`),
    ).toEqual([{ table: 't', columns: ['a', 'b'] }, ['-1.5', 'QUI='], [null, "a\n\\'b'c;\0)"]]);
  });

  test.each([
    ["INSERT INTO `t` VALUES (1,2,LOAD_FILE('/etc/passwd'));"],
    ['INSERT INTO `t` VALUES (1,2,(SELECT 1));'],
    ['INSERT INTO `t` VALUES (1,2,3); DROP TABLE person;'],
    ['INSERT INTO `t` SELECT * FROM person;'],
    ['INSERT INTO `mysql`.`user` VALUES (1,2,3);'],
    ['INSERT INTO `t` VALUES (1,2);'],
  ])('%s is refused', async (statement) => {
    await expect(of(CREATE + statement)).rejects.toThrow(DumpError);
  });

  test('no other statement of it is looked at, and one without a kitchen is refused', async () => {
    expect(await of('DROP TABLE person;\n\\! touch here\nsystem id\nUPDATE person SET role = 1;')).toEqual(
      [],
    );
    await expect(checkBackup(dump('DROP TABLE person;'))).rejects.toThrow('old.sql.gz holds 0 kitchens');
  });
});

test('the last good one is written down, and old ones make room', async () => {
  const nights = path.join(folder, 'nights');
  fs.mkdirSync(nights);
  for (let i = 1; i < 40; i += 1)
    fs.writeFileSync(
      path.join(
        nights,
        `half-pot-${new Date(Date.UTC(2026, 2, 14 - i, 3)).toISOString().slice(0, 10)}T03-00-00Z.sql.gz`,
      ),
      '',
    );
  await backUp(source.url, nights, new Date('2026-03-14T03:00:00Z'));
  const names = backupsIn(nights).map((b) => b.file);
  expect(names).toContain('half-pot-2026-03-14T03-00-00Z.rows.gz');
  expect(names).not.toContain('half-pot-2026-03-05T03-00-00Z.sql.gz');
  expect(JSON.parse(fs.readFileSync(path.join(nights, 'last.json'), 'utf8'))).toMatchObject({
    at: '2026-03-14T03:00:00.000Z',
    file: 'half-pot-2026-03-14T03-00-00Z.rows.gz',
  });
});

test('an older program refuses a database that a newer one has opened, and changes nothing', async () => {
  const newer = await freshDatabase('tables');
  const there = openPool(newer.url);
  await run(there, 'INSERT INTO schema_version (version, name, md5, run_at) VALUES (?, ?, ?, NOW())', [
    newestSchema() + 1,
    'of tomorrow',
    '0',
  ]);
  await expect(migrate(newer.url)).rejects.toThrow(
    /newer Half Pot .* Update the program; nothing was changed/,
  );
  await there.end();
  await newer.drop();
});
