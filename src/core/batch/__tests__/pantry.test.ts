import { PotAdvisor, batchFigures, runningOf, type StoveSetup, type Pantry, type Problem } from '..';
import { namesToRead } from '../../costing';
import type { WrittenBatchEvent } from '../../kitchen-file';
import { productOf, usableOf } from '../../supply';
import { costedDemo } from '../../testing/demo';

const { state, costing, c } = costedDemo();
const called = (name: string) => state.recipes.find((r) => r.name === name)!;
const START = Date.parse('2026-03-14T09:00:00.000Z');
const NOW = START + 200 * 60_000;

const stock = (name: string) => ({
  of: { product: called(name).id },
  recipe: called(name).id,
  bones: [name === 'Trout-frame fumet' ? 'frames' : 'venison'],
});
const VENISON = { end: undefined, bones: ['venison'] };
const pantry: Pantry = {
  mark: costing.shelf.manner.mark,
  measures: [...(costing.shelf.manner.measures ?? [])],
  stuffs: state.ingredients.map(({ id }) => [id, costing.shelf.stuff(id)!] as const),
  products: state.recipes.flatMap((r) => {
    const found = costing.shelf.product(r.id);
    return found.ok ? [{ id: r.id, ...found.value }] : [];
  }),
  lastBatches: [],
  vessels: state.vessels.map(({ id }) => costing.shelf.vessel(id)!),
  hobs: state.hobs.map(({ id }) => costing.shelf.hob(id)!),
  names: namesToRead(costing),
  thickeners: [{ product: called('Kneaded butter').id }],
  stocks: [stock('Trout-frame fumet'), stock('Second venison stock')],
  prices: [
    ...state.ingredients.map(({ id }) => usableOf(id)),
    ...state.recipes.map(({ id }) => productOf(id)),
  ].flatMap((key) => {
    const perG = costing.graph.has(key) ? costing.graph.cost(key) : null;
    return perG === null ? [] : [[key, perG] as const];
  }),
};
/** As a tablet has it, once it has travelled. */
const at = new PotAdvisor(JSON.parse(JSON.stringify(pantry)) as Pantry);

const recipe = called('Juniper sauce');
const seasoned = recipe.steps.findIndex((s) => s.do === 'season to');
const event = (id: string, minutes: number, of: object) =>
  ({
    id,
    at: new Date(START + minutes * 60_000).toISOString(),
    recordedAt: new Date(START + minutes * 60_000).toISOString(),
    ...of,
  }) as WrittenBatchEvent;
const batch = (...told: WrittenBatchEvent[]): StoveSetup => ({
  recipe: recipe.id,
  vessel: recipe.vessel,
  hob: recipe.hob,
  startedAt: new Date(START).toISOString(),
  steps: recipe.steps,
  events: [
    ...recipe.steps
      .slice(0, seasoned + 1)
      .map((s, i) => event(`done ${i}`, i * 10, { is: 'done', step: s.id })),
    ...told,
  ],
});

test('a pot followed out of what a tablet has kept of the house is the pot followed at home, to the last digit', () => {
  const there = at.running(batch())!;
  expect(batchFigures(there, NOW, c)).toEqual(batchFigures(runningOf(batch(), costing.shelf)!, NOW, c));
});

test('a way out that is chosen does what it said: the goal is there, and its litres', () => {
  for (const problem of ['too thick', 'too salty', 'too little'] as Problem[]) {
    const found = at.putRight(batch(), { problem, wanted: null, sheet: VENISON }, NOW, c)!;
    expect(found.trouble).toBeUndefined();
    expect(found.ways.length).toBeGreaterThan(0);
    for (const way of found.ways) {
      const told = event('way', 195, { is: 'rescue', problem, steps: way.steps });
      const { pot } = batchFigures(at.running(batch(told))!, NOW, c);
      const stands =
        { 'too salty': pot!.saltPct, 'too little': pot!.ml / 1000 }[problem as string] ?? pot!.body;
      expect(Math.abs(stands / found.goal - 1)).toBeLessThan(0.02);
      expect(way.cost === null || way.cost >= 0).toBe(true);
    }
  }
});

test('where no price is known the cost of a way is not known; it is never nothing', () => {
  const poor = new PotAdvisor({ ...pantry, prices: [] });
  const { ways } = poor.putRight(batch(), { problem: 'too salty', wanted: null, sheet: VENISON }, NOW, c)!;
  expect(ways.some((w) => w.cost === null)).toBe(true);
  for (const way of ways) expect(way.cost === null || way.takes.every((t) => t.supply === 'free')).toBe(true);
});

test('a stock is not made up with itself', () => {
  const own = new PotAdvisor({
    ...pantry,
    stocks: [{ of: { product: recipe.id }, recipe: recipe.id, bones: ['venison'] }],
  });
  const { ways } = own.putRight(batch(), { problem: 'too little', wanted: null, sheet: VENISON }, NOW, c)!;
  expect(ways.every((w) => w.takes.every((t) => t.supply === 'free'))).toBe(true);
});

test('a line is read and said as the sheet does; one that names nothing here is refused in words', () => {
  const step = recipe.steps[0]!;
  const said = at.line(batch(), step.id!)!;
  const read = at.read(batch(), said);
  expect(read).toMatchObject({ ok: true });
  expect(at.read(batch(), '2 kg unicorn bones')).toMatchObject({ ok: false });
  const came = at.cameIn(batch(), '300 ml whipping cream', NOW, c);
  if (!came?.ok) throw new Error('not read');
  expect(came.after.ml - came.before.ml).toBeGreaterThan(250);
});

test('what cannot be read, resolved or done at a pot comes back as its sentence, and nothing else', () => {
  const refused = (text: string) => {
    const found = at.cameIn(batch(), text, NOW, c);
    expect([text, found?.ok]).toEqual([text, false]);
    return (found as { message: string }).message;
  };
  expect(refused('xyzzy')).not.toBe('');
  expect(refused('strain through a fishing net')).not.toBe('');
  // Nothing of a pot that has no solids can be picked off them.
  expect(refused('take out the bones')).not.toBe('');
  expect(at.read(batch(), 'strain through a fishing net')).toMatchObject({ ok: false });
});

test('what is usually wanted is what the sheet ends with where that lies on the right side, else a share of what is there', () => {
  const goal = (problem: Problem, end: { body: number; saltPct: number; ml: number } | undefined) =>
    at.putRight(batch(), { problem, wanted: null, sheet: { ...VENISON, end } }, NOW, c)!;
  const { now: salt } = goal('too salty', undefined);
  const usual = goal('too salty', undefined).goal;
  expect(usual).toBeLessThan(salt);
  const end = (saltPct: number) => ({ body: 1, saltPct, ml: 1000 });
  expect(goal('too salty', end(salt * 0.7)).goal).toBeCloseTo(salt * 0.7, 1);
  // A sheet that ends saltier than the pot is no goal for one that is too salty.
  expect(goal('too salty', end(salt * 1.5)).goal).toBe(usual);
  expect(goal('too salty', end(0)).goal).toBe(usual);
});

test('what was done differently stands in its line, and the pot follows it', () => {
  const i = recipe.steps.findIndex((s) => s.do === 'add' || s.do === 'water');
  const said = at.line(batch(), recipe.steps[i]!.id!)!;
  const read = at.read(
    batch(),
    said.replace(/[\d.]+/, (n) => String(Number(n) * 1.5)),
  );
  if (!read.ok) throw new Error(read.message);
  const told = event('other', 5, { is: 'otherwise', step: recipe.steps[i]!.id, as: read.as });
  expect(at.lines(batch(told))[i]).not.toBe(at.lines(batch())[i]);
  const g = (b: StoveSetup) => batchFigures(at.running(b)!, NOW, c).pot!.ml;
  expect(g(batch(told))).not.toBeCloseTo(g(batch()), 0);
});

test('what comes in is told with its allergens, of a product as of a thing that is bought', () => {
  const came = (text: string) => {
    const found = at.cameIn(batch(), text, NOW, c);
    if (!found?.ok) throw new Error(found?.message);
    return found.allergens;
  };
  expect(came('500 g trout frames')).toContain('fish');
  expect(came('1 l trout-frame fumet')).toContain('fish');
});

test('a pot is made up with stock of its own bones; with no other’s allergens, and with no bones where it has none', () => {
  const stocks = (bones: string[]) =>
    at
      .putRight(batch(), { problem: 'too little', wanted: null, sheet: { end: undefined, bones } }, NOW, c)!
      .ways.flatMap((w) => w.takes)
      .filter((t) => t.supply !== 'free')
      .map((t) => t.name);
  // Fish is cheaper, and no fish goes into venison.
  expect(stocks(['venison'])).toEqual(['Second venison stock']);
  expect(stocks([])).toEqual([]);
});
