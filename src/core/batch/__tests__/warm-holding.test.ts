import fc from 'fast-check';
import type { WrittenBatchEvent } from '../../kitchen-file';
import { cases } from '../../testing/cases';
import { coolingOf } from '..';
import { warmHolding } from '../warm-holding';

const START = Date.parse('2026-03-14T08:00:00.000Z');
const at = (h: number): string => new Date(START + h * 3_600_000).toISOString();
let ids = 0;
const event = (h: number, of: object): WrittenBatchEvent =>
  ({ id: `e${(ids += 1)}`, at: at(h), recordedAt: at(h), ...of }) as WrittenBatchEvent;
const read = (h: number, celsius: number): WrittenBatchEvent => event(h, { is: 'degrees', celsius });
const RULES = { reheat: { toC: 75, withinH: 1 }, holdAtC: 63 };
const now = (h: number): number => START + h * 3_600_000;

test('what is reheated is forecast by where it is going, and past its time it is past the rule, whatever is read later', () => {
  const begun = [event(0, { is: 'reheating' }), read(0.1, 15), read(0.3, 35)];
  const goes = warmHolding(begun, RULES, now(0.3))!;
  expect(goes).toMatchObject({ is: 'reheating', limitC: 75, withinH: 1, there: false, broken: false });
  expect(goes.at!.middle).toBeCloseTo(0.7, 2);
  expect(goes.at!.low).toBeLessThan(0.7);
  expect(goes.at!.high).toBeGreaterThan(0.7);
  const there = [...begun, read(0.8, 76)];
  expect(warmHolding(there, RULES, now(0.9))).toMatchObject({ there: true, broken: false, at: undefined });
  expect(warmHolding(begun, RULES, now(1.2))!.broken).toBe(true);
  expect(warmHolding([...begun, read(1.5, 80)], RULES, now(2))).toMatchObject({ there: true, broken: true });
});

test('what is held hot is told before it falls below, and one reading below is below for good', () => {
  const held = [event(0, { is: 'holding' }), read(0, 74), read(0.5, 71), read(1, 68)];
  const falls = warmHolding(held, RULES, now(1))!;
  expect(falls.broken).toBe(false);
  expect(falls.at!.middle).toBeCloseTo(1 + 5 / 6, 1);
  expect(warmHolding([...held, read(1.5, 62), read(2, 70)], RULES, now(2))!.broken).toBe(true);
  // Steady it goes nowhere; and without a rule nothing is broken.
  const steady = [event(0, { is: 'holding' }), read(0, 70), read(0.5, 70), read(1, 70.5)];
  expect(warmHolding(steady, RULES, now(1))!.at?.middle ?? Infinity).toBe(Infinity);
  expect(warmHolding(held, {}, now(1))).toMatchObject({ limitC: undefined, broken: false, at: undefined });
  expect(warmHolding([read(0, 70)], RULES, now(1))).toBeUndefined();
});

test('a pot that was moved is forecast by where it stands and how deep: colder places and shallower ones are sooner there', () => {
  const limits = [{ toC: 8, withinH: 6 }];
  const soon = (to: string, depthCm: number): number =>
    coolingOf([event(0, { is: 'off' }), event(0.2, { is: 'moved', to, depthCm })], limits, now(0.2))!
      .limits[0]!.at!.middle;
  fc.assert(
    fc.property(fc.integer({ min: 3, max: 30 }), (cm) => {
      const [ice, chiller, cold, kitchen] = ['ice bath', 'blast chiller', 'cold room', 'kitchen'].map((p) =>
        soon(p, cm),
      );
      expect(ice!).toBeLessThan(cold!);
      expect(chiller!).toBeLessThan(cold!);
      // A kitchen never gets it there.
      expect(kitchen).toBe(Infinity);
      expect(soon('cold room', cm + 5)).toBeGreaterThan(cold!);
    }),
    { numRuns: cases(15) },
  );
  // What was read there counts, what was read before it only says where it began.
  const begun = [
    event(0, { is: 'off' }),
    read(0.5, 85),
    event(0.6, { is: 'moved', to: 'cold room', depthCm: 5 }),
  ];
  const slow = coolingOf([...begun, read(1, 80), read(1.5, 76)], limits, now(1.5))!;
  const fast = coolingOf([...begun, read(1, 60), read(1.5, 42)], limits, now(1.5))!;
  expect(fast.limits[0]!.at!.middle).toBeLessThan(slow.limits[0]!.at!.middle);
  expect(fast.place).toEqual({ to: 'cold room', depthCm: 5 });
  expect(fast.now.middle).toBeGreaterThan(39);
  expect(fast.now.middle).toBeLessThan(46);
});
