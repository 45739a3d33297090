import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { freshDatabase } from '../../../tests/helpers/test-database';
import { readInto } from '../../../tools/backup/backup';
import { costFile } from '../../core/costing';
import { readKitchenText, type KitchenFile } from '../../core/kitchen-file';
import { CONSTANTS } from '../../core/reference';
import { isFullRun } from '../../core/testing/cases';
import { migrate, newestSchema } from '../migrate';
import { firstKitchen, readKitchenFrom } from '../kitchen/read-kitchen';
import { openPool } from '../sql';

const FOLDER = 'tests/dumps';
/** Steps of which a filled database was left when they landed, each with the kitchen file that its own program wrote of it. */
const LEFT = new Map(
  fs
    .readdirSync(FOLDER)
    .flatMap((file) => {
      const step = /^(\d{3})\.(?:sql|rows)\.gz$/.exec(file)?.[1];
      return step === undefined ? [] : [[step, file] as const];
    })
    .sort(),
);
const STEPS = [...LEFT.keys()];

const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'halfpot-dumps-'));
afterAll(() => fs.rmSync(folder, { recursive: true }));

/** The day all of them were filled for. */
const DAY = '2026-03-14';

test('the newest step has left a database to be upgraded by the next one', () => {
  // ./halfpot dumps writes it, once, when the step is finished.
  expect(STEPS.map(Number).at(-1)).toBe(newestSchema());
});

/** Every day the oldest, the newest and one in the middle: the others are on the way between them. */
const TRIED = isFullRun
  ? STEPS
  : [STEPS.at(0), STEPS.at(STEPS.length >> 1), STEPS.at(-1)].filter((step) => step !== undefined);

test.each(TRIED)(
  'a database left at step %s is brought up to date, and costs what its kitchen file costs',
  async (step) => {
    const { url, drop } = await freshDatabase();
    try {
      await readInto(url, backupOf(step));
      expect(await migrate(url)).toHaveLength(newestSchema() - Number(step));
      const pool = openPool(url);
      const kitchen = await firstKitchen(pool);
      const { file: upgraded } = await readKitchenFrom(pool, kitchen?.id ?? '');
      await pool.end();
      const written = readKitchenText(
        gunzipSync(fs.readFileSync(path.join(FOLDER, `${step}.json.gz`))).toString(),
      );
      if (!written.ok) throw new Error(JSON.stringify(written.mistakes.slice(0, 3)));
      expect(withoutIds(upgraded)).toEqual(withoutIds(written.file));
      const [a, b] = [upgraded, written.file].map((file) => costFile(file, DAY, CONSTANTS));
      expect(a?.graph.nodes.length).toBeGreaterThan(20);
      for (const { key } of a?.graph.nodes ?? [])
        expect([key, b?.graph.cost(key)]).toEqual([key, a?.graph.cost(key)]);
    } finally {
      await drop();
    }
  },
);

/** The backup left at a step. The oldest are plain dumps, from before a backup said what it is of. */
function backupOf(step: string): string {
  const file = path.join(FOLDER, LEFT.get(step) ?? '');
  const text = gunzipSync(fs.readFileSync(file)).toString();
  if (!text.startsWith('/*')) return file;
  const head = {
    format: 'half-pot-backup',
    version: 1,
    at: `${DAY}T12:00:00.000Z`,
    kitchen: '',
    schema: Number(step),
  };
  const named = path.join(folder, path.basename(file));
  fs.writeFileSync(named, gzipSync(`-- half-pot-backup ${JSON.stringify(head)}\n${text}`));
  return named;
}

/** Lines were given ids of their own when they came to have any: in the database by one hand, out of the file by another. */
const withoutIds = (file: KitchenFile): unknown => ({
  ...file,
  recipes: file.recipes.map((r) => ({ ...r, steps: r.steps.map(({ id: _i, ...s }) => s) })),
  plates: file.plates.map((p) => ({ ...p, lines: p.lines.map(({ id: _i, ...l }) => l) })),
  purchases: file.purchases.map((p) => ({ ...p, lines: p.lines.map(({ id: _i, ...l }) => l) })),
});
