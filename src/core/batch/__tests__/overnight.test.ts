import type { WrittenBatchEvent } from '../../kitchen-file';
import { potOf } from '../../shelf';
import { costedDemo } from '../../testing/demo';
import { batchFigures, overnightForecast, type OvernightRule, type RunningBatch } from '..';

const { state, costing, c } = costedDemo();
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
const running = (...told: WrittenBatchEvent[]): RunningBatch => ({
  pot: potOf(recipe, costing.shelf),
  lines: recipe.steps.map((s) => s.id!),
  startedAt: START,
  rescues: {},
  events: [
    ...recipe.steps.slice(0, simmer).map((s, i) => event(i / 60, `d${i}`, { is: 'done', step: s.id })),
    ...told,
  ],
});
const RULE: OvernightRule = { fuels: ['gas', 'electricity'], heat: 'hard boil', back: '06:00' };
const night = (of: RunningBatch, rule?: OvernightRule) => overnightForecast(of, NOW, BACK, c, rule);

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

/** The same stock, driven harder than a house leaves alone. */
const hard = (...told: WrittenBatchEvent[]): RunningBatch => {
  const of = running(...told);
  const steps = of.pot.steps.map((s) => (s.do === 'cook' ? { ...s, heat: 'simmer' as const } : s));
  return { ...of, pot: { ...of.pot, steps } };
};
const turned = (h: number, heat: 'bare simmer' | 'simmer' = 'bare simmer') =>
  event(h, 'n', { is: 'night', until: new Date(BACK).toISOString(), heat });
const mlAt = (of: RunningBatch, h: number): number => batchFigures(of, START + h * HOUR, c).pot!.ml;

test('turned down for the night it boils away less, and as its line has it again when somebody is back', () => {
  const of = hard(turned(2));
  expect(mlAt(of, 12)).toBeGreaterThan(mlAt(hard(), 12) + 100);
  expect(mlAt(of, 12)).toBeLessThan(mlAt(of, 2));
  // Till it was turned down it is the same pot, and turned down to what it stands at nothing is another.
  expect(mlAt(of, 2)).toBeCloseTo(mlAt(hard(), 2), 2);
  expect(mlAt(hard(turned(2, 'simmer')), 12)).toBeCloseTo(mlAt(hard(), 12), 0);
  const lost = (pot: RunningBatch, from: number) => mlAt(pot, from) - mlAt(pot, from + 1);
  expect(lost(of, 12.1) / lost(hard(), 12.1)).toBeCloseTo(1, 1);
  expect(lost(of, 8) / lost(hard(), 8)).toBeLessThan(0.8);
  // Anyone who tells something before is there, and turns it up.
  const early = hard(turned(2), event(6, 'x', { is: 'note', text: 'could not sleep' }));
  expect(mlAt(early, 12)).toBeLessThan(mlAt(of, 12) - 50);
  expect(mlAt(early, 12)).toBeGreaterThan(mlAt(hard(), 12) + 50);
});

test('what is said before it is turned down is how it then stands; it is offered where the house lets its fuel stand at less', () => {
  const rule: OvernightRule = { ...RULE, heat: 'bare simmer' };
  const plain = overnightForecast(hard(), NOW, BACK, c, rule);
  expect([plain.allowed, plain.turnTo]).toEqual([false, 'bare simmer']);
  const down = overnightForecast(hard(), NOW, BACK, c, rule, plain.turnTo);
  expect(down.allowed).toBe(true);
  expect(down.pot).toEqual(batchFigures(hard(turned(2)), BACK, c).pot);
  expect(down.pot!.ml).toBeGreaterThan(plain.pot!.ml);
  expect(down.waterMl ?? 0).toBeLessThan(plain.waterMl ?? 0);
  expect(overnightForecast(hard(), NOW, BACK, c, RULE).turnTo).toBeUndefined();
  expect(overnightForecast(hard(), NOW, BACK, c, { ...rule, fuels: [] }).turnTo).toBeUndefined();
});

test('no water is asked for where nothing is on the heat, or where its line will not have ended', () => {
  expect(
    night(running(event(1.5, 'end', { is: 'done', step: recipe.steps[simmer]!.id }))).waterMl,
  ).toBeUndefined();
  const soon = overnightForecast(running(), NOW, NOW + 60_000, c, undefined);
  expect(soon.overH).toBe(0);
  expect(soon.waterMl).toBeUndefined();
});
