import fs from 'node:fs';
import path from 'node:path';
import { DAY, kitchenAtWork, type AtWork } from '../../../../../tests/helpers/at-work';
import { importById } from '../../../../db/buying/price-lists';
import { listRowsOf } from '../../../../db/buying/price-list-rows';
import { PRICE } from '../../wire';
import { VERDICTS } from '../../../../core/price-list';
import { jobOf } from '../jobs';
import { columnsAsked } from '../lists';
import { ACCEPT, ASSIGN, DROP, LOOK, TAKE, UNDO, WANT } from '../wire';

let here: AtWork;
beforeAll(async () => {
  here = await kitchenAtWork();
});
afterAll(() => here.end());

const supplierOf = (name: string): string => here.file.suppliers.find((s) => s.name === name)?.id ?? '';
const weirside = () => ({
  supplier: supplierOf('Weirside Game'),
  name: 'weirside.csv',
  base64: fs
    .readFileSync(path.join(process.cwd(), 'demo/price-lists/weirside-game-latin1.csv'))
    .toString('base64'),
});

/** Waits until what is done in the background with a list has ended. */
async function ended(id: string): Promise<void> {
  while (jobOf(id)?.ended === false) await new Promise((done) => setTimeout(done, 10));
}
const rows = async (id: string) =>
  (
    await Promise.all(VERDICTS.map((verdict) => listRowsOf(here.pool, here.kitchenId, id, verdict, 0, 100)))
  ).flat();
const stateOf = async (id: string) => (await importById(here.pool, here.kitchenId, id))?.state;
const quotes = async (code: string) =>
  (await here.read()).articles.find((a) => a.code === code)?.quotes.map((q) => [q.on, q.price]);

async function looked(): Promise<string> {
  const taken = await here.send(TAKE, weirside(), { seen: null });
  if (!taken.ok) throw new Error(taken.message);
  const { id } = taken.value;
  await ended(id);
  if ((await stateOf(id)) === 'columns') {
    const guess = await columnsAsked(here.kitchenId, id);
    if (!guess.ok) throw new Error(guess.trouble.message);
    const columns = { ...guess.value.guess, price: guess.value.guess.price ?? '' };
    const asked = await here.send(LOOK, { id, on: DAY, odd: '15', columns }, { seen: null });
    if (!asked.ok) throw new Error(`${asked.message}`);
    await ended(id);
  }
  return id;
}

test('a list is taken, looked through, decided row by row, entered and taken back whole', async () => {
  const before = await quotes('VB10');
  const id = await looked();
  expect(await stateOf(id)).toBe('preview');
  const all = await rows(id);
  expect(all.filter((r) => r.verdict === 'moved').map((r) => r.code)).toEqual(['VB10', 'VT5', 'VL', 'MN']);
  // One row is left out, one that is odd is taken, one that nobody knew is said to be something.
  const line = (code: string): number => all.find((r) => r.code === code)?.line ?? 0;
  expect(
    await here.send(WANT, { id, where: { line: line('MN') }, wanted: false }, { seen: null }),
  ).toMatchObject({ ok: true });
  expect(
    await here.send(WANT, { id, where: { line: line('SHL') }, wanted: true }, { seen: null }),
  ).toMatchObject({ ok: true });
  const bones = here.file.ingredients.find((i) => i.name === 'Venison bones')?.id ?? '';
  const say = (code: string) =>
    here.send(ASSIGN, { id, line: line(code), to: { ingredient: bones } }, { seen: null });
  expect(await say('RB')).toMatchObject({ code: 'no-pack' });
  expect(await say('nowhere')).toMatchObject({ code: 'bad-field' });
  expect(await say('PH1')).toMatchObject({ ok: true });
  // A row said to be an article of the supplier is judged by its prices, and taken unless those refuse it.
  const loin = here.file.articles.find((a) => a.code === 'VL')!.id;
  const as = await here.send(ASSIGN, { id, line: line('SHL'), to: { article: loin } }, { seen: null });
  expect(as).toMatchObject({ ok: true });
  expect((await rows(id)).find((r) => r.code === 'SHL')).toMatchObject({ article: loin, wanted: true });
  await here.send(WANT, { id, where: { line: line('SHL') }, wanted: false }, { seen: null });
  // What a pheasant weighs nobody knows: all of the list is refused with its line, and nothing is written.
  await here.send(ACCEPT, { id }, { seen: null });
  await ended(id);
  expect(jobOf(id)?.trouble).toContain('what one weighs is not known');
  expect([await stateOf(id), await quotes('VB10')]).toEqual(['preview', before]);
  await here.send(WANT, { id, where: { line: line('PH1') }, wanted: false }, { seen: null });
  expect(await here.send(ACCEPT, { id }, { seen: null })).toMatchObject({ ok: true });
  await ended(id);
  expect([jobOf(id)?.trouble, await stateOf(id)]).toEqual([undefined, 'accepted']);
  expect((await quotes('VB10'))?.at(-1)).toEqual([DAY, '25.50']);
  expect(await quotes('MN')).not.toContainEqual(expect.arrayContaining([DAY]));
  // Decided once: it can neither be accepted nor put away again.
  expect((await here.send(ACCEPT, { id }, { seen: null })).ok).toBe(false);
  expect((await here.send(DROP, { id }, { seen: null })).ok).toBe(false);
  expect(await here.send(UNDO, { id, alsoEdited: false }, { seen: null })).toMatchObject({
    ok: true,
    value: { kept: 0 },
  });
  expect(await stateOf(id)).toBe('undone');
  expect(await quotes('VB10')).toEqual(before);
});

test('a price that somebody changed meanwhile refuses the list, whole; what was typed since stays when it is taken back', async () => {
  const id = await looked();
  const article = here.file.articles.find((a) => a.code === 'VB10');
  const change = (typed: string, seen: number) =>
    here.send(PRICE, { article: article?.id ?? '', row: article?.ingredient ?? '', typed }, { seen });
  expect(await change('31', 1)).toMatchObject({ ok: true });
  await here.send(ACCEPT, { id }, { seen: null });
  await ended(id);
  expect(jobOf(id)?.trouble).toContain('check it again');
  expect(await stateOf(id)).toBe('preview');
  expect((await quotes('VL'))?.some(([on]) => on === DAY)).toBe(false);
  await here.send(DROP, { id }, { seen: null });
  const again = await looked();
  await here.send(ACCEPT, { id: again }, { seen: null });
  await ended(again);
  expect(await stateOf(again)).toBe('accepted');
  expect(await change('33', 2)).toMatchObject({ ok: true });
  expect(await here.send(UNDO, { id: again, alsoEdited: false }, { seen: null })).toMatchObject({ ok: true });
  expect((await quotes('VB10'))?.at(-1)).toEqual([DAY, '33.00']);
});

test('who may not, what is no list, and columns that say too little are refused in words', async () => {
  expect(await here.send(TAKE, weirside(), { seen: null, role: 'cook' })).toMatchObject({
    code: 'not-allowed',
  });
  const nothing = {
    ...weirside(),
    base64: Buffer.from([0x25, 0x50, 0x44, 0x46, 0, 1, 2]).toString('base64'),
  };
  expect((await here.send(TAKE, nothing, { seen: null })).ok).toBe(false);
  const id = await looked();
  const look = (more: object) =>
    here.send(LOOK, { id, on: DAY, odd: '15', columns: { price: '' }, ...more }, { seen: null });
  expect(await look({})).toMatchObject({ code: 'no-price-column' });
  expect(await look({ on: '' })).toMatchObject({ code: 'no-day' });
  expect(await look({ on: '2030-01-01' })).toMatchObject({ code: 'too-far-ahead' });
  expect(await look({ odd: '0' })).toMatchObject({ code: 'share-out-of-range' });
});
