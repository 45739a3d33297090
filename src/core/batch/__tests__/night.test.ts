import { costKitchen } from '../../costing';
import type { WrittenBatchEvent } from '../../kitchen-file';
import { historyFrom, ownConstants, stateFrom } from '../../kitchen-state';
import { CONSTANTS } from '../../reference';
import { potOf } from '../../shelf';
import { demoKitchen } from '../../testing/demo';
import { batchFigures, nightAhead, type NightRule, type Running } from '..';

const DAY = '2026-03-14';
const file = demoKitchen();
const state = stateFrom(file);
const costing = costKitchen(state, DAY, CONSTANTS, historyFrom(file, DAY));
const c = ownConstants(state.kitchen, CONSTANTS);
const HOUR = 3_600_000;
const START = Date.parse('2026-03-14T18:00:00.000Z');
const BACK = START + 12 * HOUR;
const NOW = START + 2 * HOUR;
const event = (h: number, id: string, of: object) =>
  ({
    id,
    at: new Date(START + h * HOUR).toISOString(),
    recordedAt: new Date(START + h * HOUR).toISOString(),
    ...of,
  }) as WrittenBatchEvent;

/** A stock on its long simmer. */
const recipe = state.recipes.find((r) => r.name === 'Venison bone stock')!;
const simmer = recipe.steps.findIndex((s) => s.do === 'cook');
const running = (...told: WrittenBatchEvent[]): Running => ({
  pot: potOf(recipe, costing.shelf),
  lines: recipe.steps.map((s) => s.id!),
  startedAt: START,
  rescues: {},
  events: [
    ...recipe.steps.slice(0, simmer).map((s, i) => event(i / 60, `d${i}`, { is: 'done', step: s.id })),
    ...told,
  ],
});
const RULE: NightRule = { fuels: ['gas', 'electricity'], heat: 'hard boil', back: '06:00' };
const night = (of: Running, rule?: NightRule) => nightAhead(of, NOW, BACK, c, rule);

test('how it will stand is how it stands then, if nothing is told', () => {
  const ahead = night(running());
  const then = batchFigures(running(), BACK, c);
  expect(ahead.pot).toEqual(then.pot);
  expect(ahead.ml!.low).toBeLessThanOrEqual(ahead.pot!.ml);
  expect(ahead.overH).toBeCloseTo(Math.max(0, -then.left!.middle), 9);
});

test('the water said leaves what the line should end with; more leaves more', () => {
  const { waterMl, overH } = night(running());
  expect(overH).toBeGreaterThan(0);
  expect(waterMl).toBeGreaterThan(0);
  const goal = batchFigures(running(), NOW, c).then!.ml;
  const poured = (ml: number) =>
    batchFigures(
      {
        ...running(event(2, 'w', { is: 'rescue', problem: 'too little', steps: [] })),
        rescues: { w: [{ do: 'water', to: { by: 'ml', value: ml } } as never] },
      },
      BACK,
      c,
    ).pot!.ml;
  expect(Math.abs(poured(waterMl!) / goal - 1)).toBeLessThan(0.02);
  expect(poured(waterMl! * 1.5)).toBeGreaterThan(poured(waterMl!));
});

test('the rule of the house is by heat and by what heats it; where it has said nothing, nothing is said', () => {
  const of = running();
  const { fuel } = of.pot.hob;
  expect(night(of).allowed).toBeUndefined();
  expect(night(of, RULE).allowed).toBe(true);
  expect(night(of, { ...RULE, fuels: [] }).allowed).toBe(false);
  expect(night(of, { ...RULE, fuels: [fuel === 'gas' ? 'electricity' : 'gas'] }).allowed).toBe(false);
  const boils = of.pot.steps[simmer] as { heat: { heat: string } | string };
  const heat = typeof boils.heat === 'string' ? boils.heat : boils.heat.heat;
  if (heat !== 'bare simmer') expect(night(of, { ...RULE, heat: 'bare simmer' }).allowed).toBe(false);
});

test('it is left until somebody tells something of it again', () => {
  const until = new Date(BACK).toISOString();
  const told = event(2, 'n', { is: 'night', until });
  expect(batchFigures(running(told), NOW, c).leftUntil).toBe(BACK);
  expect(batchFigures(running(told), BACK + 1, c).leftUntil).toBeUndefined();
  const looked = event(5, 'r', { is: 'dip', cm: 12 });
  expect(batchFigures(running(told, looked), START + 6 * HOUR, c).leftUntil).toBeUndefined();
  expect(batchFigures(running(told), NOW, c).pot).toEqual(batchFigures(running(), NOW, c).pot);
});
