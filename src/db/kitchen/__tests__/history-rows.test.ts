import fc from 'fast-check';
import equal from 'fast-deep-equal/es6/index.js';
import { kitchenAtWork, type AtWork } from '../../../../tests/helpers/at-work';
import { freshDatabase } from '../../../../tests/helpers/test-database';
import { loadInto } from '../../../../tools/kitchens';
import { readKitchenText, type KitchenFile, stepsInForce } from '../../../core/kitchen-file';
import { largeKitchen } from '../../../core/testing/large-kitchen';
import { cases } from '../../../core/testing/cases';
import { costFile } from '../../../core/costing';
import { CONSTANTS } from '../../../core/reference';
import { PRICE } from '../../../features/buy/wire';
import { INGREDIENT_AWAY } from '../../../features/buy/own/wire';
import { PERSON_AWAY } from '../../../features/people/wire';
import { UNDO } from '../../../features/changes/wire';
import { NEW_PLATE, PLATE_AWAY } from '../../../features/pour/wire';
import { WASTE } from '../../../features/trim/flow/wire';
import { loadKitchen } from '../load-kitchen';
import { newestSchema } from '../../migrate';
import { readKitchenFrom, readWithHistory } from '../read-kitchen';
import { many, openPool } from '../../sql';
import { z } from 'zod';

/** A file brought into a database of its own and read out again, with its history or without. */
async function outAgain(file: KitchenFile): Promise<KitchenFile> {
  const { url, drop } = await freshDatabase();
  try {
    await loadInto(url, file);
    const pool = openPool(url);
    try {
      return file.history
        ? await readWithHistory(pool, file.kitchen.id, newestSchema())
        : (await readKitchenFrom(pool, file.kitchen.id)).file;
    } finally {
      await pool.end();
    }
  } finally {
    await drop();
  }
}

const marked = ({ history, ...file }: KitchenFile) => ({
  ...file,
  // Where a kitchen is loaded it gets a mark of its own; all else is the same to the last digit.
  history: history && {
    ...history,
    tables: { ...history.tables, kitchen: history.tables.kitchen?.map(({ mark: _m, ...row }) => row) },
  },
});

describe('a kitchen with its history', () => {
  let here: AtWork;
  let file: KitchenFile;
  const putAway: (readonly [string, boolean])[] = [];
  beforeAll(async () => {
    here = await kitchenAtWork();
    const article = here.file.articles[0]!;
    await here.send(PRICE, { article: article.id, row: article.ingredient, typed: '31.40' });
    await here.send(UNDO, { change: null, again: false });
    await here.send(WASTE, {
      ingredient: here.file.ingredients[0]!.id,
      part: 'whole',
      amount: '1 kg',
      reason: 'naïve — “spoiled”',
    });
    const plate = await here.send(NEW_PLATE, { name: 'Put away since', like: null });
    if (plate.ok) await here.send(PLATE_AWAY, { id: plate.value.id, away: true });
    // Somebody who has booked something leaves; something that was bought and tested is put away.
    const onion = here.file.ingredients.find((i) => i.name === 'Onion')?.id ?? '';
    const bought = new Set(
      here.file.purchases.flatMap((p) => p.lines.flatMap((l) => (l.is === 'goods' ? [l.article] : []))),
    );
    const candidates = here.file.articles
      .filter((a) => bought.has(a.id) && a.ingredient !== onion)
      .map((a) => a.ingredient);
    for (const id of [...new Set(candidates)].slice(0, 12))
      putAway.push([id, (await here.send(INGREDIENT_AWAY, { id, away: true, instead: onion })).ok]);
    for (const p of here.file.people.filter((x) => x.role === 'cook'))
      await here.send(PERSON_AWAY, { id: p.id, away: true });
    file = await readWithHistory(here.pool, here.kitchenId, newestSchema());
  });

  test('stands by itself without its history, whatever was put away and whoever has left', async () => {
    expect(putAway.some(([, ok]) => ok)).toBe(true);
    const { history: _h, ...plain } = file;
    const read = readKitchenText(JSON.stringify(plain));
    expect(read.ok ? [] : read.mistakes).toEqual([]);
    for (const [id, ok] of putAway) expect(ok && JSON.stringify(plain).includes(id)).toBe(false);
    const once = await outAgain(plain);
    expect(await outAgain(once)).toEqual(once);
  });
  afterAll(() => here.end());

  test('goes out and in again the same to the last digit: what was changed, what is put away, what lies where', async () => {
    const text = JSON.stringify(file);
    const read = readKitchenText(text);
    if (!read.ok) throw new Error(JSON.stringify(read.mistakes[0]));
    expect(file.history?.tables.change_record?.length).toBeGreaterThan(4);
    expect(file.history?.tables.plate?.some((p) => p.name === 'Put away since')).toBe(true);
    expect(marked(await outAgain(read.file))).toEqual(marked(file));
  });

  test('has nobody’s password in it, nor who is signed in where', async () => {
    const text = JSON.stringify(file);
    expect(text).not.toMatch(/password_hash|pin_hash|\$argon2|\$scrypt|signed_in/);
    const tables = await many(
      here.pool,
      z.object({ t: z.string() }),
      "SELECT table_name AS t FROM information_schema.tables WHERE table_schema = DATABASE() AND table_type = 'BASE TABLE'",
    );
    // Every table is either carried or of the machine: a new one is one of the two, and says which here.
    const ofTheMachine = [
      'schema_version',
      'signed_in',
      'sign_in_tries',
      'sign_in_refused',
      'device',
      'command_done',
      'kitchen_moved',
      'costs_last',
      'lease',
    ];
    const rows = await Promise.all(
      tables.map(
        async ({ t }) =>
          [t, (await many(here.pool, z.unknown(), `SELECT 1 FROM \`${t}\` LIMIT 1`)).length > 0] as const,
      ),
    );
    for (const [t, filled] of rows)
      if (filled)
        expect([t, ofTheMachine.includes(t) || t in (file.history?.tables ?? {})]).toEqual([t, true]);
  });

  test('is refused where its history is another kitchen’s, or names what no kitchen has', async () => {
    const other = { ...file, plates: file.plates.slice(1) };
    await expect(outAgain(other)).rejects.toThrow('Its history is not of the kitchen that stands in it');
    const kitchen = file.history?.tables.kitchen ?? [];
    const tables = {
      ...file.history?.tables,
      plate: (file.history?.tables.plate ?? []).map((p) => ({ ...p })),
    };
    const damaged = (plate: (typeof tables)['plate']) => ({
      ...file,
      history: { schema: newestSchema(), tables: { ...tables, kitchen, plate } },
    });
    const [first, ...rest] = tables.plate;
    await expect(outAgain(damaged([{ ...first, kitchen_id: 'elsewhere' }, ...rest]))).rejects.toThrow(
      'plate of another kitchen',
    );
    await expect(outAgain(damaged([...rest, { ...first, extra: 1 }]))).rejects.toThrow(
      'Not every plate in its history says the same',
    );
    const odd = {
      ...file,
      history: { schema: newestSchema(), tables: { ...file.history?.tables, moon: [{ id: '1' }] } },
    };
    await expect(outAgain(odd)).rejects.toThrow('Its history has moon, which Half Pot did not have at step');
  });
});

test('random kitchens go out and in again the same, and cost the same', async () => {
  const sizes = fc.record({
    ingredients: fc.integer({ min: 300, max: 400 }),
    // More than the demo has: what is grown is what plates take.
    recipes: fc.integer({ min: 30, max: 42 }),
    plates: fc.integer({ min: 1, max: 24 }),
  });
  await fc.assert(
    fc.asyncProperty(sizes, fc.integer({ min: 1, max: 1e6 }), async (size, seed) => {
      const file = largeKitchen(size, seed);
      const once = await outAgain(file);
      expect(equal(await outAgain(once), once)).toBe(true);
      const day = file.referenceDay;
      const [a, b] = [costFile(file, day, CONSTANTS), costFile(once, day, CONSTANTS)];
      for (const { key } of a.graph.nodes) expect(b.graph.cost(key)).toBe(a.graph.cost(key));
    }),
    { numRuns: Math.min(4, cases(4)) },
  );
}, 240_000);

test('the history of an older step is brought in at that step and up to date from there', async () => {
  const { url, drop } = await freshDatabase('tables');
  try {
    // Of the demo at the step before the newest one: what a house that has not been updated writes out.
    const pool = openPool(url);
    const file = withoutWays(largeKitchen({ ingredients: 20, recipes: 4, plates: 3 }, 7));
    await loadKitchen(pool, file, new Map());
    const now = await readWithHistory(pool, file.kitchen.id, newestSchema());
    await pool.end();
    const tables = Object.fromEntries(
      Object.entries(now.history?.tables ?? {}).map(([t, rows]) => [
        t,
        rows.map((row) =>
          Object.fromEntries(Object.entries(row).filter(([c]) => !SINCE_20.has(`${t}.${c}`))),
        ),
      ]),
    );
    const older: KitchenFile = { ...now, history: { schema: 20, tables } };
    expect(marked(await outAgain(older))).toEqual(marked(now));
  } finally {
    await drop();
  }
});

/** A kitchen as it could be written down before sheets had ways and plates stood on menus. */
const withoutWays = ({ kitchen: { rules: _r, ...kitchen }, ...file }: KitchenFile): KitchenFile => ({
  ...file,
  kitchen,
  menus: [],
  trays: [],
  questions: [],
  batches: [],
  plates: file.plates
    .filter((p) => !p.follows)
    .map(({ hands: _h, service: _s, serviceLossPct: _l, ...p }) => ({
      ...p,
      lines: p.lines.map(({ packaging: _p, overfillPct: _o, takenPct: _t, ...l }) => l),
    })),
  recipes: file.recipes.map(({ choices: _c, ...r }) => ({
    ...r,
    steps: stepsInForce({ choices: _c, steps: r.steps }).map(({ way: _w, ...s }) => s),
  })),
});

/** Columns that came with the steps after the 20th. */
const SINCE_20 = new Set([
  'kitchen.seq',
  'change_record.seq',
  'vessel.boils',
  'recipe.choices',
  'plate.follows_id',
  'plate.follows',
  'plate.hands_minutes',
  'plate.hands_plates',
  'plate_line.packaging',
  'plate.service',
  'plate.service_loss_pct',
  'plate_line.overfill_pct',
  'plate_line.taken_pct',
  'kitchen.shown_in',
  'kitchen.house_rules',
  'purchase.withdrawn_at',
  'stock_count.withdrawn_at',
  'pack_weighing.withdrawn_at',
  'stock_movement.takes_back',
]);
