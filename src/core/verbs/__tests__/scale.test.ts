import fc from 'fast-check';
import { cases } from '../../testing/cases';
import examples from '../../testing/worked-examples.json';
import { CONSTANTS } from '../../reference';
import { hob, of, round, stuff } from '../../testing/stuff';
import { maxFillMl, type Vessel } from '../../pot';
import { runPot, scaledSteps, scaleTo, vesselsFor, type Pot, type PotStep } from '..';

const broth = stuff('broth', 'liquid', { water: 0.985, gelatin: 0.01 });
const steps = (g: number, hours: number): PotStep[] => [
  { do: 'add', what: of(broth), g },
  { do: 'cook', heat: 'simmer', hours, lid: 'off' },
];
const small = round(28, 28, 20);
const big = round(50, 50, 45);
// The example has a rate of its own.
const constants = {
  ...CONSTANTS,
  heats: { ...CONSTANTS.heats, simmer: { ...CONSTANTS.heats.simmer, rate: 10 } },
};

test('the worked example: eight times the list is not eight times the litres, and the right factor', () => {
  const { expect: want } = examples.cases.find((c) => c.id === 'multiplying-is-wrong') as unknown as {
    expect: Record<string, number>;
  };
  const pot: Pot = { vessel: small, hob: hob(), steps: steps(6000, 3) };
  const own = runPot(pot, constants).product?.ml ?? NaN;
  expect(own / (want.small_ml as number)).toBeCloseTo(1, 4);
  const scaled = scaleTo(pot, own * 8, constants, big);
  if (!scaled.ok) throw new Error(scaled.trouble.message);
  expect(scaled.value.factor / (want.right_factor as number)).toBeCloseTo(1, 4);
  expect(scaled.value.run.product?.ml).toBeCloseTo(own * 8, 1);
  expect((scaled.value.multiplied.ml ?? NaN) / (want.multiplied_ml as number)).toBeCloseTo(1, 4);
  expect(scaled.value.multiplied.offBy).toBeCloseTo(
    (want.multiplied_ml as number) / (want.eight_times_wanted_ml as number) - 1,
    4,
  );
});

test('scaled to what it makes already, a recipe stays as it is', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1000, max: 9000, noNaN: true }),
      fc.double({ min: 0.1, max: 2, noNaN: true }),
      (g, h) => {
        const pot: Pot = { vessel: small, hob: hob(3), steps: steps(g, h) };
        const own = runPot(pot, CONSTANTS).product?.ml ?? 0;
        fc.pre(own > 50);
        const scaled = scaleTo(pot, own, CONSTANTS);
        expect(scaled.ok && scaled.value.factor).toBeCloseTo(1, 4);
        expect(scaled.ok && scaled.value.multiplied.offBy).toBeCloseTo(0, 9);
      },
    ),
    { numRuns: cases(30) },
  );
});

test('whatever is asked for is what all batches together give, and no batch is filled too high', () => {
  fc.assert(
    fc.property(fc.double({ min: 500, max: 60_000, noNaN: true }), (ml) => {
      const tight: Vessel = { ...small, maxFill: 0.8 };
      const scaled = scaleTo({ vessel: small, hob: hob(), steps: steps(6000, 1) }, ml, CONSTANTS, tight);
      if (!scaled.ok) throw new Error(scaled.trouble.message);
      const { batches, run } = scaled.value;
      expect((run.product?.ml ?? NaN) * batches).toBeCloseTo(ml, 0);
      for (const row of run.rows) expect(row.standingMl).toBeLessThanOrEqual(maxFillMl(tight) * (1 + 1e-6));
    }),
    { numRuns: cases(25) },
  );
});

test('only what was stated as a mass or a volume is multiplied', () => {
  const all: PotStep[] = [
    { do: 'add', what: of(broth), g: 100 },
    { do: 'water', to: { by: 'cover', value: 3 } },
    { do: 'water', to: { by: 'ml', value: 500 } },
    { do: 'cook', heat: 'simmer', hours: 2, lid: 'off' },
    { do: 'reduce', heat: 'simmer', lid: 'off', to: { until: 'share', value: 0.5 } },
    { do: 'reduce', heat: 'simmer', lid: 'off', to: { until: 'ml', value: 200 } },
    { do: 'skim', ml: 20, from: 'body' },
    { do: 'portion', ml: 60, overfill: 0 },
  ];
  expect(scaledSteps(all, 3)).toEqual([
    { do: 'add', what: of(broth), g: 300 },
    all[1],
    { do: 'water', to: { by: 'ml', value: 1500 } },
    all[3],
    all[4],
    { do: 'reduce', heat: 'simmer', lid: 'off', to: { until: 'ml', value: 600 } },
    { do: 'skim', ml: 60, from: 'body' },
    all[7],
  ]);
});

test('of the vessels there are, the one that makes it at once and soonest comes first', () => {
  const pot: Pot = {
    vessel: small,
    hob: hob(6),
    steps: [
      { do: 'add', what: of(broth), g: 6000 },
      { do: 'reduce', heat: 'brisk boil', lid: 'off', to: { until: 'share', value: 0.5 } },
    ],
  };
  const found = vesselsFor(pot, 10_000, CONSTANTS, [small, big, round(50, 50, 14), round(20, 20, 4)]);
  // The wide ones reduce in one go; the small ones need several batches.
  expect(found[0]?.batches).toBe(1);
  expect(found[0]?.vessel.name).toBe('50 cm pot');
  expect(found.at(-1)?.batches).toBeGreaterThan(1);
  for (const [a, b] of found.slice(1).map((s, i) => [found[i], s] as const))
    expect(a?.batches ?? 0).toBeLessThanOrEqual(b.batches);
});

test('what cannot be scaled is refused with number and limit', () => {
  const pot: Pot = { vessel: small, hob: hob(), steps: steps(6000, 1) };
  const none = scaleTo(pot, 0, CONSTANTS);
  expect(!none.ok && none.trouble.code).toBe('scale-out-of-range');
  const empty = scaleTo({ ...pot, steps: [] }, 1000, CONSTANTS);
  expect(!empty.ok && empty.trouble.code).toBe('cannot-be-scaled');
  const huge = scaleTo(pot, 5_000_000, CONSTANTS);
  expect(!huge.ok && huge.trouble.message).toMatch(
    /5000\.0 l cannot be made in the 28 cm pot, 12\.3 l.*40 batches/,
  );
});

test('in a pot too small for any of it nothing can be made', () => {
  // Water to a level is not scaled: in a pot lower than that level nothing can be made.
  const levelled: Pot = {
    vessel: small,
    hob: hob(),
    steps: [
      { do: 'add', what: of(broth), g: 500 },
      { do: 'water', to: { by: 'level', value: 15 } },
    ],
  };
  expect(scaleTo(levelled, 2000, CONSTANTS, round(28, 28, 10))).toMatchObject({
    ok: false,
    trouble: { code: 'too-many-batches' },
  });
});

test('a thin layer in a wide vessel comes after one that stands deep enough', () => {
  const sauce: Pot = { vessel: round(16, 16, 12), hob: hob(), steps: steps(600, 0.2) };
  const ways = vesselsFor(sauce, 600, CONSTANTS, [round(60, 60, 20), round(16, 16, 12), round(14, 14, 12)]);
  expect(ways.at(-1)?.vessel.name).toBe('60 cm pot');
  expect(ways).toHaveLength(3);
});
