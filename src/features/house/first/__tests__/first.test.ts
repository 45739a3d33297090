import fs from 'node:fs';
import { emptyDatabase } from '../../../../../tests/helpers/reset';
import { freshDatabase } from '../../../../../tests/helpers/test-database';
import type { KitchenFile } from '../../../../core/kitchen-file';
import { newestSchema } from '../../../../db/migrate';
import { allPeople, archivePerson, secretsOf } from '../../../../db/people/people';
import { readKitchenFrom, readWithHistory } from '../../../../db/kitchen/read-kitchen';
import { openPool, type Pool } from '../../../../db/sql';
import { isSecret } from '../../../../server/passwords';
import { beginKitchen, canBegin } from '../service';
import { FirstTyped } from '../wire';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let pool: Pool;
beforeAll(async () => {
  fresh = await freshDatabase('tables');
  Object.assign(process.env, {
    DATABASE_URL: fresh.url,
    HALFPOT_SECRET: 'a secret of thirty-two letters and more',
    HALFPOT_CLOCK: '2026-03-14T12:00:00.000Z',
    HALFPOT_FIRST_WORD: 'BZME-W9E7',
  });
  pool = openPool(fresh.url);
});
beforeEach(() => emptyDatabase(fresh.url));
afterAll(async () => {
  await pool.end();
  await (globalThis as { halfPotPool?: Pool }).halfPotPool?.end();
  delete (globalThis as { halfPotPool?: Pool }).halfPotPool;
  await fresh.drop();
});

const typed: FirstTyped = {
  word: 'bzme w9e7',
  name: 'The Brass Ladle',
  currency: 'CHF',
  zone: 'Europe/Zurich',
  locale: 'de-DE',
  units: 'us',
  begins: 'empty',
  file: '',
  manager: 'Nan Tully',
  password: 'copper-pans',
};

const begun = async (more: Partial<FirstTyped> = {}) => {
  const answer = await beginKitchen({ ...typed, ...more });
  if (!answer.ok) throw new Error(answer.message);
  const { file } = await readKitchenFrom(pool, answer.kitchenId);
  return { ...answer, file };
};

test('an empty kitchen has a name, a currency, its cups and its manager, and is begun once', async () => {
  expect(await canBegin()).toBe(true);
  const { file, kitchenId, managerId } = await begun();
  expect(file.kitchen).toMatchObject({
    name: 'The Brass Ladle',
    currency: 'CHF',
    decimalMark: ',',
    zone: 'Europe/Zurich',
  });
  expect([file.recipes, file.plates, file.ingredients, file.vessels, file.hobs]).toEqual([
    [],
    [],
    [],
    [],
    [],
  ]);
  expect(file.measures.find((m) => m.name === 'cup')?.amount).toBe('1 us cup');
  expect(await allPeople(pool, kitchenId)).toMatchObject([
    { name: 'Nan Tully', role: 'manager', leftAt: null },
  ]);
  const { password } = (await secretsOf(pool, kitchenId, managerId))!;
  expect(await isSecret(password!, 'copper-pans')).toBe(true);
  expect(await canBegin()).toBe(false);
  expect(await beginKitchen(typed)).toMatchObject({
    ok: false,
    message: expect.stringMatching(/already/) as string,
  });
});

test('two who begin it at once begin one kitchen', async () => {
  const both = await Promise.all([beginKitchen(typed), beginKitchen({ ...typed, name: 'Another' })]);
  expect(both.filter((b) => b.ok)).toHaveLength(1);
});

test('without the word nothing is begun, and it is not guessed fast', async () => {
  expect(await beginKitchen({ ...typed, word: 'AAAA-AAAA' })).toMatchObject({
    path: 'word',
    message: expect.stringMatching(/not the word/) as string,
  });
  expect(await beginKitchen(typed)).toMatchObject({
    path: 'word',
    message: expect.stringMatching(/in a second/) as string,
  });
  expect(await canBegin()).toBe(true);
  await new Promise((done) => setTimeout(done, 1100));
});

test('as a copy of the demo it can be played in, and nobody of the demo can sign in', async () => {
  const { file, kitchenId } = await begun({ begins: 'demo' });
  expect(file.recipes.length).toBeGreaterThan(20);
  expect(file.kitchen).toMatchObject({ name: 'The Brass Ladle', currency: 'EUR' });
  const people = await allPeople(pool, kitchenId);
  expect(people.filter((p) => p.role === 'manager').map((p) => p.name)).toEqual(['Nan Tully']);
  for (const p of people.filter((x) => x.name !== 'Nan Tully'))
    expect(await secretsOf(pool, kitchenId, p.id)).toEqual({ password: null, pin: null });
});

test('from a kitchen file it is that kitchen; a file with mistakes is refused with the first of them, and nothing is written', async () => {
  const text = fs.readFileSync('demo/kestrel-weir.json', 'utf8');
  expect(
    await beginKitchen({ ...typed, begins: 'file', file: text.replace('"netKw": 5,', '"netKw": -5,') }),
  ).toMatchObject({
    ok: false,
    path: 'file',
    message: expect.stringMatching(/^This file cannot be taken in\. .*hobs/) as string,
  });
  expect(await beginKitchen({ ...typed, begins: 'file' })).toMatchObject({ path: 'file' });
  const { file } = await begun({ begins: 'file', file: text });
  expect(file.kitchen.name).toBe('Kestrel Weir');
  expect(file.plates).toHaveLength((JSON.parse(text) as { plates: unknown[] }).plates.length);
});

test('what is typed is checked: a currency, a zone and a locale that there are', () => {
  const paths = (more: object): (string | number | symbol)[] =>
    FirstTyped.safeParse({ ...typed, ...more }).error?.issues.map((i) => i.path[0] ?? '') ?? [];
  expect(paths({ currency: 'XYZ' })).toEqual(['currency']);
  expect(paths({ zone: 'Nowhere/Land' })).toEqual(['zone']);
  expect(paths({ locale: '!!' })).toEqual(['locale']);
  expect(paths({ name: 'x'.repeat(121), password: '12345678' })).toEqual(['name', 'password']);
});

test('a kitchen moves in with its history; whoever left it may begin it here, and what cannot be taken leaves nothing', async () => {
  const there = await begun({ begins: 'demo' });
  const reader = (await allPeople(pool, there.kitchenId)).find((p) => p.role === 'reader');
  if (!reader) throw new Error('nobody reads');
  await archivePerson(pool, there.kitchenId, reader.id, new Date('2026-03-14T12:00:00Z'));
  const file = await readWithHistory(pool, there.kitchenId, newestSchema());
  const moved = async (of: KitchenFile) => {
    await emptyDatabase(fresh.url);
    return beginKitchen({
      ...typed,
      begins: 'file',
      file: JSON.stringify(of),
      manager: reader.name.toUpperCase(),
    });
  };
  const older = { ...file, history: { schema: 20, tables: file.history?.tables ?? {} } };
  expect(await moved(older)).toMatchObject({ ok: false, path: 'file' });
  expect(await moved({ ...file, menus: file.menus.slice(1) })).toMatchObject({
    ok: false,
    path: 'file',
    message: 'Its history is not of the kitchen that stands in it. Nothing was taken in.',
  });
  expect(await canBegin()).toBe(true);

  expect(await moved(file)).toMatchObject({ ok: true, managerId: reader.id });
  const people = await allPeople(pool, there.kitchenId);
  expect(people.find((p) => p.id === reader.id)).toMatchObject({
    name: reader.name,
    role: 'manager',
    leftAt: null,
  });
  expect(
    await isSecret((await secretsOf(pool, there.kitchenId, reader.id))?.password ?? '', typed.password),
  ).toBe(true);
});
