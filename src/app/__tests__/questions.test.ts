import { compareText } from '../../cli/compare';
import type { WrittenAsks } from '../../core/kitchen-file';
import { PRICE } from '../../features/buy/wire';
import { UNDO } from '../../features/changes/wire';
import { flippedQuestions, listQuestions } from '../../features/weigh/saved-questions';
import { questionPage, weighPage } from '../../features/weigh/queries';
import { QUESTION, QUESTION_AWAY, QUESTION_SEEN } from '../../features/weigh/wire';
import { kitchenAtWork, type AtWork } from '../../../tests/helpers/at-work';

let here: AtWork;
beforeAll(async () => {
  here = await kitchenAtWork();
});
afterAll(() => here.end());

const rows = async () => (await here.read()).questions;
const called = (name: string) => here.file.recipes.find((r) => r.name === name)!;
const press = (): WrittenAsks => {
  const bisque = called('Crab shell stock');
  return { of: 'press', recipe: bisque.id, line: bisque.steps.find((s) => s.do === 'strain')!.id! };
};

test('a question is kept with what it comes to, taken back as one, and restored', async () => {
  const kept = await here.send(QUESTION, {
    id: null,
    name: 'Press the shells?',
    asks: press(),
    beside: ['energy'],
  });
  if (!kept.ok) throw new Error(kept.message);
  const { id } = kept.value;
  const row = (await rows()).find((q) => q.id === id);
  expect(row).toMatchObject({ name: 'Press the shells?', beside: ['energy'], asks: press() });
  expect(row?.told?.winner).toBe(0);
  expect(row?.told?.sure).toBeGreaterThan(0.9);
  expect(row?.told?.prices.length).toBeGreaterThan(2);

  const twin = await here.send(QUESTION, { id: null, name: 'press the SHELLS?', asks: press(), beside: [] });
  expect(twin).toMatchObject({ ok: false, message: expect.stringContaining('is a question already') });

  expect(await here.send(UNDO, { change: null, again: false })).toMatchObject({ ok: true });
  expect((await rows()).some((q) => q.id === id)).toBe(false);
  expect(await here.send(UNDO, { change: null, again: true })).toMatchObject({ ok: true });
  expect((await rows()).some((q) => q.id === id)).toBe(true);
  expect(await here.send(QUESTION_AWAY, { id, away: true })).toMatchObject({ ok: true });
  expect(await here.send(QUESTION_AWAY, { id, away: true })).toMatchObject({ ok: false });
  expect((await weighPage(here.as('manager'), undefined, undefined)).away.map((a) => a.id)).toContain(id);
  expect(await here.send(QUESTION_AWAY, { id, away: false })).toMatchObject({ ok: true });
});

test('what cannot be asked is not kept, and a reader keeps nothing', async () => {
  const gone = { ...press(), line: '019d20a1-8400-7a10-8b10-5f0a6c1effff' } as WrittenAsks;
  expect(await here.send(QUESTION, { id: null, name: 'Gone', asks: gone, beside: [] })).toMatchObject({
    ok: false,
    message: expect.stringContaining('removed'),
  });
  expect(
    await here.send(QUESTION, { id: null, name: 'Mine', asks: press(), beside: [] }, { role: 'reader' }),
  ).toMatchObject({ ok: false });
});

test('what a browser draws is what is drawn of the kitchen as a file: every range, price by price', async () => {
  const file = await here.read();
  const row = (await rows()).find((q) => q.name === 'Onions whole, or ready-cut')!;
  const { setup } = await questionPage(here.as('manager'), { id: row.id });
  const read = compareText(JSON.stringify(file), row.name);
  if (!('compared' in read)) throw new Error(read.mistakes[0]?.message);
  const kinds = new Set(setup?.uncertain.map((u) => u.kind));
  expect(kinds).toEqual(new Set(['constant', 'yield', 'retention', 'dissolved', 'price', 'power']));
  expect(setup?.uncertain).toEqual(read.compared.setup.uncertain);
  expect(JSON.parse(JSON.stringify(setup))).toEqual(JSON.parse(JSON.stringify(read.compared.setup)));
});

test('the demo’s question has flipped at the last price: told with what moved, until somebody has seen it', async () => {
  const [flipped, ...others] = await flippedQuestions(here.as('manager'));
  expect(others).toEqual([]);
  expect(flipped?.name).toBe('Onions whole, or ready-cut');
  expect(flipped?.moved).toMatchObject({ was: 'Onion', is: 'Onion, ready-cut' });
  expect(flipped?.moved?.by[0]?.name).toBe('Onion, ready-cut');
  expect(await flippedQuestions(here.as('reader'))).toEqual([]);

  const { seen: version } = await here.seen('question', flipped?.id ?? '');
  expect(await here.send(QUESTION_SEEN, { id: flipped?.id ?? '' })).toMatchObject({ ok: true });
  expect(await flippedQuestions(here.as('manager'))).toEqual([]);
  expect((await here.seen('question', flipped?.id ?? '')).seen).toBe(version + 1);

  // And back again when the price of the tub rises.
  const article = here.file.articles.find((a) => a.name === 'Onions, ready cut, tub')!;
  expect(
    await here.send(
      PRICE,
      { article: article.id, row: article.ingredient, typed: '19.00' },
      await here.seen('supplier_article', article.id),
    ),
  ).toMatchObject({ ok: true });
  const [again] = await flippedQuestions(here.as('manager'));
  expect(again?.moved).toMatchObject({ was: 'Onion, ready-cut', is: 'Onion' });
});

test('a question of a sheet that was archived meanwhile says so where it is listed and where it is opened', async () => {
  const [first] = await listQuestions(here.as('manager'));
  expect(first?.answer).toBe('Meat stock paste');
  const page = await questionPage(here.as('manager'), { id: first?.id ?? '' });
  expect(page.ways).toHaveLength(5);
  expect(page.flips.find((f) => f.way === 1)?.ingredient.name).toBe('Veal stock, chilled');
  expect(page.setup?.uncertain.length).toBeGreaterThan(30);
  const lost = await questionPage(here.as('manager'), {
    asks: { ...press(), recipe: '019d20a1-8400-7a10-8b10-5f0a6c1effff' } as WrittenAsks,
  });
  expect(lost.trouble).toContain('archived');
  expect(lost.ways).toEqual([]);
});
