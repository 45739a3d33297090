import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { freshDatabase } from '../../tests/helpers/test-database';
import { demoKitchen } from '@/core/testing/demo';
import { migrate, newestSchema } from '@/db/migrate';
import { readKitchenFrom } from '@/db/kitchen/read-kitchen';
import { openPool, run, type Pool } from '@/db/sql';
import { backUp, backupsIn, checkBackup, makeBackup, readInto } from './backup';

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
  expect(path.basename(made.file)).toBe('half-pot-2026-03-14T03-00-00Z.sql.gz');
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
      checkBackup(as('short.sql.gz', bytes.subarray(0, Math.floor(bytes.length * share)))),
    ).rejects.toThrow(/cut short or damaged|not a backup/);
  const text = gunzipSync(bytes).toString();
  await expect(checkBackup(as('half.sql.gz', gzipSync(text.slice(0, text.length / 2))))).rejects.toThrow(
    /cut short/,
  );
  const future = text.replace(/"schema":\d+/, `"schema":${newestSchema() + 1}`);
  await expect(checkBackup(as('future.sql.gz', gzipSync(future)))).rejects.toThrow(
    new RegExp(
      `newer Half Pot \\(its tables are at step ${newestSchema() + 1}, this program goes to ${newestSchema()}\\)`,
    ),
  );
  await expect(checkBackup(as('other.sql.gz', gzipSync('-- some other dump\n')))).rejects.toThrow(
    /not a backup of Half Pot/,
  );
  await expect(checkBackup(as('no.sql.gz', Buffer.from('plain')))).rejects.toThrow(/not a backup/);
  await expect(checkBackup(path.join(folder, 'nowhere.sql.gz'))).rejects.toThrow(/no file nowhere/);
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
  expect(names).toContain('half-pot-2026-03-14T03-00-00Z.sql.gz');
  expect(names).not.toContain('half-pot-2026-03-05T03-00-00Z.sql.gz');
  expect(JSON.parse(fs.readFileSync(path.join(nights, 'last.json'), 'utf8'))).toMatchObject({
    at: '2026-03-14T03:00:00.000Z',
    file: 'half-pot-2026-03-14T03-00-00Z.sql.gz',
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
