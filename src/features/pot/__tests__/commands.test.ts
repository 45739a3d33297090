import { kitchenAtWork, type AtWork } from '../../../../tests/helpers/at-work';
import { costOfProduct } from '../../../core/costing';
import type { WrittenStep } from '../../../core/verbs';
import { newId } from '../../../db/mapping/ids';
import { costedKitchen } from '../../../server/kitchen';
import { sheetNow } from '../queries';
import { versionsOf } from '../versions/queries';
import { NEW_SHEET, SERVED, SHEET, VERSION_NAMED } from '../wire';

let here: AtWork;
beforeAll(async () => {
  here = await kitchenAtWork();
});
afterAll(() => here.end());

const recipe = (name: string) => {
  const found = here.file.recipes.find((r) => r.name === name);
  if (!found) throw new Error(name);
  return found;
};
const sheet = (name: string, steps?: WrittenStep[]) => {
  const { id, vessel, hob, steps: own } = recipe(name);
  return { id, vessel, hob, steps: steps ?? own };
};
const now = async (name: string) => (await here.read()).recipes.find((r) => r.name === name);

describe('a pot sheet', () => {
  test('is kept with its steps under their own ids, through edits and moves', async () => {
    const { steps } = recipe('White roux');
    const [first, second, ...rest] = steps as [WrittenStep, WrittenStep, ...WrittenStep[]];
    const edited = [second, { ...first, amount: '600 g' } as WrittenStep, ...rest];
    const kept = await here.send(SHEET, sheet('White roux', edited));
    expect(kept).toMatchObject({ ok: true, version: 2 });
    expect((await now('White roux'))?.steps).toEqual(edited);
    expect(await here.changes(recipe('White roux').id)).toMatchObject([
      { what: 'recipe', before: { steps }, after: { steps: edited } },
    ]);
    // A new line gets an id; the others keep theirs.
    const more: WrittenStep[] = [...edited, { do: 'unread', said: 'stir a while' }];
    await here.send(SHEET, sheet('White roux', more), { seen: 2 });
    const after = (await now('White roux'))?.steps ?? [];
    expect(after.slice(0, -1)).toEqual(edited);
    expect(after.at(-1)).toMatchObject({ do: 'unread', said: 'stir a while', id: expect.any(String) });
  });

  test('a step’s id belongs to one step of one recipe', async () => {
    const stray = recipe('Trout-frame fumet').steps[0] as WrittenStep;
    expect(await here.send(SHEET, sheet('Trout velouté', [stray]))).toMatchObject({
      code: 'id-twice',
      path: 'steps[0]',
    });
    const twice = { ...(recipe('Trout velouté').steps[0] as WrittenStep) };
    expect(await here.send(SHEET, sheet('Trout velouté', [twice, twice]))).toMatchObject({
      code: 'id-twice',
    });
  });

  test('a loop, a step that cannot be done, and a vessel the kitchen has not are refused by name', async () => {
    const fumet = sheet('Trout-frame fumet');
    const loop: WrittenStep = {
      id: newId(),
      do: 'add',
      of: { product: recipe('Trout velouté').id },
      amount: '1 l',
    };
    expect(await here.send(SHEET, { ...fumet, steps: [...fumet.steps, loop] })).toMatchObject({
      code: 'recipe-loop',
      message: expect.stringContaining('A recipe cannot be made from itself'),
    });
    const dry: WrittenStep = { id: newId(), do: 'strain', pressed: false, through: 'cloth' };
    expect(await here.send(SHEET, { ...fumet, steps: [dry] })).toMatchObject({
      code: 'nothing-to-strain',
      path: 'steps[0]',
    });
    expect(await here.send(SHEET, { ...fumet, vessel: newId() })).toMatchObject({ code: 'unknown-vessel' });
    expect((await now('Trout-frame fumet'))?.steps).toEqual(fumet.steps);
  });

  test('what a pot cannot bear is refused with the step, the number and the limit', async () => {
    const velout = sheet('Trout velouté');
    const says = async (at: number, step: object): Promise<string> => {
      const steps = velout.steps.map((s, i) => (i === at ? ({ id: s.id, ...step } as WrittenStep) : s));
      const reply = await here.send(SHEET, { ...velout, steps }, await here.seen('recipe', velout.id));
      return reply.ok ? 'done' : reply.message;
    };
    const fumet = { product: recipe('Trout-frame fumet').id };
    expect(await says(0, { do: 'add', of: fumet, amount: '40 l' })).toMatch(
      /^The pot would run over: .* in the Sloping saucepan 28 cm, which holds 7\.\d l to the brim/,
    );
    const reduce = velout.steps[1] as object;
    expect(await says(1, { ...reduce, until: 'gelatin', to: '60 %' })).toMatch(
      /even boiled dry the pot would stand at/,
    );
    expect((await now('Trout velouté'))?.steps).toEqual(velout.steps);
  });

  test('what a save breaks is told: recipes that cannot be made any more, and dishes that lose their cost', async () => {
    const stock = sheet('Venison bone stock');
    const kept = await here.send(SHEET, { ...stock, steps: stock.steps.slice(0, 3) });
    const broken = kept.ok ? kept.value.broken : [];
    expect(broken.map((b) => b.name)).toEqual(expect.arrayContaining(['Reduced game base', 'Juniper sauce']));
    expect(broken.some((b) => here.file.plates.some((p) => p.name === b.name))).toBe(true);
    for (const b of broken) expect(b.why).not.toBe('');
    // Put back, nothing is broken by it, and theirs is what somebody else left.
    const stale = await here.send(SHEET, stock, { seen: 1 });
    expect(stale).toMatchObject({ code: 'stale', theirs: { version: 2 } });
    expect(!stale.ok && stale.theirs?.steps).toHaveLength(3);
    expect(await here.send(SHEET, stock, { seen: 2 })).toMatchObject({ ok: true, value: { broken: [] } });
  });

  test('two recipes made at once to take each other never both land', async () => {
    const [a, b] = ['Creamed chard', 'Duck broth'] as const;
    const taking = (name: string, of: string) => {
      const own = sheet(name);
      const step: WrittenStep = { id: newId(), do: 'add', of: { product: recipe(of).id }, amount: '10 ml' };
      return { ...own, steps: [...own.steps.filter((s) => s.do !== 'portion'), step] };
    };
    const both = await Promise.all([here.send(SHEET, taking(a, b)), here.send(SHEET, taking(b, a))]);
    expect(both.map((x) => (x.ok ? 'ok' : x.code)).sort()).toEqual(['ok', 'recipe-loop']);
  });
});

test('how hot it is served is kept with its limits, and by no version of the sheet', async () => {
  const { id } = recipe('Crab bisque');
  const served = async () => (await here.read()).recipes.find((r) => r.id === id)?.serveCelsius;
  await here.send(SERVED, { id, at: '70' });
  expect(await served()).toBe(70);
  expect(await here.send(SERVED, { id, at: '130' })).toMatchObject({
    message: 'Served at 130 °C cannot be: from -5 to 100 °C.',
  });
  await here.send(SERVED, { id, at: '' });
  expect(await served()).toBeUndefined();
});

describe('ways of a sheet, lines that are left out, and versions', () => {
  const [early, late, salt] = [newId(), newId(), newId()];
  const choices = [
    {
      id: salt,
      name: 'salt',
      ways: [
        { id: early, name: 'early' },
        { id: late, name: 'late' },
      ],
      house: late,
    },
  ];

  test('choices, notes and what is switched off are kept; a page that knows of no choices leaves them', async () => {
    const { steps } = recipe('Pale onion soup');
    const marked = steps.map((s, i) =>
      i === 1 ? { ...s, note: 'gold, not brown' } : i === 4 ? { ...s, off: true as const } : s,
    );
    const withWay = [...marked.slice(0, -1), { ...(marked.at(-1) as WrittenStep), way: late }];
    const body = { ...sheet('Pale onion soup', withWay), choices };
    expect(await here.send(SHEET, body, await here.seen('recipe', body.id))).toMatchObject({ ok: true });
    expect(await now('Pale onion soup')).toMatchObject({ choices, steps: withWay });
    const { choices: _c, ...unknowing } = body;
    expect(await here.send(SHEET, unknowing, { seen: 2 })).toMatchObject({ ok: true });
    expect((await now('Pale onion soup'))?.choices).toEqual(choices);
    // Taken away they are gone with nothing left of them, and a line cannot belong to what is not there.
    expect(await here.send(SHEET, { ...body, choices: [] }, { seen: 3 })).toMatchObject({
      code: 'unknown-way',
      message: expect.stringContaining(`step ${withWay.length}`) as string,
    });
    expect(await here.send(SHEET, { ...body, steps: marked, choices: [] }, { seen: 3 })).toMatchObject({
      ok: true,
    });
    expect((await now('Pale onion soup'))?.choices).toBeUndefined();
  });

  test('a sheet like another has its ways too, and comes to the same', async () => {
    const from = recipe('Brown-roux game gravy');
    const stood = { vessel: { own: from.vessel }, hob: { own: from.hob } };
    const made = await here.send(NEW_SHEET, { name: 'The other gravy', ...stood, like: from.id, lines: '' });
    if (!made.ok) throw new Error(made.message);
    const copy = (await here.read()).recipes.find((r) => r.id === made.value.id);
    expect(copy?.choices).toEqual(from.choices);
    expect(copy?.steps.map(({ id: _id, ...s }) => s)).toEqual(from.steps.map(({ id: _id, ...s }) => s));
    const { costing } = await costedKitchen(here.kitchenId);
    const [a, b] = [costOfProduct(costing, from.id).perL, costOfProduct(costing, made.value.id).perL];
    expect(b).not.toBeNull();
    expect(b).toBe(a);
  });

  test('a loop in a line that is switched off is none until it is switched on', async () => {
    const { steps } = recipe('Pale onion soup');
    const loop: WrittenStep = {
      id: newId(),
      do: 'add',
      of: { product: recipe('Pale onion soup').id },
      amount: '1 l',
    };
    const off = { ...loop, off: true as const };
    const [first, ...rest] = (await now('Pale onion soup'))?.steps ?? steps;
    const seen = await here.seen('recipe', recipe('Pale onion soup').id);
    const body = (line: WrittenStep) => sheet('Pale onion soup', [first as WrittenStep, line, ...rest]);
    expect(await here.send(SHEET, body(loop), seen)).toMatchObject({ code: 'recipe-loop' });
    expect(await here.send(SHEET, body(off), seen)).toMatchObject({ ok: true });
  });

  test('a version is named, found under its name, and only one that is there', async () => {
    const { id } = recipe('Pale onion soup');
    expect(await here.send(VERSION_NAMED, { id, version: 1, name: ' as in the book ' })).toMatchObject({
      ok: true,
    });
    const page = await versionsOf(here.as('manager'), id, [1]);
    expect(page.rows.find((r) => r.version === 1)?.name).toBe('as in the book');
    expect(page.beside[0]).toMatchObject({ version: 1, trouble: undefined });
    expect(await here.send(VERSION_NAMED, { id, version: 99, name: 'x' })).toMatchObject({ code: 'gone' });
    await here.send(VERSION_NAMED, { id, version: 1, name: '' });
    expect((await versionsOf(here.as('manager'), id, [])).rows.every((r) => r.name === null)).toBe(true);
  });

  test('whoever has a sheet open is told of it only where it is newer than what stands there', async () => {
    const { id } = recipe('Pale onion soup');
    const { seen } = await here.seen('recipe', id);
    expect(await sheetNow(here.as('manager'), id, seen)).toBeUndefined();
    expect(await sheetNow(here.as('manager'), id, seen - 1)).toMatchObject({
      version: seen,
      by: 'Maren Holt',
    });
  });
});
