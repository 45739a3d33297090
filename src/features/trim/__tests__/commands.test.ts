import { kitchenAtWork, DAY, type AtWork } from '../../../../tests/helpers/at-work';
import type { Reply } from '../../../wire';
import { APART, BEGIN, BY_PRODUCT, DROP, FINISH, SAVE, type TestTyped } from '../bench/wire';
import { BATCHES, TAKEN, WASTE } from '../flow/wire';
import { TRIMMING } from '../schools/wire';
import { COMES_OFF, LEARN_FROM, LEFT_OUT, TRIM } from '../taught/wire';

let here: AtWork;
beforeAll(async () => {
  here = await kitchenAtWork();
});
afterAll(() => here.end());

const named = (name: string): string => here.file.ingredients.find((i) => i.name === name)?.id ?? '';
const why = (answer: Reply<unknown, unknown>): string => (answer.ok ? 'done' : answer.message);
const weighed = (part: Partial<TestTyped> = {}): TestTyped => ({
  kind: 'trim',
  season: 'spring',
  start: '10 kg',
  parts: [
    { name: '', fate: 'usable', amount: '6.1 kg' },
    { name: '', fate: 'stock trim', amount: '2.9 kg' },
    { name: 'grit', fate: 'waste', amount: '0.9 kg' },
  ],
  purchase: null,
  ...part,
});

describe('a test on the bench', () => {
  test('is begun, weighed, finished: it teaches from then on and stays as it was weighed', async () => {
    const made = await here.send(BEGIN, { ingredient: named('Leek') }, { role: 'cook' });
    const id = made.ok ? made.value.id : '';
    const open = (await here.read()).tests.find((t) => t.id === id);
    expect(open).toMatchObject({ state: 'open', on: DAY, ingredient: named('Leek') });
    expect(await here.send(SAVE, { id, typed: weighed({ start: 'ten' }) }, { role: 'cook' })).toMatchObject({
      ok: true,
      version: 2,
    });
    expect(await here.send(FINISH, { id, typed: weighed({ start: 'ten' }) }, { seen: 2 })).toMatchObject({
      ok: false,
      path: 'start',
    });
    const heavy = weighed({ parts: [{ name: '', fate: 'usable', amount: '11 kg' }] });
    expect(why(await here.send(FINISH, { id, typed: heavy }, { seen: 2 }))).toMatch(
      /11\.00.*10\.00|10.*11|11.*10/,
    );
    expect(await here.send(FINISH, { id, typed: weighed() }, { seen: 2 })).toMatchObject({
      ok: true,
      version: 3,
    });
    const kept = (await here.read()).tests.find((t) => t.id === id);
    expect(kept).toMatchObject({ state: 'kept', start: '10 kg' });
    expect(await here.send(SAVE, { id, typed: weighed() }, { seen: 3 })).toMatchObject({
      code: 'finished',
      theirs: { version: 3, test: { state: 'kept' } },
    });
    expect(await here.send(SAVE, { id, typed: weighed() }, { seen: 2 })).toMatchObject({
      code: 'stale',
      theirs: { version: 3 },
    });
    expect((await here.changes(id)).map((c) => c.what)).toEqual([
      'test begun',
      'test weighed',
      'test finished',
    ]);
    const beside = await here.send(APART, { of: id, typed: weighed({ start: '9 kg' }) });
    expect((await here.read()).tests.find((t) => t.id === (beside.ok ? beside.value.id : ''))).toMatchObject({
      state: 'open',
      start: '9 kg',
    });
  });

  test('is dropped while it is open; a reader begins none', async () => {
    expect(await here.send(BEGIN, { ingredient: named('Leek') }, { role: 'reader' })).toMatchObject({
      code: 'not-allowed',
    });
    const made = await here.send(BEGIN, { ingredient: named('Onion') });
    const id = made.ok ? made.value.id : '';
    expect(await here.send(DROP, { id })).toMatchObject({ ok: true });
    expect((await here.read()).tests.some((t) => t.id === id)).toBe(false);
    expect(await here.send(DROP, { id }, { seen: 2 })).toMatchObject({ code: 'gone' });
  });

  test('what comes off is an ingredient of its own, under a name nobody has', async () => {
    const of = named('Leek');
    expect(why(await here.send(BY_PRODUCT, { of, name: 'leek', like: '' }))).toMatch(
      /in the kitchen already/,
    );
    expect(why(await here.send(BY_PRODUCT, { of, name: 'Leek hearts', like: 'unicorn' }))).toMatch(
      /“unicorn”/,
    );
    const made = await here.send(BY_PRODUCT, { of, name: 'Leek hearts', like: '' });
    const id = made.ok ? made.value.id : '';
    expect((await here.read()).ingredients.find((i) => i.id === id)).toMatchObject({
      name: 'Leek hearts',
      comesOff: { ingredient: of },
    });
  });
});

describe('what tests teach', () => {
  test('one is left out with a reason, and counts again; at once where the kitchen learns so', async () => {
    const test = here.file.tests.find((t) => t.state === 'kept' && t.ingredient === named('Leek'))?.id ?? '';
    expect(why(await here.send(LEFT_OUT, { test, why: ' ' }))).toMatch(/Why does it not count/);
    expect(why(await here.send(LEFT_OUT, { test, why: 'x'.repeat(201) }))).toMatch(/at most 200 .* has 201/);
    expect(await here.send(LEFT_OUT, { test, why: 'wet leeks' })).toMatchObject({ ok: true });
    const of = async () => (await here.read()).tests.find((t) => t.id === test)?.leftOut;
    expect(await of()).toMatchObject({ why: 'wet leeks', by: here.as('manager').person.id });
    await here.send(LEFT_OUT, { test, why: null });
    expect(await of()).toBeUndefined();
  });

  test('who pays for trim is set within what the price bears', async () => {
    const id = named('Leek');
    const version = async () => Number((await here.changes(id)).length) + 1;
    expect(why(await here.send(TRIM, { id, school: null, setValue: '900', takenPct: null }))).toMatch(
      /900\.00/,
    );
    expect(why(await here.send(TRIM, { id, school: 'free', setValue: null, takenPct: '120' }))).toMatch(
      /between 0 and 100/,
    );
    expect(await here.send(TRIM, { id, school: 'weight', setValue: null, takenPct: '40' })).toMatchObject({
      ok: true,
    });
    expect((await here.read()).ingredients.find((i) => i.id === id)?.trim).toEqual({
      school: 'weight',
      takenPct: 40,
    });
    expect(await version()).toBeGreaterThan(1);
    const frames = named('Frames off whole trout');
    expect(await here.send(COMES_OFF, { id: frames, setValue: '0.8', sold: true })).toMatchObject({
      ok: true,
    });
    expect((await here.read()).ingredients.find((i) => i.id === frames)?.comesOff).toMatchObject({
      setValuePerKg: '0.80',
      sold: true,
    });
    expect(await here.send(COMES_OFF, { id, setValue: null, sold: false }, { seen: 2 })).toMatchObject({
      code: 'gone',
    });
  });

  test('which tests count is set; of a supplier nobody knows it is refused', async () => {
    const id = named('River trout, whole');
    expect(await here.send(LEARN_FROM, { id, season: 'now', supplier: named('Leek') })).toMatchObject({
      code: 'gone',
      path: 'supplier',
    });
    expect(await here.send(LEARN_FROM, { id, season: 'spring', supplier: null })).toMatchObject({ ok: true });
    expect((await here.read()).ingredients.find((i) => i.id === id)?.learnFrom).toEqual({ season: 'spring' });
  });

  test('a kitchen that learns at once reckons with a test as soon as it is finished', async () => {
    const { kitchen } = here.file;
    const trimming = {
      school: kitchen.trim.school,
      setValue: kitchen.trim.setValuePerKg,
      wage: '',
      electricity: '',
      gas: '',
      learning: 'at once' as const,
      scale: '',
    };
    expect(await here.send(TRIMMING, { ...trimming, scale: 'the shelf' })).toMatchObject({
      code: 'bad-address',
      path: 'scale',
    });
    expect(await here.send(TRIMMING, trimming)).toMatchObject({ ok: true, version: 2 });
    expect((await here.read()).kitchen).toMatchObject({ learning: 'at once' });
    const id = named('Carrot');
    const before = here.file.ingredients.find((i) => i.id === id)?.yields.length ?? 0;
    for (const usable of ['7.9 kg', '8 kg', '8.1 kg']) {
      const made = await here.send(BEGIN, { ingredient: id });
      const test = made.ok ? made.value.id : '';
      const typed = weighed({
        parts: [
          { name: '', fate: 'usable', amount: usable },
          { name: '', fate: 'waste', amount: '1.8 kg' },
        ],
      });
      expect(await here.send(FINISH, { id: test, typed })).toMatchObject({ ok: true });
    }
    const after = (await here.read()).ingredients.find((i) => i.id === id)?.yields ?? [];
    expect(after.length).toBeGreaterThan(before);
    expect(after.at(-1)).toMatchObject({ source: 'measured', on: DAY });
    expect((await here.changes(id)).map((c) => c.what)).toContain('learned yield');
  });
});

describe('the flow of trim', () => {
  test('batches a week and what is taken are set; waste is booked with its reason and weighs something', async () => {
    const recipe = here.file.recipes[0]?.id ?? '';
    expect(await here.send(BATCHES, { id: recipe, typed: '2.5' })).toMatchObject({ ok: true, version: 2 });
    expect((await here.read()).recipes[0]?.batchesAWeek).toBe(2.5);
    expect(why(await here.send(BATCHES, { id: recipe, typed: '501' }, { seen: 2 }))).toMatch(
      /501 .*between 0 and 500/,
    );
    const onion = named('Onion');
    expect(await here.send(TAKEN, { id: onion, what: 'stock trim', pct: 35 })).toMatchObject({ ok: true });
    expect((await here.read()).ingredients.find((i) => i.id === onion)?.trim?.takenPct).toBe(35);
    const waste = { ingredient: named('Leek'), part: 'whole' as const, amount: '1.2 kg', reason: 'frozen' };
    expect(await here.send(WASTE, waste, { role: 'cook' })).toMatchObject({ ok: true, value: { g: 1200 } });
    expect((await here.read()).wastes.at(-1)).toMatchObject({ amount: '1.2 kg', reason: 'frozen', on: DAY });
    expect(await here.send(WASTE, { ...waste, reason: '' })).toMatchObject({ path: 'reason' });
    expect(await here.send(WASTE, { ...waste, amount: '0 kg' })).toMatchObject({ code: 'nothing-thrown' });
  });
});
