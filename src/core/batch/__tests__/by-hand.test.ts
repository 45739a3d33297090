import type { WrittenBatchEvent } from '../../kitchen-file';
import {
  body,
  gelatinPct,
  heapLevelCm,
  levelCm,
  liquidMl,
  saltPct,
  servedMl,
  standingMl,
  type PotState,
} from '../../pot';
import { CONSTANTS } from '../../reference';
import { potOf as potOnShelf } from '../../shelf';
import { costedDemo } from '../../testing/demo';
import { hob, of, round, stuff } from '../../testing/stuff';
import { runPot, type Pot, type PotDoing } from '../../verbs';
import { batchFigures, dipOf, batchResult, leftToldOf, estimateBatch, type RunningBatch } from '..';
import { coolingOf } from '../cooling';
import { learnSpeed } from '../evaporation';
import { checkForecast } from '../forecast';
import { brixOf } from '../meters';
import { costIn } from '../pantry';
import { measuredAmount, type AmountRead } from '../readings';
import { warmHolding } from '../warm-holding';

/* Figures of a batch against sums on paper. */

const c = CONSTANTS;
const START = Date.parse('2026-03-14T08:00:00.000Z');
const at = (minutes: number): string => new Date(START + minutes * 60_000).toISOString();
const now = (minutes: number): number => START + minutes * 60_000;
let ids = 0;
const event = (minutes: number, of: object): WrittenBatchEvent =>
  ({ id: `e${(ids += 1)}`, at: at(minutes), recordedAt: at(minutes), ...of }) as WrittenBatchEvent;
const done = (minutes: number, step: string, more: object = {}) =>
  event(minutes, { is: 'done', step, ...more });

const stock = stuff('stock', 'liquid', { water: 0.95, gelatin: 0.03, salt: 0.002 });
const pan = round(32, 32, 20);
const pour = { do: 'add', what: of(stock), g: 9000 } as unknown as PotDoing;
const LINES = ['pour', 'heat', 'last'];
const batch = (steps: PotDoing[], events: WrittenBatchEvent[]): RunningBatch => ({
  pot: { vessel: pan, hob: hob(null), steps } as Pot,
  lines: LINES.slice(0, steps.length),
  startedAt: START,
  rescues: {},
  events: [done(0, 'pour'), ...events],
});

describe('money of things that come in', () => {
  const prices = new Map([
    ['usable:a', 0.002],
    ['usable:b', 0.01],
  ]);
  test('grams times what a gram costs, and nothing for water', () => {
    const takes = [
      { supply: 'usable:a', g: 500 },
      { supply: 'free', g: 3000 },
      { supply: 'usable:b', g: 30 },
    ];
    expect(costIn(prices, takes)).toBeCloseTo(1.3, 12);
    expect(costIn(prices, [])).toBe(0);
    expect(costIn(new Map(), [{ supply: 'free', g: 2 }])).toBe(0);
  });
  test('with one price unknown it is not known', () => {
    expect(
      costIn(prices, [
        { supply: 'usable:a', g: 1 },
        { supply: 'usable:c', g: 1 },
      ]),
    ).toBeNull();
  });
});

test('what a pot is in figures is what its physics say, each in its place', () => {
  const simmer = { do: 'cook', heat: 'simmer', lid: 'off', hours: 2 } as unknown as PotDoing;
  const of1 = batch([pour, simmer], []);
  const { pot } = estimateBatch(of1, now(40), c);
  const there = pot as PotState;
  expect(batchFigures(of1, now(40), c).pot).toEqual({
    ml: liquidMl(there.liquid),
    servedMl: servedMl(there),
    standingMl: standingMl(there),
    levelCm: levelCm(there),
    dipCm: dipOf(there),
    heapCm: heapLevelCm(there),
    saltPct: saltPct(there),
    gelatinPct: gelatinPct(there),
    body: body(there, c),
    brix: brixOf(there),
    celsius: there.celsius,
  });
});

test('a line that has stood beyond its end calls, and of a batch that has been over for a day nobody is called', () => {
  const simmer = { do: 'cook', heat: 'simmer', lid: 'off', hours: 1 } as unknown as PotDoing;
  const on = batch([pour, simmer], []);
  expect(batchFigures(on, now(30), c).calls).toEqual([]);
  expect(batchFigures(on, now(90), c).calls.map((x) => x.is)).toEqual(['due']);
  const over = batch([pour, simmer], [event(95, { is: 'ended', l: 8 })]);
  const later = batchFigures(over, now(95 + 3 * 24 * 60), c);
  expect(later.moment).toBeLessThan(now(95 + 3 * 24 * 60));
  expect(later.calls).toEqual([]);
});

test('reducing by a share is by a share of what was there at first, however long it has stood', () => {
  const share = {
    do: 'reduce',
    heat: 'brisk boil',
    lid: 'off',
    to: { until: 'share', value: 0.5 },
  } as unknown as PotDoing;
  const first = liquidMl((estimateBatch(batch([pour, share], []), now(0), c).pot as PotState).liquid);
  const ml = {
    do: 'reduce',
    heat: 'brisk boil',
    lid: 'off',
    to: { until: 'ml', value: first / 2 },
  } as unknown as PotDoing;
  for (const minutes of [0, 10, 25]) {
    const [a, b] = [share, ml].map((step) => estimateBatch(batch([pour, step], []), now(minutes), c));
    expect(a!.left!.middle).toBeCloseTo(b!.left!.middle, 3);
    expect(liquidMl(a!.then!.liquid) / (first / 2)).toBeCloseTo(1, 2);
  }
});

describe('hands', () => {
  const { state, costing, c: own } = costedDemo();
  const recipe = state.recipes.find((r) => r.name === 'Juniper sauce')!;
  const pot = potOnShelf(recipe, costing.shelf);
  const run = runPot(pot, own);
  const told = (minutes: Readonly<Record<number, number>>, also: WrittenBatchEvent[] = []): RunningBatch => ({
    pot,
    lines: recipe.steps.map((s) => s.id!),
    startedAt: START,
    rescues: {},
    events: [
      ...recipe.steps.map((s, i) =>
        done(i * 10, s.id!, minutes[i] === undefined ? {} : { handsMin: minutes[i] }),
      ),
      ...also,
    ],
  });
  const hours = (of: RunningBatch) =>
    batchResult(of, { run }, undefined, (key) => costing.graph.cost(key as never), own)!.handsHours;
  const should = run.rows.reduce((sum, r) => sum + r.handsHours, 0);

  test('are as they were told of each line, and the sheet’s where nobody told', () => {
    expect(hours(told({}))).toEqual([expect.closeTo(should, 9), expect.closeTo(should, 9)]);
    const [really, planned] = hours(told({ 1: 30, 3: 0 }));
    const want = should - run.rows[1]!.handsHours - run.rows[3]!.handsHours + 0.5;
    expect(really).toBeCloseTo(want, 9);
    expect(planned).toBeCloseTo(should, 9);
  });

  test('minutes that stand at another event are nobody’s hands', () => {
    const stray = event(15, { is: 'otherwise', step: recipe.steps[1]!.id, handsMin: 90 });
    expect(hours(told({}, [stray as never]))[0]).toBeCloseTo(should, 9);
  });
});

describe('cooling', () => {
  const LIMITS = [
    { toC: 40, withinH: 2 },
    { toC: 5, withinH: 6 },
  ];
  const read = (h: number, celsius: number) => event(h * 60, { is: 'degrees', celsius });

  test('its likeliest course goes down from where it was last known to past the last limit', () => {
    const events = [event(0, { is: 'off' }), read(0.5, 80), read(1, 66), read(1.5, 54)];
    const cooling = coolingOf(events, LIMITS, now(90))!;
    const { course } = cooling;
    expect(course.length).toBeGreaterThan(20);
    expect(course.at(-1)![0]).toBeCloseTo(6, 9);
    for (const [n, [h, celsius]] of course.entries()) {
      if (n === 0) continue;
      expect(h).toBeGreaterThan(course[n - 1]![0]);
      expect(celsius).toBeLessThan(course[n - 1]![1]);
    }
    // At 1.5 h it is near the last reading.
    const near = course.reduce((a, b) => (Math.abs(b[0] - 1.5) < Math.abs(a[0] - 1.5) ? b : a));
    expect(Math.abs(near[1] - 54)).toBeLessThan(4);
    // Looked at later than any limit it is drawn a fifth further than that.
    expect(coolingOf(events, LIMITS, now(600))!.course.at(-1)![0]).toBeCloseTo(12, 9);
    expect(coolingOf([event(0, { is: 'off' })], [], now(1))!.course.at(-1)![0]).toBeCloseTo(1, 9);
  });
});

describe('held hot and warmed again', () => {
  const RULES = { reheat: { toC: 75, withinH: 1 }, holdAtC: 63 };
  const read = (h: number, celsius: number) => event(h * 60, { is: 'degrees', celsius });
  const held = (...reads: WrittenBatchEvent[]) =>
    warmHolding([event(0, { is: 'holding' }), ...reads], RULES, now(240))!.at;

  test('where its last readings go is the line of least squares through them', () => {
    // Two degrees an hour down from 71 at 1 h: 63 four hours later.
    const fell = held(read(0, 73), read(0.5, 72), read(1, 71))!;
    expect(fell.middle).toBeCloseTo(5, 6);
    // The slope's error is 1 °C over the spread of the hours.
    const sd = 1 / Math.sqrt(0.5);
    expect(fell.low).toBeCloseTo(1 + 8 / (2 + 1.2816 * sd), 4);
    expect(fell.high).toBeCloseTo(1 + 8 / (2 - 1.2816 * sd), 4);
    const slow = held(read(0, 72), read(0.5, 71.5), read(1, 71))!;
    expect([slow.middle, slow.high]).toEqual([expect.closeTo(9, 6), Infinity]);
    const steep = held(read(0, 95), read(0.5, 87), read(1, 79))!;
    expect(steep.middle).toBeCloseTo(2, 6);
    expect(steep.low).toBeCloseTo(1 + 16 / (16 + 1.2816 * sd), 4);
    expect(steep.high).toBeCloseTo(1 + 16 / (16 - 1.2816 * sd), 4);
  });

  test('that it might fall is told, though it more likely rises; where it surely rises nothing is', () => {
    const may = held(read(0, 70), read(0.5, 70), read(1, 70))!;
    expect(may.middle).toBe(Infinity);
    expect(may.low).toBeLessThan(Infinity);
    expect(held(read(0, 65), read(0.5, 70), read(1, 75))).toBeUndefined();
    expect(held(read(1, 70))).toBeUndefined();
    expect(held(read(1, 70), read(1, 71))).toBeUndefined();
  });
});

describe('what stays behind', () => {
  const { state, costing, c: own } = costedDemo();
  const ingredient = (name: string) => state.ingredients.find((i) => i.name === name)!;
  const { vessel, hob: on } = state.recipes.find((r) => r.name === 'Venison bone stock')!;

  test('at a strainer it is of the solids that keep most, whichever went in first', () => {
    const bones = ingredient('Venison bones');
    const onion = ingredient('Onion');
    // Three kilos of the one against half a kilo of the other: by grams kept, not by name or order.
    const most = (first: string, second: string) => {
      const add = (id: string) => ({
        do: 'add',
        of: { ingredient: id },
        amount: id === bones.id ? '3 kg' : '500 g',
      });
      const steps = [
        { do: 'water', amount: '6 l' },
        add(first),
        add(second),
        { do: 'strain', through: 'colander', pressed: false },
      ].map((s, i) => ({ ...s, id: `line ${i}` })) as never;
      const lines = [0, 1, 2, 3].map((i) => `line ${i}`);
      const ticks = lines.map((step, i) => done(2 * i + 1, step));
      const running = (events: WrittenBatchEvent[]): RunningBatch => ({
        pot: potOnShelf({ vessel, hob: on, steps }, costing.shelf),
        lines,
        startedAt: START,
        rescues: {},
        events,
      });
      const ml = (n: number, minutes: number) =>
        batchFigures(running(ticks.slice(0, n)), now(minutes), own).pot!.ml / 1000;
      const reads = [event(6, { is: 'litres', l: ml(3, 6) }), event(8, { is: 'litres', l: ml(4, 8) })];
      return leftToldOf(running([...ticks, ...reads]), own);
    };
    expect(bones.retentionMlPerKg * 3).toBeGreaterThan(onion.retentionMlPerKg * 0.5);
    for (const told of [most(bones.id, onion.id), most(onion.id, bones.id)]) {
      expect(told).toMatchObject([{ kind: 'keeps', of: bones.id }]);
      expect(told[0]!.times).toBeCloseTo(1, 1);
    }
  });
});

describe('readings against sums on paper', () => {
  const simmer = { do: 'cook', heat: 'simmer', lid: 'off', hours: 2 } as unknown as PotDoing;
  const litresAt = (events: WrittenBatchEvent[], minutes: number): number =>
    estimateBatch(batch([pour, simmer], events), now(minutes), c).ml!.middle;

  test('a scale that shows 8.6 kg of a pot put at 9 kg pulls it nearly there: it errs by 0.5 %, pouring by 1.5 %', () => {
    const pot = estimateBatch(batch([pour, simmer], []), now(0), c).pot as PotState;
    const read = { is: 'kilos', kg: 8.6, id: 'k', at: at(0), recordedAt: at(0) } as WrittenBatchEvent;
    const measured = measuredAmount(read as AmountRead, pot);
    expect(measured.value).toBe(8600);
    expect(measured.sd).toBeCloseTo(43, 9);
    const [poured, scale] = [1 / 135 ** 2, 1 / 43 ** 2];
    const off = (-400 * scale) / (poured + scale);
    const after = litresAt([event(1, { is: 'kilos', kg: 8.6 })], 1);
    expect((after - litresAt([], 1)) / off).toBeGreaterThan(0.9);
    expect((after - litresAt([], 1)) / off).toBeLessThan(1.1);
  });

  test('how sure the litres are after one reading: the two errors, as precisions, add up', () => {
    const pot = estimateBatch(batch([pour, simmer], []), now(0), c).pot as PotState;
    const read = { is: 'kilos', kg: 9, id: 'k', at: at(0), recordedAt: at(0) } as AmountRead;
    const { offSd } = learnSpeed([{ times: 1, weight: 1 }], [read], [[pot]], 135);
    expect(offSd).toBeCloseTo(1 / Math.sqrt(1 / 135 ** 2 + 1 / 45 ** 2), 6);
  });
  test('in whatever order events reach the server, the pot is the same', () => {
    const events = [
      event(20, { is: 'litres', l: 8.7 }),
      event(40, { is: 'litres', l: 8.2 }),
      event(60, { is: 'litres', l: 7.9 }),
    ];
    expect(litresAt([events[2]!, events[0]!, events[1]!], 70)).toBe(litresAt(events, 70));
    // Two at one moment stand by their id, so that two tablets show the same.
    const twins = [
      { ...event(30, { is: 'litres', l: 8.9 }), id: 'a' },
      { ...event(30, { is: 'litres', l: 8.4 }), id: 'b' },
    ] as WrittenBatchEvent[];
    expect(litresAt([...twins].reverse(), 40)).toBe(litresAt(twins, 40));
  });
});

test('limits of cooling are those of the kitchen, and without any there are none', () => {
  const simmer = { do: 'cook', heat: 'simmer', lid: 'off', hours: 1 } as unknown as PotDoing;
  const off = batch([pour, simmer], [done(61, 'heat'), event(62, { is: 'off' })]);
  const limits = [{ toC: 21, withinH: 2 }];
  expect(
    batchFigures(off, now(70), { ...c, coolingLimits: limits }).cooling?.limits.map((l) => l.toC),
  ).toEqual([21]);
  expect(batchFigures(off, now(70), { ...c, coolingLimits: undefined }).cooling?.limits).toEqual([]);
});

test('a forecast is checked line by line and by the litres made, to the minute and half a per cent', () => {
  const forecast = {
    lines: [{ step: 'heat', hours: { low: 1, middle: 1.1, high: 1.2 } }],
    l: { low: 7, middle: 7.2, high: 7.4 },
  };
  const of = batch([pour, { do: 'rest' } as unknown as PotDoing], [done(65, 'heat')]);
  const checks = checkForecast(forecast as never, of as never, 7.5);
  expect(checks.map((k) => [k.of, k.within])).toEqual([
    ['hours', true],
    ['litres', false],
  ]);
  expect(checkForecast(forecast as never, of as never, 7.1).at(-1)).toMatchObject({
    of: 'litres',
    within: true,
  });
  expect(checkForecast(forecast as never, of as never, undefined).map((k) => k.of)).toEqual(['hours']);
});
