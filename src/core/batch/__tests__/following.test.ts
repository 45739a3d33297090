import type { WrittenBatchEvent } from '../../kitchen-file';
import { liquidMl, type PotState } from '../../pot';
import { CONSTANTS } from '../../reference';
import { runPot, type Pot, type PotDoing } from '../../verbs';
import { chance } from '../../testing/real-pot';
import { hob, of, round, stuff } from '../../testing/stuff';
import { boiling, onHeat, spreadOf, type OnHeat } from '../evaporation';
import { dipOf, estimateBatch, type RunningBatch } from '..';

const c = CONSTANTS;
const START = Date.parse('2026-03-14T08:00:00.000Z');
const MINUTE = 60_000;
const stock = stuff('stock', 'liquid', { water: 0.95, gelatin: 0.03, salt: 0.002 });
const pan = round(32, 32, 20);

const pour = { do: 'add', what: of(stock), g: 9000 } as unknown as PotDoing;
const reduce: OnHeat = { do: 'reduce', heat: 'brisk boil', lid: 'off', to: { until: 'ml', value: 4000 } };
const simmer: OnHeat = { do: 'cook', heat: 'simmer', lid: 'off', hours: 2 };

const potOf = (...steps: PotDoing[]): Pot => ({ vessel: pan, hob: hob(null), steps });
const at = (minutes: number): string => new Date(START + minutes * MINUTE).toISOString();
let ids = 0;
const idFor = (): string => `019d20a1-8c00-7a10-8b10-${String((ids += 1)).padStart(12, '0')}`;
const event = (minutes: number, of: object): WrittenBatchEvent =>
  ({ id: idFor(), at: at(minutes), recordedAt: at(minutes), ...of }) as WrittenBatchEvent;
const dip = (minutes: number, cm: number, how: 'ruler' | 'spoon' = 'ruler'): WrittenBatchEvent =>
  event(minutes, { is: 'dip', cm, with: how });

const lines = ['pour', 'heat', 'last'];
const batch = (pot: Pot, events: WrittenBatchEvent[]): RunningBatch => ({
  pot,
  lines: lines.slice(0, pot.steps.length),
  startedAt: START,
  rescues: {},
  events: [event(0, { is: 'done', step: 'pour' }), ...events],
});
const now = (minutes: number): number => START + minutes * MINUTE;

/** The pot right after it was filled, with more or less water in it than anybody thinks. */
function filled(offMl = 0): PotState {
  const running = estimateBatch(batch(potOf(pour, reduce), []), now(0), c);
  const pot = running.pot as PotState;
  pot.liquid.water += offMl;
  return pot;
}

/** A pot that boils away as one of the table's range does, read with a ruler's error, beside what is foretold of it. */
function simulated(normal: () => number, reads: number) {
  const times = Math.exp(normal() * spreadOf('brisk boil', 'off'));
  const pot = filled(normal() * 0.015 * 9000);
  const truth = boiling({ ...c, stepH: 1 / 60 }, 'brisk boil', times);
  const minutes = Array.from({ length: 400 }, (_, i) => i * 2);
  const { at: states } = onHeat(
    pot,
    truth,
    reduce,
    minutes.map((m) => m / 60),
  );
  const ends = minutes[states.findIndex((s) => liquidMl(s.liquid) <= 4000)] ?? NaN;
  // One every eighth of its way, as a cook walks by.
  const when = Array.from({ length: reads }, (_, i) => Math.round(((i + 1) / 8) * ends * 0.5) * 2);
  const events = when.map((m) => dip(m, dipOf(states[m / 2] as PotState) + normal() * 0.2));
  const last = when.at(-1) ?? 0;
  const { left } = estimateBatch(batch(potOf(pour, reduce), events), now(last), c);
  return { left: left!, truly: (ends - last) / 60 };
}

test('minutes to a target from two dips lie in their band 8 times in 10, and from four the band is half as wide', () => {
  const many = 80;
  const normal = chance(7);
  const of = (reads: number) => {
    let inside = 0;
    const wide: number[] = [];
    for (let n = 0; n < many; n += 1) {
      const { left, truly } = simulated(normal, reads);
      // To the minute, which is how it is said.
      if (truly >= left.low - 0.5 / 60 && truly <= left.high + 0.5 / 60) inside += 1;
      wide.push(left.high - left.low);
    }
    wide.sort((a, b) => a - b);
    return { inside: inside / many, wide: wide[Math.floor(many / 2)] as number };
  };
  const [two, four] = [of(2), of(4)];
  for (const { inside } of [two, four]) {
    expect(inside).toBeGreaterThan(0.7);
    expect(inside).toBeLessThan(0.9);
  }
  expect(four.wide).toBeLessThan(two.wide / 2);
});

test('a reading of what the pot says anyway moves nothing; one that says less takes water, and nothing but water', () => {
  const pot = potOf(pour, simmer);
  const before = estimateBatch(batch(pot, []), now(30), c);
  const same = estimateBatch(batch(pot, [dip(30, dipOf(before.pot as PotState))]), now(30), c);
  expect(same.ml!.middle / before.ml!.middle).toBeCloseTo(1, 2);
  expect(same.ml!.high - same.ml!.low).toBeLessThan((before.ml!.high - before.ml!.low) * 0.8);
  const less = estimateBatch(batch(pot, [dip(30, dipOf(before.pot as PotState) + 0.3)]), now(30), c);
  expect(less.ml!.middle).toBeLessThan(before.ml!.middle - 50);
  const grams = ({ pot: p }: typeof before) => [p!.liquid.salt, p!.liquid.gelatin];
  for (const [i, g] of grams(less).entries()) expect(g / grams(before)[i]!).toBeCloseTo(1, 3);
});

test('a pot that has cooled stands lower and is no less: read as it stood then it moves nothing, read as if it were hot it does', () => {
  const pot = potOf(pour, simmer);
  const done = event(125, { is: 'done', step: 'heat' });
  const hot = estimateBatch(batch(pot, [done]), now(300), c);
  const there = hot.pot as PotState;
  expect(there.celsius).toBeGreaterThan(80);
  const lower = dipOf({ ...there, celsius: 20 });
  expect(lower).toBeGreaterThan(dipOf(there) + 0.3);
  const read = (more: object) =>
    estimateBatch(
      batch(pot, [done, event(290, { is: 'dip', cm: lower, with: 'ruler', ...more })]),
      now(300),
      c,
    );
  expect(read({ celsius: 20 }).ml!.middle / hot.ml!.middle).toBeCloseTo(1, 3);
  expect(read({}).ml!.middle / hot.ml!.middle).toBeLessThan(0.985);
});

test('told late, twice or in any order, a batch is the same batch', () => {
  const pot = potOf(pour, reduce);
  const read = [dip(10, 9.4), dip(24, 9.9), dip(41, 10.6)];
  const one = estimateBatch(batch(pot, read), now(45), c);
  const other = estimateBatch(batch(pot, [...read].reverse().concat(read)), now(45), c);
  expect(JSON.stringify(other)).toBe(JSON.stringify(one));
  // At another tablet a moment later nothing that was known is forgotten.
  expect(estimateBatch(batch(pot, read), now(46), c).left!.middle).toBeCloseTo(one.left!.middle - 1 / 60, 2);
});

test('a level that rose, or fell faster than it can boil, is asked about, and counts as it is answered', () => {
  const pot: Pot = { ...potOf(pour, simmer), hob: hob(3) };
  const plain = estimateBatch(batch(pot, []), now(60), c);
  const stands = dipOf(plain.pot as PotState);
  const up = dip(60, stands - 3);
  const rose = estimateBatch(batch(pot, [up]), now(61), c);
  expect(rose.asked).toMatchObject([{ reading: up.id, why: 'rose' }]);
  expect(rose.ml!.middle).toBeCloseTo(estimateBatch(batch(pot, []), now(61), c).ml!.middle, 6);
  const answered = (of: WrittenBatchEvent, as: string) =>
    estimateBatch(batch(pot, [of, event(61, { is: 'answered', reading: of.id, as })]), now(61), c);
  const topped = answered(up, 'water');
  expect(topped.asked).toEqual([]);
  expect(topped.ml!.middle).toBeGreaterThan(plain.ml!.middle + 2000);
  expect(topped.pot!.liquid.salt / plain.pot!.liquid.salt).toBeCloseTo(1, 2);
  expect(answered(up, 'misread').ml!.middle).toBeCloseTo(rose.ml!.middle, 6);

  const down = dip(60, stands + 7);
  const fell = estimateBatch(batch(pot, [down]), now(61), c);
  expect(fell.asked).toMatchObject([{ reading: down.id, why: 'fell' }]);
  expect(fell.boils!.mu).toBe(plain.boils!.mu);
  const lost = answered(down, 'lost');
  // A share of everything has gone, and none of it teaches how fast it boils.
  expect(lost.pot!.liquid.salt / lost.ml!.middle).toBeCloseTo(plain.pot!.liquid.salt / plain.ml!.middle, 4);
  expect(lost.boils!.mu).toBeCloseTo(plain.boils!.mu, 3);
});

test('without any reading a batch is what its sheet says, and a line over its time says by how much', () => {
  const pot = potOf(pour, simmer);
  const done = estimateBatch(batch(pot, [event(120, { is: 'done', step: 'heat' })]), now(200), c);
  const sheet = runPot(pot, c).rows.at(-1)!;
  expect(done.at).toBe(2);
  expect(done.ml!.middle / sheet.ml).toBeCloseTo(1, 3);
  const over = estimateBatch(batch(pot, []), now(150), c);
  expect(over.left!.middle).toBeCloseTo(-0.5, 1);
  expect(over.ml!.middle).toBeLessThan(sheet.ml);
});

test('a salt meter moves salt and nothing else, nearly to what it says, whatever stands on the heat', () => {
  const pot = potOf(pour, simmer);
  const before = estimateBatch(batch(pot, []), now(40), c);
  const after = estimateBatch(batch(pot, [event(30, { is: 'salt', pct: 1.1 })]), now(40), c);
  const share = ({ pot: p }: typeof before): number => (p!.liquid.salt / liquidMl(p!.liquid)) * 100;
  expect(share(before)).toBeLessThan(0.3);
  // It boils on for ten minutes after the meter was read.
  expect(share(after)).toBeGreaterThan(0.6);
  expect(share(after)).toBeLessThan(1.2);
  expect(after.pot!.liquid.gelatin).toBeCloseTo(before.pot!.liquid.gelatin, 1);
  expect(after.pot!.liquid.water).toBeCloseTo(before.pot!.liquid.water, -1);
});
