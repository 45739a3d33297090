import { liquidG } from '../../pot';
import { CONSTANTS } from '../../reference';
import { chance, cookInEarnest, type Slip } from '../../testing/real-pot';
import { hob, of, round, stuff } from '../../testing/stuff';
import type { Pot, PotDoing } from '../../verbs';
import { spreadOf, type OnHeat } from '../evaporation';
import {
  boilsTaught,
  brixOf,
  followBatch,
  forecastBatch,
  handsToldOf,
  checkForecast,
  lessonsOf,
  nextSd,
  timesTaught,
  type LessonOf,
  type RunningBatch,
} from '..';

const c = CONSTANTS;
const START = Date.parse('2026-03-14T08:00:00.000Z');
const stock = stuff('stock', 'liquid', { water: 0.95, gelatin: 0.03, salt: 0.002 });
const pour = { do: 'add', what: of(stock), g: 9000 } as unknown as PotDoing;
const simmer: OnHeat = { do: 'cook', heat: 'simmer', lid: 'off', hours: 3 };
const reduce: OnHeat = { do: 'reduce', heat: 'brisk boil', lid: 'off', to: { until: 'ml', value: 4000 } };
const pan = round(32, 32, 20);
const pot: Pot = { vessel: pan, hob: hob(null), steps: [pour, simmer, reduce] };
const lines = ['pour', 'simmer', 'reduce'];

let ids = 0;
const id = (): string => `019d20a1-8c00-7a10-8b10-${String((ids += 1)).padStart(12, '0')}`;

/** A batch cooked in a pot that boils away so fast, which nobody knows. */
function cooked(times: number, normal: () => number, slip?: Slip): RunningBatch {
  const events = cookInEarnest(
    { pot, lines, startedAt: START, by: 'Ilse', id },
    { times: () => times, normal, slip },
    { ...c, stepH: 1 / 20 },
  );
  return { pot, lines, startedAt: START, events, rescues: {} };
}
const told = (running: RunningBatch, batch: string, leftOut?: string): LessonOf[] =>
  lessonsOf(running, c).map((l) => ({ ...l, batch, vessel: 'pan', leftOut }));

test('what six batches teach lies nearer to the truth than the table, and the truth in its band nine times in ten', () => {
  const normal = chance(5);
  let [inside, of, nearer] = [0, 0, 0];
  const many = 14;
  for (let n = 0; n < many; n += 1) {
    const vessel = Math.exp(normal() * spreadOf('simmer', 'off'));
    const lessons = Array.from({ length: 6 }, (_, i) =>
      told(cooked(vessel * Math.exp(0.06 * normal()), normal), String(i)),
    ).flat();
    for (const row of boilsTaught(lessons)) {
      const { mean, low, high } = row.learned!;
      of += 1;
      if (vessel >= low && vessel <= high) inside += 1;
      if (Math.abs(Math.log(mean / vessel)) < Math.abs(Math.log(vessel)) + 0.05) nearer += 1;
      // The next batch scatters by more than what is not known of the middle.
      expect(nextSd(row)).toBeGreaterThan(row.learned!.sd / mean);
    }
  }
  expect(of).toBe(many * 2);
  expect(nearer / of).toBeGreaterThan(0.9);
  expect(inside / of).toBeGreaterThan(0.75);
});

test('a batch under a forgotten lid lies far off and is flagged; left out it counts for nothing, and nobody else leaves it out', () => {
  const normal = chance(9);
  const right = [0, 1, 2, 3, 4].flatMap((n) => told(cooked(0.9, normal), String(n)));
  const forgot = told(cooked(0.9, normal, 'lid forgotten'), 'forgot');
  const at = (lessons: readonly LessonOf[]) => boilsTaught(lessons).find((r) => r.heat === 'simmer')!;
  const both = at([...right, ...forgot]);
  expect(both.lessons.filter((l) => l.outlier).map((l) => l.batch)).toEqual(['forgot']);
  const without = at([...right, ...forgot.map((l) => ({ ...l, leftOut: 'said so' }))]);
  expect(without.learned!.mean).toBeCloseTo(at(right).learned!.mean, 9);
  expect(both.learned!.mean).toBeLessThan(without.learned!.mean);
  expect(without.lessons).toHaveLength(6);
});

test('a lesson is of the pot, not of what was believed of it; without readings there is none', () => {
  const running = cooked(1.2, chance(3));
  const believed: RunningBatch = {
    ...running,
    pot: { ...pot, vessel: { ...pan, boils: [{ heat: 'simmer', lid: 'off', times: 2, sd: 0.05 }] } },
  };
  expect(lessonsOf(believed, c)).toEqual(lessonsOf(running, c));
  const mute = { ...running, events: running.events.filter((e) => e.is !== 'dip') };
  expect(lessonsOf(mute, c)).toEqual([]);
});

test('hours forecast before a batch lie in their band 8 times in 10, and in half the band once its vessel is known', () => {
  const normal = chance(21);
  const many = 60;
  const hours = (boils?: RunningBatch['pot']['vessel']['boils']) =>
    forecastBatch({ pot: { ...pot, vessel: { ...pan, boils } }, lines }, c);
  const before = hours();
  let inside = 0;
  for (let n = 0; n < many; n += 1) {
    const running = cooked(Math.exp(normal() * spreadOf('brisk boil', 'off')), normal);
    const [one] = checkForecast(before, running, undefined);
    expect(one!.step).toBe('reduce');
    if (one!.within) inside += 1;
  }
  expect(inside / many).toBeGreaterThan(0.6);
  expect(inside / many).toBeLessThan(0.95);
  const known = hours([
    { heat: 'brisk boil', lid: 'off', times: 1, sd: 0.06 },
    { heat: 'simmer', lid: 'off', times: 1, sd: 0.06 },
  ]);
  const wide = (f: typeof before): number => f.lines[0]!.hours.high - f.lines[0]!.hours.low;
  expect(wide(known)).toBeLessThan(wide(before) / 2);
  expect(before.lines.map((l) => l.step)).toEqual(['reduce']);
});

test('a refractometer moves what came out of bones, in place of water, and says how much of it that was', () => {
  const running = cooked(1, chance(2));
  const dry = followBatch(running, c);
  const at = running.events.find((e) => e.is === 'ended')!.at;
  const read = (bx: number) => ({ id: id(), at, recordedAt: at, is: 'brix' as const, bx });
  const glass = (bx: number) => followBatch({ ...running, events: [...running.events, read(bx)] }, c);
  const says = brixOf(dry.pot!);
  // As it should be nothing moves.
  expect(glass(says).gave!.times).toBeCloseTo(1, 6);
  expect(glass(says).pot!.liquid.gelatin).toBeCloseTo(dry.pot!.liquid.gelatin, 6);
  for (const times of [0.7, 1.3]) {
    const { pot: read_, gave } = glass(says * times);
    expect(Math.sign(gave!.times - 1)).toBe(Math.sign(times - 1));
    const more = read_!.liquid.gelatin / dry.pot!.liquid.gelatin;
    // Most of the way: the meter is better than the table of bones.
    expect(Math.abs(more - 1)).toBeGreaterThan(Math.abs(times - 1) * 0.6);
    expect(Math.abs(more - gave!.times)).toBeLessThan(0.12);
    expect(read_!.liquid.salt).toBeCloseTo(dry.pot!.liquid.salt, 9);
    expect(liquidG(read_!.liquid)).toBeCloseTo(liquidG(dry.pot!.liquid), 6);
  }
});

test('a chilled spoonful says roughly how much gelatin there is; a refractometer is surer of it', () => {
  const running = cooked(1, chance(2));
  const dry = followBatch(running, c).pot!;
  const at = running.events.find((e) => e.is === 'ended')!.at;
  const stamp = { at, recordedAt: at };
  const told = (...events: readonly object[]) =>
    followBatch(
      {
        ...running,
        events: [...running.events, ...events.map((e) => ({ ...stamp, id: id(), ...e }) as never)],
      },
      c,
    );
  const pct = ({ pot: p }: ReturnType<typeof told>) => (p!.liquid.gelatin / liquidG(p!.liquid)) * 100;
  const stood = (dry.liquid.gelatin / liquidG(dry.liquid)) * 100;
  const [liquid, wobbles, cuts] = (['stays liquid', 'wobbles', 'cuts'] as const).map((how) =>
    told({ is: 'sets', how }),
  ) as [ReturnType<typeof told>, ReturnType<typeof told>, ReturnType<typeof told>];
  expect(pct(liquid)).toBeLessThanOrEqual(pct(wobbles));
  expect(pct(wobbles)).toBeLessThan(pct(cuts));
  // Each towards what it says, and not beyond it; water makes room for it.
  expect((pct(cuts) - stood) * (c.gels.cuts.middle - stood)).toBeGreaterThanOrEqual(0);
  expect(Math.abs(pct(cuts) - c.gels.cuts.middle)).toBeLessThan(Math.abs(stood - c.gels.cuts.middle));
  expect(liquidG(cuts.pot!.liquid)).toBeCloseTo(liquidG(dry.liquid), 6);
  expect(cuts.gave!.times).toBeCloseTo(c.gels.cuts.middle / stood, 6);
  // Read by a refractometer, too, that counts, whichever came first.
  const bx = { is: 'brix', bx: brixOf(dry) };
  for (const both of [told(bx, { is: 'sets', how: 'cuts' }), told({ is: 'sets', how: 'cuts' }, bx)])
    expect(both.gave!.sd).toBeLessThan(cuts.gave!.sd);
});

test('figures told in times of the value in use: agreed they move it, unusual they are flagged, left out they do not count', () => {
  const lesson = (times: number, leftOut?: string) => ({ batch: id(), of: 'bones', times, leftOut });
  const [row] = timesTaught(
    'gives',
    [0.8, 0.82, 0.79, 0.81].map((t) => lesson(t)),
  );
  expect(row!.learned!.mean).toBeGreaterThan(0.79);
  expect(row!.learned!.mean).toBeLessThan(0.86);
  const far = timesTaught('gives', [...[0.8, 0.82, 0.79, 0.81].map((t) => lesson(t)), lesson(2.4)])[0]!;
  expect(far.lessons.map((l) => l.outlier)).toEqual([false, false, false, false, true]);
  const out = timesTaught('gives', [
    ...[0.8, 0.82, 0.79, 0.81].map((t) => lesson(t)),
    lesson(2.4, 'said'),
  ])[0]!;
  expect(out.learned!.mean).toBeCloseTo(row!.learned!.mean, 9);
  const running = cooked(1, chance(4));
  const events = running.events.map((e) =>
    e.is === 'done' && e.step === 'pour' ? { ...e, handsMin: 6 } : e,
  );
  expect(
    handsToldOf({ ...running, events }, [{ handsHours: 0.05 }, { handsHours: 0 }, { handsHours: 0 }]),
  ).toEqual([{ kind: 'add', times: expect.closeTo(2, 9) }]);
});
