import fc from 'fast-check';
import { cases } from '../../testing/cases';
import { waysOf, figuresOfWays, SnapshotPots } from '../../compare';
import { costKitchen } from '../../costing';
import { historyFrom, ownConstants, stateFrom } from '../../kitchen-state';
import { CONSTANTS } from '../../reference';
import { demoKitchen } from '../../testing/demo';
import {
  BAND_STEP_H,
  bandOf,
  checkRange,
  Draws,
  drawn,
  simulatedFigure,
  importance,
  pertOf,
  rangesOf,
  SIMULATED,
  Simulation,
  wins,
  type SimulationSetup,
  type SimulatedFigure,
} from '..';

const range = fc
  .tuple(
    fc.double({ min: 0.1, max: 50, noNaN: true }),
    fc.double({ min: 0.01, max: 40, noNaN: true }),
    fc.double({ min: 0.02, max: 0.98, noNaN: true }),
  )
  .map(([low, width, share]) => ({ low, value: low + width * share, high: low + width }));

test('a figure lies below its low one time in twenty, and above its high', () => {
  fc.assert(
    fc.property(range, ({ value, low, high }) => {
      const pert = pertOf(value, low, high);
      const width = high - low;
      expect(Math.abs(drawn(pert, 0.05) - low) / width).toBeLessThan(2e-3);
      expect(Math.abs(drawn(pert, 0.95) - high) / width).toBeLessThan(2e-3);
      // The mode: nowhere do values lie closer together.
      const density = (u: number): number => 0.01 / (drawn(pert, u + 0.005) - drawn(pert, u - 0.005));
      const us = Array.from({ length: 97 }, (_, i) => 0.015 + i / 100);
      const densest = us.reduce((a, b) => (density(b) > density(a) ? b : a));
      expect(Math.abs(drawn(pert, densest) - value) / width).toBeLessThan(0.06);
    }),
    { numRuns: cases(40) },
  );
});

test('sums of figures: mean and spread are those of the closed form, and importance is their share of the variance', () => {
  // Of a PERT with mode m between a and b: mean (a + 4m + b) / 6, variance (mean − a)(b − mean) / 7.
  fc.assert(
    fc.property(
      fc.array(range, { minLength: 2, maxLength: 6 }),
      fc.integer({ min: 1, max: 1e6 }),
      (ranges, seed) => {
        const perts = ranges.map((r) => pertOf(r.value, r.low, r.high));
        const N = 4000;
        const draws = new Draws(perts.length, seed);
        const values = perts.map((p, j) =>
          Float64Array.from({ length: N }, (_, n) => drawn(p, draws.at(n, j))),
        );
        const sum = Float64Array.from({ length: N }, (_, n) => values.reduce((s, v) => s + v[n]!, 0));
        const means = perts.map((p, i) => (p.least + 4 * ranges[i]!.value + p.most) / 6);
        const vars = perts.map((p, i) => ((means[i]! - p.least) * (p.most - means[i]!)) / 7);
        const mean = means.reduce((a, b) => a + b);
        const variance = vars.reduce((a, b) => a + b);
        const found = sum.reduce((a, b) => a + b) / N;
        const spread = sum.reduce((a, b) => a + (b - found) ** 2, 0) / N;
        expect(Math.abs(found - mean)).toBeLessThan(0.03 * Math.sqrt(variance));
        // In 1,200 cases the variance was off by 0.7 % in the middle and by 7 % at most.
        expect(Math.abs(spread / variance - 1)).toBeLessThan(0.1);
        // Ranks say what shares the variance to some hundredths: by 0.05 at most in those cases.
        for (const [i, share] of importance(values, sum).entries())
          expect(Math.abs(share - vars[i]! / variance)).toBeLessThan(0.08);
      },
    ),
    { numRuns: cases(25) },
  );
});

test('a wider range is never a narrower band: alone it is as much wider, beside another no narrower than draws can tell', () => {
  fc.assert(
    fc.property(range, range, fc.double({ min: 1.05, max: 3, noNaN: true }), (a, b, wider) => {
      const bandWith = (stretch: number, beside: number): number => {
        const wide = pertOf(
          a.value,
          a.value - (a.value - a.low) * stretch,
          a.value + (a.high - a.value) * stretch,
        );
        const other = pertOf(b.value, b.low, b.high);
        const draws = new Draws(2, 7);
        const band = bandOf(
          Float64Array.from(
            { length: 2000 },
            (_, n) => drawn(wide, draws.at(n, 0)) + beside * drawn(other, draws.at(n, 1)),
          ),
        );
        return (band?.high ?? NaN) - (band?.low ?? NaN);
      };
      expect(bandWith(wider, 0) / bandWith(1, 0) / wider).toBeCloseTo(1, 6);
      // 2,000 draws say the 10 and 90 % points of two together to about a hundredth of the band.
      expect(bandWith(wider, 1)).toBeGreaterThan(bandWith(1, 1) * 0.97);
    }),
    { numRuns: cases(30) },
  );
});

test('trials that came to nothing count in no band, and a way that came to nothing wins none', () => {
  expect(bandOf(Float64Array.of(NaN, NaN))).toBeUndefined();
  expect(bandOf(Float64Array.of(3, NaN, 3))).toEqual({ low: 3, middle: 3, high: 3 });
  expect(wins([Float64Array.of(1, NaN, 3, NaN), Float64Array.of(2, 2, 2, NaN)])).toEqual([1 / 3, 2 / 3]);
  expect(wins([Float64Array.of(1, 1), Float64Array.of(2, 2)], [false, true])).toEqual([0, 1]);
  expect(wins([Float64Array.of(NaN), Float64Array.of(NaN)])).toEqual([0, 0]);
});

test('of two that cost the same the one named first is the cheapest', () => {
  expect(wins([Float64Array.of(1, 3), Float64Array.of(1, 2), Float64Array.of(1, 2)])).toEqual([0.5, 0.5, 0]);
});

test('of one way one figure stands there once for each trial', () => {
  const [ways, trials] = [3, 4];
  const values = Float64Array.from({ length: ways * SIMULATED.length * trials }, (_, i) => i);
  for (const [at, told] of SIMULATED.entries())
    expect([...simulatedFigure(values, ways, 2, told)]).toEqual(
      Array.from({ length: trials }, (_, n) => (n * ways + 2) * SIMULATED.length + at),
    );
});

test('a value at the end of its own range is drawn, to the other side', () => {
  for (const [value, low, high] of [
    [4, 4, 9],
    [9, 4, 9],
  ] as const) {
    const pert = pertOf(value, low, high);
    expect(drawn(pert, 0.05)).toBeCloseTo(low, 1);
    expect(drawn(pert, 0.95)).toBeCloseTo(high, 1);
  }
});

test('a value outside its own range is refused', () => {
  expect(() => pertOf(10, 6, 7)).toThrow(RangeError);
  expect(() => pertOf(5, 6, 7)).toThrow(RangeError);
});

describe('trials of pots', () => {
  const DAY = '2026-03-14';
  const file = demoKitchen();
  const state = stateFrom(file);
  const history = historyFrom(file, DAY);
  const costing = costKitchen(state, DAY, CONSTANTS, history);
  const recipe = state.recipes.find((r) => r.name === 'Venison bone stock')!;
  const line = recipe.steps.find((s) => s.do === 'strain')!.id!;
  const made = waysOf(costing, [], { of: 'press', recipe: recipe.id, line }, CONSTANTS);
  if (!made.ok) throw new Error(made.trouble.message);
  const { apart, ways } = made.value;
  const uncertain = rangesOf(costing, (article) => history.article(article).points, apart, ways, CONSTANTS);
  const setup: SimulationSetup = {
    apart,
    ways,
    uncertain,
    layers: ['ingredients'],
    seed: 3,
    stepH: BAND_STEP_H,
  };
  const at = (w: number, t: SimulatedFigure): number => w * SIMULATED.length + SIMULATED.indexOf(t);

  test('whatever a figure is, its range contains it, and it is one that the pots are cooked with', () => {
    expect(uncertain.map(checkRange).filter(Boolean)).toEqual([]);
    const ids = uncertain.map((u) => `${u.kind} ${u.id}`);
    expect(new Set(ids).size).toBe(ids.length);
    const names = uncertain.map((u) => u.name);
    expect(names).toEqual(expect.arrayContaining(['evap_bare_simmer', 'cling_cone_sieve', 'Venison bones']));
    // Nothing is fried, thickened or puréed in it.
    expect(names).not.toEqual(expect.arrayContaining(['puree_loss_blender_pass']));
  });

  test('a trial is the same whoever makes it and in whatever order', () => {
    const once = new Simulation(setup);
    const again = new Simulation(structuredClone(setup));
    const forth = [0, 1, 2, 3, 4].map((n) => once.tell(n));
    const back = [4, 3, 2, 1, 0].map((n) => again.tell(n)).reverse();
    expect(back).toEqual(forth);
    expect(new Simulation({ ...setup, seed: 4 }).tell(0)).not.toEqual(forth[0]);
  });

  test('where nothing is unsure, every trial is what the sheet says', () => {
    const sure = new Simulation({ ...setup, uncertain: [], stepH: 1 / 60 });
    const figures = figuresOfWays(new SnapshotPots(apart), ways, ownConstants(state.kitchen, CONSTANTS));
    const told = sure.tell(17);
    for (const [w, f] of figures.entries()) {
      expect(told[at(w, 'litres')]).toBeCloseTo(f.litres, 12);
      expect(told[at(w, 'saltPct')]).toBeCloseTo(f.saltPct, 12);
      expect(told[at(w, 'perL')]).toBeCloseTo(f.perL.ingredients!, 12);
    }
  });

  test('bands by large steps are those by minute steps', () => {
    const [large, minutes] = [new Simulation(setup), new Simulation({ ...setup, stepH: 1 / 60 })];
    for (let n = 0; n < 24; n += 1) {
      const [a, b] = [large.tell(n), minutes.tell(n)];
      for (const w of [0, 1])
        for (const t of SIMULATED) {
          if (t === 'perPortion') continue;
          expect(Math.abs(a[at(w, t)]! / b[at(w, t)]! - 1)).toBeLessThan(1.5e-3);
        }
    }
  });

  test('pressing wins whatever is drawn: the same draw counts for both ways', () => {
    const trials = new Simulation(setup);
    const all = Array.from({ length: 60 }, (_, n) => trials.tell(n));
    const of = (w: number): Float64Array => Float64Array.from(all, (x) => x[at(w, 'perL')]!);
    expect(wins([of(0), of(1)])).toEqual([1, 0]);
    // Each by itself is far less sure than how much dearer one is than the other.
    const width = (v: Float64Array): number => bandOf(v)!.high - bandOf(v)!.low;
    expect(width(of(1).map((c, i) => c - of(0)[i]!))).toBeLessThan(width(of(0)) * 0.5);
  });

  describe('in a vessel that has taught how fast it boils away', () => {
    /** The same question in a kitchen whose pots have taught it of a long simmer. */
    const taughtTo = (sd: number): SimulationSetup => {
      const kitchen = demoKitchen();
      const pot = kitchen.vessels.find((v) => v.id === recipe.vessel)!;
      const own = { heat: 'bare simmer', lid: 'off', times: 1.2, sd, batches: 6, on: DAY } as const;
      const other = { ...own, heat: 'hard boil', times: 0.9 } as const;
      Object.assign(pot, { boils: [own, other] });
      const past = historyFrom(kitchen, DAY);
      const costed = costKitchen(stateFrom(kitchen), DAY, CONSTANTS, past);
      const question = waysOf(costed, [], { of: 'press', recipe: recipe.id, line }, CONSTANTS);
      if (!question.ok) throw new Error(question.trouble.message);
      const ranges = rangesOf(
        costed,
        (article) => past.article(article).points,
        question.value.apart,
        question.value.ways,
        CONSTANTS,
      );
      return { ...setup, ...question.value, uncertain: ranges };
    };
    const evaporation = (of: SimulationSetup): SimulationSetup => ({
      ...of,
      uncertain: of.uncertain.filter((u) => u.kind === 'boils' || u.id.startsWith('evap_')),
    });
    const spread = (of: SimulationSetup): number => {
      const trials = new Simulation(of);
      const litres = Float64Array.from({ length: 40 }, (_, n) => trials.tell(n)[at(0, 'litres')]!);
      return Math.max(...litres) - Math.min(...litres);
    };

    test('its own batches’ band is drawn, of the heats and lids that it stands at', () => {
      const own = taughtTo(0.1).uncertain.filter((u) => u.kind === 'boils');
      expect(own).toMatchObject([
        { name: expect.stringMatching(/, bare simmer, no lid$/) as unknown, value: 1.2, from: 'batches' },
      ]);
      expect(own[0]!.low).toBeCloseTo(1.2 * Math.exp(-0.1645), 12);
      expect(own[0]!.high).toBeCloseTo(1.2 * Math.exp(0.1645), 12);
    });

    test('what the table does not know for sure is none of its business; what its batches scatter is', () => {
      const table = spread(evaporation(setup));
      const [sure, usual, wide] = [1e-4, 0.1, 0.25].map((sd) => spread(evaporation(taughtTo(sd))));
      expect(table).toBeGreaterThan(0.5);
      expect(sure).toBeLessThan(0.01);
      expect(usual).toBeGreaterThan(sure! * 20);
      expect(wide).toBeGreaterThan(usual! * 1.5);
    });
  });
});
