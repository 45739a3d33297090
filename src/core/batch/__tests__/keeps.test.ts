import { costKitchen } from '../../costing';
import type { WrittenBatchEvent } from '../../kitchen-file';
import { historyFrom, ownConstants, stateFrom } from '../../kitchen-state';
import { isIdle, type ProcessConstants } from '../../pot';
import { CONSTANTS } from '../../reference';
import { potOf } from '../../shelf';
import { demoKitchen } from '../../testing/demo';
import { batchFigures, keptToldOf, timesTaught, type Running } from '..';

const DAY = '2026-03-14';
const file = demoKitchen();
const state = stateFrom(file);
const costing = costKitchen(state, DAY, CONSTANTS, historyFrom(file, DAY));
const c = ownConstants(state.kitchen, CONSTANTS);
const MINUTE = 60_000;
const START = Date.parse('2026-03-14T06:00:00.000Z');
const recipe = state.recipes.find((r) => r.name === 'Venison bone stock')!;
const pot = potOf(recipe, costing.shelf);
const strain = recipe.steps.findIndex((s) => s.do === 'strain');
const bones = state.ingredients.find((i) => i.name === 'Venison bones')!;

/** The same pot, its bones keeping so many times as much. */
const keeping = (times: number): Running['pot'] => ({
  ...pot,
  steps: pot.steps.map((s) => {
    if (s.do !== 'add' || s.what.is !== 'stuff' || s.what.stuff.id !== bones.id) return s;
    const { stuff } = s.what;
    const more = { retention: stuff.retention * times, retentionPressed: stuff.retentionPressed * times };
    return { ...s, what: { ...s.what, stuff: { ...stuff, ...more } } };
  }),
});

const event = (minutes: number, id: string, of: object) =>
  ({
    id,
    at: new Date(START + minutes * MINUTE).toISOString(),
    recordedAt: new Date(START + minutes * MINUTE).toISOString(),
    ...of,
  }) as WrittenBatchEvent;

/** When each line up to the strain is done: the simmer as long as it says. */
function ticks(): WrittenBatchEvent[] {
  let at = 0;
  return pot.steps.slice(0, strain + 1).flatMap((s, i) => {
    if (isIdle(s)) return [];
    at += s.do === 'cook' ? s.hours * 60 : 2;
    return [event(at, `d${i}`, { is: 'done', step: recipe.steps[i]!.id })];
  });
}
const running = (of: Running['pot'], events: readonly WrittenBatchEvent[]): Running => ({
  pot: of,
  lines: recipe.steps.map((s) => s.id!),
  startedAt: START,
  rescues: {},
  events,
});

/** Litres read before and after the strain of a pot whose bones truly keep so much. */
function read(times: number, constants: ProcessConstants): Running {
  const done = ticks();
  const strained = Date.parse(done.at(-1)!.at);
  const ml = (events: readonly WrittenBatchEvent[], ms: number): number =>
    batchFigures(running(keeping(times), events), ms, constants).pot!.ml;
  const before = ml(done.slice(0, -1), strained - MINUTE);
  const after = ml(done, strained + MINUTE);
  const minutes = (strained - START) / MINUTE;
  return running(pot, [
    ...done,
    event(minutes - 1, 'before', { is: 'litres', l: before / 1000 }),
    event(minutes + 1, 'after', { is: 'litres', l: after / 1000 }),
  ]);
}

test('there is such a pot: bones, that keep some, and a strainer', () => {
  expect(bones.retentionMlPerKg).toBeGreaterThan(0);
  expect(JSON.stringify(keeping(2)) === JSON.stringify(pot)).toBe(false);
});

test.each([0.7, 1, 1.5])('bones that keep %s times as much are told to, and by which they are', (times) => {
  const [told, ...more] = keptToldOf(read(times, c), c);
  expect(more).toEqual([]);
  expect(told!.of).toBe(bones.id);
  expect(Math.abs(told!.times - times)).toBeLessThan(0.15);
});

test('a strain that was read on one side alone says nothing', () => {
  const of = read(1.5, c);
  for (const side of ['before', 'after'])
    expect(keptToldOf({ ...of, events: of.events.filter((e) => e.id !== side) }, c)).toEqual([]);
});

test('a strain with which it ended is read by the litres that were told then; where none were told it says nothing', () => {
  const of = read(1.5, c);
  const after = of.events.find((e) => e.id === 'after') as WrittenBatchEvent & { readonly l: number };
  const whole = {
    ...of,
    lines: of.lines.slice(0, strain + 1),
    pot: { ...of.pot, steps: of.pot.steps.slice(0, strain + 1) },
  };
  const ended = (l: object) => ({
    ...whole,
    events: [
      ...of.events.filter((e) => e !== after),
      { ...after, id: 'end', is: 'ended', l: undefined, ...l } as never,
    ],
  });
  expect(Math.abs(keptToldOf(ended({ l: after.l }), c)[0]!.times - 1.5)).toBeLessThan(0.15);
  expect(keptToldOf(ended({}), c)).toEqual([]);
});

test('a lesson that is less sure counts less', () => {
  const lesson = (batch: string, times: number, sd: number) => ({
    batch,
    of: 'bones',
    times,
    sd,
    leftOut: undefined,
  });
  const [sure] = timesTaught('keeps', [lesson('a', 1, 0.05), lesson('b', 1.6, 0.05)]);
  const [rough] = timesTaught('keeps', [lesson('a', 1, 0.05), lesson('b', 1.6, 0.7)]);
  expect(rough!.learned!.mean).toBeLessThan(sure!.learned!.mean);
});
