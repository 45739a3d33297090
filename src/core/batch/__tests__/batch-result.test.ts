import fc from 'fast-check';
import { costedDemo } from '../../testing/demo';
import { cases } from '../../testing/cases';
import { potOf } from '../../shelf';
import { runPot } from '../../verbs';
import { batchResult, type RunningBatch } from '..';
import { costOfProduct } from '../../costing';

const { state, costing, c } = costedDemo();
const START = Date.parse('2026-03-14T05:00:00.000Z');
const base = state.recipes.find((r) => r.name === 'Reduced game base')!;
const at = (minutes: number): string => new Date(START + minutes * 60_000).toISOString();

/** The base reduced for some minutes from when it was on the heat. */
const reduced = (minutes: number): RunningBatch => ({
  pot: potOf(base, costing.shelf),
  lines: base.steps.map((s) => s.id!),
  startedAt: START,
  rescues: {},
  events: base.steps.map((s, i) => ({
    id: `e${i}`,
    at: at(i === 0 ? 1 : 1 + minutes),
    recordedAt: at(300),
    is: 'done' as const,
    step: s.id!,
  })),
});
const standard = { run: runPot(potOf(base, costing.shelf), c) };
const planned = standard.run.rows.at(-1)!.hobHours * 60;
const price = (key: Parameters<typeof costing.graph.cost>[0]) => costing.graph.cost(key);

test('cooked as its sheet says it cost what the sheet says, and nothing differs', () => {
  const end = batchResult(reduced(planned), standard, undefined, price, c)!;
  expect(end.got / end.should).toBeCloseTo(1, 2);
  expect(end.thin).toBeLessThan(0.02);
  expect(end.kWh[0] / end.kWh[1]).toBeCloseTo(1, 2);
  // Left on for longer it takes more off the meter; the sheet stays as it is.
  const longer = batchResult(reduced(planned * 1.2), standard, undefined, price, c)!;
  expect(longer.kWh[0]).toBeGreaterThan(end.kWh[0] * 1.05);
  expect(longer.kWh[1]).toBe(end.kWh[1]);
  expect(end.perL! / costOfProduct(costing, base.id).perL!).toBeCloseTo(1, 2);
});

test('whatever is got, the difference is split without remainder, and water is never a gain', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.3, max: 1.5, noNaN: true }),
      fc.double({ min: 0.5, max: 1.6, noNaN: true }),
      (part, share) => {
        const got = (standard.run.product!.ml / 1000) * share;
        const end = batchResult(reduced(planned * part), standard, got, price, c)!;
        const { price: p, mix, yield: y, difference } = end.variance!;
        expect(p + mix + y).toBeCloseTo(difference, 8);
        expect(end.atStrength + end.thin).toBeCloseTo(end.got, 10);
        expect(end.byLine.reduce((sum, { l }) => sum + l, 0)).toBeCloseTo(end.got - end.should, 9);
        // What went in was the same: a litre at strength is never cheaper than by the sheet but for what the stock gave off more.
        expect(end.perL! * end.atStrength).toBeCloseTo(end.shouldPerL! * end.should, 4);
        expect(end.atStrength).toBeLessThanOrEqual(end.got + 1e-9);
      },
    ),
    { numRuns: cases(20) },
  );
});

test('pulled early it is thin: more litres, no more of them at strength', () => {
  const [early, right] = [planned * 0.7, planned].map((m) =>
    batchResult(reduced(m), standard, undefined, price, c)!,
  );
  expect(early!.got).toBeGreaterThan(right!.got * 1.2);
  // The line that made it is the reduction, and its hours say so.
  const [most] = [...early!.byLine].sort((a, b) => Math.abs(b.l) - Math.abs(a.l));
  expect(base.steps[most!.line!]!.do).toBe('reduce');
  expect(early!.hobHours[0] / early!.hobHours[1]).toBeCloseTo(0.7, 1);
  expect(early!.handsHours[0]).toBe(early!.handsHours[1]);
  expect(early!.thin).toBeGreaterThan(0.5);
  expect(early!.atStrength / right!.atStrength).toBeCloseTo(1, 1);
  expect(early!.perL! / right!.perL!).toBeCloseTo(1, 1);
});
