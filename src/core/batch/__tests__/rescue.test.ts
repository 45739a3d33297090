import fc from 'fast-check';
import { costedDemo } from '../../testing/demo';
import { cases } from '../../testing/cases';
import { body, copyPot, liquidMl, saltPct, type PotState } from '../../pot';
import { potOf } from '../../shelf';
import { tryResolve, type PotDoing } from '../../verbs';
import type { WrittenBatchEvent } from '../../kitchen-file';
import { rescueWays, estimateBatch, type Problem, type RunningBatch } from '..';

const { state, costing, c } = costedDemo();
const called = (name: string) => state.recipes.find((r) => r.name === name)!;
const START = Date.parse('2026-03-14T09:00:00.000Z');
const at = (minutes: number): string => new Date(START + minutes * 60_000).toISOString();

const means = {
  shelf: costing.shelf,
  thickeners: [{ product: called('Kneaded butter').id }, { product: called('White roux').id }],
  stocks: [{ product: called('Second venison stock').id }],
};

/** A sauce on the heat, its salt in it. */
const recipe = called('Juniper sauce');
const seasoned = recipe.steps.findIndex((s) => s.do === 'season to');
const running = (events: WrittenBatchEvent[] = [], rescues: RunningBatch['rescues'] = {}): RunningBatch => ({
  pot: potOf(recipe, costing.shelf),
  lines: recipe.steps.map((s) => s.id!),
  startedAt: START,
  rescues,
  events: [
    ...recipe.steps.slice(0, seasoned + 1).map((s, i) => ({
      id: `done ${i}`,
      at: at(i * 10),
      recordedAt: at(i * 10),
      is: 'done' as const,
      step: s.id!,
    })),
    ...events,
  ],
});
const now = START + 200 * 60_000;
const sauce = (): PotState => copyPot(estimateBatch(running(), now, c).pot as PotState);

const measure = (problem: Problem, way: { ml: number; saltPct: number; body: number }): number =>
  problem === 'too salty' ? way.saltPct : problem === 'too little' ? way.ml / 1000 : way.body;

test('whatever is wrong, every way that is offered gets the pot to what was asked for, and salt is never taken out', () => {
  const pot = sauce();
  const stands = { body: body(pot, c), saltPct: saltPct(pot), ml: liquidMl(pot.liquid) };
  fc.assert(
    fc.property(
      fc.constantFrom<Problem>('too thick', 'too thin', 'too salty', 'too little'),
      fc.double({ min: 0.06, max: 0.38, noNaN: true }),
      (problem, share) => {
        const up = problem === 'too thin' || problem === 'too little';
        const goal = measure(problem, stands) * (up ? 1 + share : 1 - share);
        const found = rescueWays(pot, c, problem, goal, means);
        if (!found.ok) throw new Error(found.trouble.message);
        expect(found.value.length).toBeGreaterThan(problem === 'too thin' ? 2 : 0);
        for (const way of found.value) {
          expect(Math.abs(measure(problem, way) / goal - 1)).toBeLessThan(0.015);
          const salt = (of: { ml: number; saltPct: number }) => of.ml * of.saltPct;
          if (!way.steps.some((s) => s.do === 'draw off'))
            expect(salt(way)).toBeGreaterThan(salt(stands) * 0.98);
        }
      },
    ),
    { numRuns: cases(25) },
  );
});

test('asked for what it has already, or on the wrong side, it says where it stands', () => {
  const pot = sauce();
  const salty = rescueWays(pot, c, 'too salty', saltPct(pot) * 1.1, means);
  expect(!salty.ok && salty.trouble.message).toMatch(/stands at 0\.\d+ now.*too salty say a figure below/);
  const thin = rescueWays(pot, c, 'too thin', 0, means);
  expect(!thin.ok && thin.trouble.message).toMatch(/above/);
});

test('asked for exactly what it is, it is refused: there is nothing to mend', () => {
  const pot = sauce();
  expect(rescueWays(pot, c, 'too salty', saltPct(pot), means).ok).toBe(false);
  expect(rescueWays(pot, c, 'too thin', body(pot, c), means).ok).toBe(false);
  expect(rescueWays(pot, c, 'too little', liquidMl(pot.liquid) / 1000, means).ok).toBe(false);
});

test('water thins by the share of water in what is then there; what brings body of its own thins less', () => {
  const pot = sauce();
  const before = liquidMl(pot.liquid);
  const found = rescueWays(pot, c, 'too salty', saltPct(pot) * 0.8, means);
  if (!found.ok) throw new Error(found.trouble.message);
  const alone = found.value.find((w) => w.steps.every((s) => s.do === 'water'))!;
  expect(alone.thinner).toBeCloseTo(1 - before / alone.ml, 3);
  const withStock = found.value.find((w) => w.takes.some((t) => t.supply !== 'free'));
  if (withStock) expect(withStock.thinner).toBeLessThan(alone.thinner);
});

test('a rescue that was chosen becomes lines of this batch: the pot is then what it was said to be, and the sheet is not touched', () => {
  const pot = sauce();
  const found = rescueWays(pot, c, 'too salty', saltPct(pot) * 0.8, means);
  if (!found.ok) throw new Error(found.trouble.message);
  for (const way of found.value) {
    const event: WrittenBatchEvent = {
      id: 'rescue',
      at: at(199),
      recordedAt: at(199),
      is: 'rescue',
      problem: 'too salty',
      steps: [...way.steps],
    };
    const steps = way.steps.map((s) => (tryResolve(s, costing.shelf) as { value: PotDoing }).value);
    const then = estimateBatch(running([event], { rescue: steps }), now, c);
    expect(saltPct(then.pot!)).toBeCloseTo(way.saltPct, 3);
    expect(then.ml!.middle / way.ml).toBeCloseTo(1, 3);
    expect(then.at).toBe(seasoned + 1);
    expect(called('Juniper sauce')).toEqual(recipe);
  }
});
