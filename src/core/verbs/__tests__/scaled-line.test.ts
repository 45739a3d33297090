import fc from 'fast-check';
import { costKitchen } from '../../costing';
import { mannerIn } from '../../kitchen-file';
import { historyFrom, stateFrom } from '../../kitchen-state';
import { isIdle, maxFillMl } from '../../pot';
import { CONSTANTS } from '../../reference';
import { demoKitchen } from '../../testing/demo';
import { scaledLine } from '../scaled-line';
import { resolveStep, scaledSteps, scaleBy, runPot } from '../steps';
import { potOf } from '../../shelf';

const file = demoKitchen();
const { shelf } = costKitchen(
  stateFrom(file),
  file.referenceDay,
  CONSTANTS,
  historyFrom(file, file.referenceDay),
);
const manner = mannerIn(file);

/** Numbers of a step, wherever they stand. */
const numbersIn = (of: unknown, path = ''): readonly (readonly [string, number])[] =>
  typeof of === 'number'
    ? [[path, of]]
    : typeof of === 'object' && of !== null
      ? Object.entries(of).flatMap(([key, value]) => numbersIn(value, `${path}.${key}`))
      : [];

test('a line written for more means what the pot means by more of it, to three figures', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.05, max: 40, noNaN: true }), (factor) => {
      for (const recipe of file.recipes)
        for (const step of recipe.steps) {
          const here = resolveStep(step, shelf);
          if (isIdle(here)) continue;
          const [scaled] = scaledSteps([here], factor);
          const written = resolveStep(scaledLine(step, factor, manner), shelf);
          const found = new Map(numbersIn(written));
          for (const [path, value] of numbersIn(scaled))
            expect([path, Math.abs((found.get(path) ?? NaN) / value - 1) <= 0.0051 || value === 0]).toEqual([
              path,
              true,
            ]);
        }
    }),
    { numRuns: 12 },
  );
});

test('what came in is scaled to: so many times the list, in as many equal batches as the pot takes', () => {
  const bones = file.recipes.find((r) => r.name === 'Venison bone stock');
  if (!bones) throw new Error('no stock');
  const pot = potOf(bones, shelf);
  const once = runPot(pot, CONSTANTS);
  for (const factor of [0.6, 1, 1.7, 5]) {
    const scaled = scaleBy(pot, factor, CONSTANTS);
    if (!scaled.ok) throw new Error(scaled.trouble.message);
    const { batches, run } = scaled.value;
    const of = (r: typeof run, i: number): number => r.inputs[i]?.g ?? 0;
    // All batches together take so many times what the list says of what is weighed in.
    expect((of(run, 0) * batches) / of(once, 0)).toBeCloseTo(factor, 9);
    for (const row of run.rows) expect(row.standingMl).toBeLessThanOrEqual(maxFillMl(row.vessel) * 1.000001);
  }
  expect(scaleBy(pot, 5, CONSTANTS)).toMatchObject({
    ok: true,
    value: { batches: expect.any(Number) as number },
  });
  expect(scaleBy(pot, 1e-6, CONSTANTS)).toMatchObject({ ok: false, trouble: { code: 'scale-out-of-range' } });
  expect(scaleBy(pot, 900, CONSTANTS)).toMatchObject({ ok: false, trouble: { code: 'too-many-batches' } });
});
