import fc from 'fast-check';
import { waysOf, countedPerLitre, figuresOfWays, SnapshotPots } from '../../compare';
import { costKitchen } from '../../costing';
import type { KitchenFile, WrittenAsks } from '../../kitchen-file';
import { historyFrom, ownConstants, stateFrom } from '../../kitchen-state';
import { CONSTANTS, processConstants, REFERENCE } from '../../reference';
import { cases } from '../../testing/cases';
import { demoKitchen } from '../../testing/demo';
import {
  BAND_STEP_H,
  bandOf,
  boilsId,
  drawn,
  importance,
  pertOf,
  rangesOf,
  SIMULATED,
  Simulation,
  type SimulationSetup,
  type SimulatedFigure,
  type Uncertain,
} from '..';

/*
 * Each drawn figure against a slow, plain calculation: the figure is written into a kitchen's file, and the kitchen is costed
 * from nothing. No code of the draws is in it.
 */

const DAY = '2026-03-14';
const LAYERS = ['ingredients', 'energy'] as const;
const demo = demoKitchen();
const recipeCalled = (name: string) => demo.recipes.find((r) => r.name === name)!;
const vesselOf = (name: string) => demo.vessels.find((v) => v.id === recipeCalled(name).vessel)!;

/** What one of the demo's pots has taught of its long simmer. */
const TAUGHT = { heat: 'bare simmer', lid: 'off', times: 1.2, sd: 0.1, batches: 6, on: DAY } as const;
vesselOf('Crab shell stock').boils = [TAUGHT, { ...TAUGHT, heat: 'simmer', times: 0.9 }];

const pressed = (name: string): WrittenAsks => ({
  of: 'press',
  recipe: recipeCalled(name).id,
  line: recipeCalled(name).steps.find((s) => s.do === 'strain')!.id!,
});
const press = pressed('Venison bone stock');
// These take nothing from a batch before them.
const shells = pressed('Crab shell stock');
const fumet = pressed('Trout-frame fumet');
const mutton = pressed('Mutton broth');
const broth = pressed('Duck broth');
const bought = demo.questions.find((q) => q.name.startsWith('Game base'))!.asks;

function costed(file: KitchenFile, constants = CONSTANTS) {
  const past = historyFrom(file, DAY);
  return { past, costing: costKitchen(stateFrom(file), DAY, constants, past) };
}

/** What a question comes to in a kitchen, worked out from its file alone. */
function plainly(file: KitchenFile, asks: WrittenAsks, constants = CONSTANTS): number[][] {
  const { costing } = costed(file, constants);
  const made = waysOf(costing, [], asks, constants);
  if (!made.ok) throw new Error(made.trouble.message);
  const c = { ...ownConstants(costing.state.kitchen, constants), stepH: BAND_STEP_H };
  // The ways are those that were asked about: a target is not another one because a figure turned out otherwise.
  return figuresOfWays(new SnapshotPots(made.value.apart), setupOf(asks).ways, c).map((f) => {
    const money = (of: typeof f.perL | null): number => (of && countedPerLitre(of, LAYERS)) ?? NaN;
    return [f.litres, f.saltPct, f.body, f.elapsedHours, money(f.perL), money(f.perPortion)];
  });
}

const setups = new Map<string, SimulationSetup>();
function setupOf(asks: WrittenAsks): SimulationSetup {
  const key = JSON.stringify(asks);
  const known = setups.get(key);
  if (known) return known;
  const { costing, past } = costed(demo);
  const made = waysOf(costing, [], asks, CONSTANTS);
  if (!made.ok) throw new Error(made.trouble.message);
  const { apart, ways } = made.value;
  const uncertain = rangesOf(costing, (article) => past.article(article).points, apart, ways, CONSTANTS);
  const setup: SimulationSetup = { apart, ways, uncertain, layers: [...LAYERS], seed: 3, stepH: BAND_STEP_H };
  setups.set(key, setup);
  return setup;
}

/** The kitchen, or the constants, with one figure written as it was drawn. */
function written(u: Uncertain, value: number): { file: KitchenFile; constants: typeof CONSTANTS } {
  const file = structuredClone(demo);
  const ingredient = file.ingredients.find((i) => i.id === u.id)!;
  let constants = CONSTANTS;
  const priced = (times: number): void => {
    const own = new Set(file.articles.filter((a) => a.ingredient === u.id).map((a) => a.id));
    for (const a of file.articles)
      if (own.has(a.id)) for (const q of a.quotes) q.price = (Number(q.price) * times).toFixed(12);
    for (const p of file.purchases)
      for (const l of p.lines)
        if (l.is === 'goods' && own.has(l.article)) l.packPrice = (Number(l.packPrice) * times).toFixed(12);
  };
  switch (u.kind) {
    case 'constant':
      constants = processConstants(new Map(REFERENCE).set(u.id, { ...REFERENCE.get(u.id)!, value }));
      break;
    case 'price':
      priced(value);
      break;
    case 'yield':
      // No more than what its trim leaves.
      for (const y of ingredient.yields) y.usablePct = Math.min(value, 100 - y.stockTrimPct);
      break;
    case 'gelatin':
      ingredient.gelatin!.gPerKg = value;
      break;
    case 'retention':
      ingredient.cooked = [];
      if (u.pressedToo) ingredient.retentionPressedMlPerKg *= value / u.value;
      ingredient.retentionMlPerKg = value;
      break;
    case 'retention pressed':
      ingredient.cooked = [];
      ingredient.retentionPressedMlPerKg = value;
      break;
    case 'dissolved':
      ingredient.composition.gelatin = value;
      break;
    case 'power':
      file.hobs.find((h) => h.id === u.id)!.netKw = value;
      break;
    case 'boils': {
      const of = file.vessels.find((v) => u.id.startsWith(v.id))!;
      of.boils = of.boils!.map((b) => (boilsId(of, b) === u.id ? { ...b, times: value } : b));
      break;
    }
  }
  return { file, constants };
}

/** To the last digits but for the rounding of prices in a file. */
const EXACTLY = 1e-6;
/** What a last batch left is the sheet's whatever is drawn, and so is what a litre of something bought weighs. */
const BUT_FOR_THAT = 5e-3;

/** A figure of each kind, where one is drawn; which way what it moves goes as it grows; and how near the plain calculation is. */
const KINDS: readonly (readonly [
  Uncertain['kind'],
  WrittenAsks,
  string,
  SimulatedFigure,
  1 | 0 | -1,
  number,
])[] = [
  ['constant', shells, 'cling_cone_sieve', 'litres', -1, EXACTLY],
  ['price', press, 'Venison bones', 'perL', 1, EXACTLY],
  // Of these only trim is in the pot, at a value the house has set: whatever is paid or usable moves nothing.
  ['price', shells, 'Fennel', 'perL', 0, EXACTLY],
  ['yield', press, '', 'perL', -1, EXACTLY],
  ['yield', press, 'Celeriac', 'perL', -1, EXACTLY],
  ['yield', mutton, 'Celery', 'perL', -1, EXACTLY],
  ['yield', fumet, 'Leek', 'perL', 0, EXACTLY],
  ['gelatin', broth, 'Duck carcass', 'body', 1, EXACTLY],
  ['retention', shells, 'Crab shells, picked', 'litres', -1, EXACTLY],
  ['retention', press, 'Venison bones', 'litres', -1, BUT_FOR_THAT],
  ['dissolved', bought, '', 'body', 1, BUT_FOR_THAT],
  ['power', press, '', 'elapsedHours', -1, EXACTLY],
  ['boils', shells, '', 'litres', -1, EXACTLY],
];

describe.each(KINDS)('%s, %j, %s', (kind, asks, name, moves, direction, near) => {
  const setup = setupOf(asks);
  const u = setup.uncertain.find((x) => x.kind === kind && (name === '' || x.name === name));
  if (!u) throw new Error(`no ${kind} of ${name} is drawn`);

  test('each draw is what the kitchen says with that figure written into it', () => {
    const trials = new Simulation({ ...setup, uncertain: [u] });
    const values = [0, 1, 2].map((n) => trials.drawnIn(n)[0]!);
    expect(new Set(values).size).toBe(3);
    for (const [n, value] of values.entries()) {
      const { file, constants } = written(u, value);
      const plain = plainly(file, asks, constants).flat();
      for (const [k, found] of trials.tell(n).entries()) {
        const want = plain[k]!;
        const what = `${SIMULATED[k % SIMULATED.length]} of way ${Math.floor(k / SIMULATED.length)}`;
        if (Number.isNaN(want)) expect([what, found]).toEqual([what, NaN]);
        else expect([what, Math.abs(found / want - 1) < near ? want : found]).toEqual([what, want]);
      }
    }
  });

  const does = direction === 0 ? 'no other' : direction > 0 ? 'more' : 'less';
  test(`more of it is ${does} ${moves}`, () => {
    const at = SIMULATED.indexOf(moves);
    const trials = new Simulation({ ...setup, uncertain: [u] });
    const made = Array.from({ length: 12 }, (_, n) => [trials.drawnIn(n)[0]!, trials.tell(n)] as const);
    made.sort((a, b) => a[0] - b[0]);
    const moved = setup.ways.map((_, w) => {
      const along = made.map(([, told]) => told[w * SIMULATED.length + at]!);
      return (along.at(-1)! - along[0]!) * (direction || 1);
    });
    if (direction === 0) return expect(Math.max(...moved.map(Math.abs))).toBeLessThan(1e-12);
    for (const by of moved) expect(by).toBeGreaterThanOrEqual(-1e-12);
    expect(Math.max(...moved)).toBeGreaterThan(0);
  });
});

describe('bands', () => {
  const number = fc.oneof(
    fc.double({ min: -50, max: 50, noNaN: true }),
    fc.constant(NaN),
    fc.integer({ min: -3, max: 3 }),
  );

  test('10, 50 and 90 % points are those of the sorted trials, counted by hand', () => {
    expect(bandOf(Float64Array.from({ length: 11 }, (_, i) => 10 - i))).toEqual({
      low: 1,
      middle: 5,
      high: 9,
    });
    expect(bandOf(Float64Array.of(4))).toEqual({ low: 4, middle: 4, high: 4 });
    expect(bandOf(Float64Array.of(0, 10))).toEqual({ low: 1, middle: 5, high: 9 });
    fc.assert(
      fc.property(fc.array(number, { minLength: 1, maxLength: 60 }), (values) => {
        const sorted = values.filter((v) => !Number.isNaN(v)).sort((a, b) => a - b);
        const point = (p: number): number => {
          const at = p * (sorted.length - 1);
          const [below, above] = [sorted[Math.floor(at)]!, sorted[Math.ceil(at)]!];
          return below + (at - Math.floor(at)) * (above - below);
        };
        const band = bandOf(Float64Array.from(values));
        if (sorted.length === 0) return expect(band).toBeUndefined();
        for (const [found, want] of [
          [band!.low, point(0.1)],
          [band!.middle, point(0.5)],
          [band!.high, point(0.9)],
        ] as const)
          expect(found).toBeCloseTo(want, 9);
      }),
      { numRuns: cases(400) },
    );
  });

  test('10 and 90 % points of a drawn figure are those of its density summed in a hundred thousand steps', () => {
    for (const [value, low, high] of [
      [5, 4, 9],
      [100, 60, 110],
      [0.3, 0.28, 0.33],
      [1, 0.2, 1.1],
    ] as const) {
      const pert = pertOf(value, low, high);
      const t = (value - pert.least) / (pert.most - pert.least);
      const N = 100_000;
      const density = (x: number): number => x ** (4 * t) * (1 - x) ** (4 * (1 - t));
      let all = 0;
      for (let i = 0; i < N; i += 1) all += density((i + 0.5) / N);
      const found: number[] = [];
      let sum = 0;
      for (let i = 0; i < N; i += 1) {
        sum += density((i + 0.5) / N);
        for (const p of [0.05, 0.1, 0.5, 0.9, 0.95])
          if (sum >= p * all && sum - density((i + 0.5) / N) < p * all)
            found.push(pert.least + ((i + 1) / N) * (pert.most - pert.least));
      }
      const width = high - low;
      for (const [k, p] of [0.05, 0.1, 0.5, 0.9, 0.95].entries())
        expect(Math.abs(drawn(pert, p) - found[k]!) / width).toBeLessThan(2e-3);
      expect(Math.abs(found[0]! - low) / width).toBeLessThan(2e-3);
      expect(Math.abs(found[4]! - high) / width).toBeLessThan(2e-3);
    }
  });

  test('how much each figure accounts for comes to an end whatever is no number, and leaves that out', () => {
    const a = Float64Array.of(1, 2, 3, 4, 5, NaN);
    const b = Float64Array.of(NaN, NaN, NaN, NaN, NaN, NaN);
    const c = Float64Array.of(2, 1, 2, 1, 2, 1);
    expect(importance([a, b], Float64Array.of(10, 20, 30, 40, 50, 60))).toEqual([1, 0]);
    expect(importance([b], Float64Array.of(1, 2, 3, 4, 5, 6))).toEqual([0]);
    expect(importance([a, c], Float64Array.of(NaN, NaN, NaN, NaN, NaN, NaN))).toEqual([0, 0]);
    fc.assert(
      fc.property(fc.array(fc.tuple(number, number, number), { maxLength: 40 }), (rows) => {
        const column = (k: 0 | 1 | 2): Float64Array => Float64Array.from(rows, (r) => r[k]);
        const shares = importance([column(0), column(1)], column(2));
        for (const share of shares) expect(share).toBeGreaterThanOrEqual(0);
        const sum = shares.reduce((x, y) => x + y, 0);
        expect(sum === 0 || Math.abs(sum - 1) < 1e-9).toBe(true);
      }),
      { numRuns: cases(300) },
    );
  });

  test('ranks are those of a plain count: squared correlations of them, shared to one', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.integer({ min: 0, max: 6 }),
            fc.integer({ min: 0, max: 6 }),
            fc.integer({ min: 0, max: 6 }),
          ),
          {
            minLength: 3,
            maxLength: 25,
          },
        ),
        (rows) => {
          const column = (k: 0 | 1 | 2): number[] => rows.map((r) => r[k]);
          const rank = (v: number[]): number[] =>
            v.map((x) => v.filter((y) => y < x).length + (v.filter((y) => y === x).length - 1) / 2);
          const mean = (v: number[]): number => v.reduce((x, y) => x + y, 0) / v.length;
          const rho = (v: number[], w: number[]): number => {
            const [mv, mw] = [mean(v), mean(w)];
            const s = (f: (i: number) => number): number => v.reduce((sum, _, i) => sum + f(i), 0);
            const below = s((i) => (v[i]! - mv) ** 2) * s((i) => (w[i]! - mw) ** 2);
            return below > 0 ? s((i) => (v[i]! - mv) * (w[i]! - mw)) / Math.sqrt(below) : 0;
          };
          const squares = [0, 1].map((k) => rho(rank(column(k as 0 | 1)), rank(column(2))) ** 2);
          const all = squares[0]! + squares[1]!;
          const found = importance(
            [Float64Array.from(column(0)), Float64Array.from(column(1))],
            Float64Array.from(column(2)),
          );
          for (const [k, share] of found.entries())
            expect(share).toBeCloseTo(all > 0 ? squares[k]! / all : 0, 9);
        },
      ),
      { numRuns: cases(200) },
    );
  });
});
