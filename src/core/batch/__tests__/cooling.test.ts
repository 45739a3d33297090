import type { WrittenBatchEvent } from '../../kitchen-file';
import { coolingOf } from '../cooling';

const OFF = Date.parse('2026-03-14T10:00:00.000Z');
const at = (h: number): string => new Date(OFF + h * 3_600_000).toISOString();
const event = (h: number, of: object): WrittenBatchEvent =>
  ({ id: `e${h}`, at: at(h), recordedAt: at(h), ...of }) as WrittenBatchEvent;
const off = event(0, { is: 'off' });
const read = (h: number, celsius: number): WrittenBatchEvent => event(h, { is: 'degrees', celsius });
const LIMITS = [
  { toC: 40, withinH: 2 },
  { toC: 5, withinH: 6 },
];

function chance(seed: number): () => number {
  let s = seed;
  return () => {
    s = (Math.imul(s, 1664525) + 1013904223) >>> 0;
    return (s + 0.5) / 4294967296;
  };
}

test('when a pot will be at a limit lies in its band 8 times in 10, with two readings of a probe and with four', () => {
  const uniform = chance(11);
  const normal = (): number => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
  const around = [0, 2, 4, 8, 14, 20, 25];
  const wide: Record<number, number[]> = { 2: [], 4: [] };
  for (const reads of [2, 4]) {
    let [inside, of] = [0, 0];
    for (let n = 0; n < 200; n += 1) {
      const k = Math.exp(normal() * 0.8) / 2.2;
      const ta = around[Math.floor(uniform() * around.length)]!;
      const start = 95 + normal() * 4;
      const celsius = (h: number): number => ta + (start - ta) * Math.exp(-k * h);
      const truly = Math.log((start - ta) / (40 - ta)) / k;
      // Readings while it is still well above what is foretold.
      const hours = Array.from({ length: reads }, (_, i) => ((i + 1) / 8) * truly);
      const events = [off, ...hours.map((h) => read(h, celsius(h) + normal()))];
      const cooling = coolingOf(events, LIMITS, OFF + hours.at(-1)! * 3_600_000)!;
      const span = cooling.limits[0]!.at!;
      of += 1;
      if (truly >= span.low && truly <= span.high) inside += 1;
      wide[reads]!.push((span.high - span.low) / truly);
    }
    expect(inside / of).toBeGreaterThan(0.68);
    expect(inside / of).toBeLessThan(0.92);
  }
  const middle = (list: number[]): number => list.sort((a, b) => a - b)[Math.floor(list.length / 2)]!;
  expect(middle(wide[4]!)).toBeLessThan(middle(wide[2]!) * 0.7);
});

test('the clock starts when the heat goes off, not when the probe goes in; before that nothing is forecast', () => {
  expect(coolingOf([read(1, 60)], LIMITS, OFF)).toBeUndefined();
  const late = coolingOf([read(-1, 90), off, read(2.5, 60)], LIMITS, OFF + 2.5 * 3_600_000)!;
  expect(late.since).toBeCloseTo(2.5, 9);
  expect(late.reads).toHaveLength(1);
  expect(late.limits[0]).toMatchObject({ passed: true, late: expect.any(Number) });
  expect(late.limits[0]!.late).toBeGreaterThan(0.99);
});

test('what was read to be there is there; what surrounds it warmer than a limit never lets it come', () => {
  const fast = coolingOf([off, read(0.5, 55), read(1, 32), read(1.5, 19)], LIMITS, OFF + 1.5 * 3_600_000)!;
  expect(fast.limits[0]).toMatchObject({ read: 1, at: undefined, late: 0, passed: false });
  // In a warm kitchen: it comes to rest at 25 °C.
  const warm = [0.5, 1, 2, 3, 4, 5].map((h) => read(h, 25 + 70 * Math.exp(-1.1 * h)));
  const still = coolingOf([off, ...warm], LIMITS, OFF + 5 * 3_600_000)!;
  expect(still.limits[1]!.late).toBeGreaterThan(0.9);
  expect(still.limits[1]!.at!.middle).toBe(Infinity);
  expect(still.limits[1]!.creeps).toBe(true);
});
