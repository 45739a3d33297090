import { waysOf } from '../../../core/compare';
import { LAYERS } from '../../../core/layers';
import { bandOf, BAND_STEP_H, rangesOf, Simulation, type SimulationSetup } from '../../../core/uncertainty';
import { CONSTANTS } from '../../../core/reference';
import { costKitchen } from '../../../core/costing';
import { historyFrom, stateFrom } from '../../../core/kitchen-state';
import { demoKitchen } from '../../../core/testing/demo';
import { costDifferences, measureNext } from '../certainty';

const DAY = '2026-03-14';
const file = demoKitchen();
const state = stateFrom(file);
const history = historyFrom(file, DAY);
const costing = costKitchen(state, DAY, CONSTANTS, history);
const sauce = state.recipes.find((r) => r.name === 'Juniper sauce')!;
const line = sauce.steps.find((s) => s.do === 'strain')!.id!;
const made = waysOf(costing, [], { of: 'press', recipe: sauce.id, line }, CONSTANTS);
if (!made.ok) throw new Error(made.trouble.message);
const { ways, apart } = made.value;
const setup: SimulationSetup = {
  apart,
  ways,
  uncertain: rangesOf(costing, (article) => history.article(article).points, apart, ways, CONSTANTS),
  layers: [...LAYERS],
  seed: 3,
  stepH: BAND_STEP_H,
};
const simulation = new Simulation(setup);
const values = Float64Array.from({ length: 60 }, (_, n) => n).reduce<number[]>(
  (all, n) => [...all, ...simulation.tell(n)],
  [],
);

test('what to measure next comes with the largest share first, and a test never takes off more than a third of the band', () => {
  const found = measureNext(setup, Float64Array.from(values), 0, 1);
  expect(found.length).toBeGreaterThan(1);
  expect(found.length).toBeLessThanOrEqual(8);
  const shares = found.map((f) => f.share);
  expect(shares).toEqual([...shares].sort((a, b) => b - a));
  const { low, high } = bandOf(costDifferences(Float64Array.from(values), ways.length, 0, 1))!;
  for (const { share, takesOff } of found) {
    expect(share).toBeGreaterThanOrEqual(0.01);
    expect(takesOff).toBeGreaterThan(0);
    // Of a figure that is all there is to it, a second reading as sure as the first leaves √½.
    expect(takesOff).toBeLessThanOrEqual((high - low) * (1 - Math.SQRT1_2) + 1e-9);
  }
});
