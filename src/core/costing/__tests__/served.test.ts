import fc from 'fast-check';
import { costFile, costOfPlate, portionsServed, portionsUsed } from '..';
import { CONSTANTS } from '../../reference';
import { SMALL, smallKitchen } from '../../testing/small-kitchen';
import { forCovers } from '../../planner';

const DAY = '2026-03-14';
type How = { overfillPct?: number; takenPct?: number; serviceLossPct?: number };

const costed = ({ serviceLossPct, ...line }: How) =>
  costFile(
    smallKitchen((k) => {
      const [plate] = k.plates;
      if (!plate) throw new Error('the small kitchen has a dish');
      Object.assign(plate, serviceLossPct === undefined ? {} : { serviceLossPct });
      Object.assign(plate.lines[1] ?? {}, line);
    }),
    DAY,
    CONSTANTS,
  );
const costOf = (how: How): number => costOfPlate(costed(how), SMALL.plate).cost ?? NaN;
const linesOf = (how: How): number[] => costOfPlate(costed(how), SMALL.plate).lines.map((l) => l ?? NaN);

test('by hand: five per cent over, of which four fifths are taken, a tenth lost in service', () => {
  const [leek = NaN, sauce = NaN] = linesOf({});
  expect(linesOf({ overfillPct: 5 })[1]).toBeCloseTo(sauce * 1.05, 12);
  expect(linesOf({ takenPct: 80 })[1]).toBeCloseTo(sauce * 0.8, 12);
  // What is lost is lost of all that stands on it.
  expect(linesOf({ serviceLossPct: 10 })).toEqual([
    expect.closeTo(leek / 0.9, 12),
    expect.closeTo(sauce / 0.9, 12),
  ]);
  expect(linesOf({ overfillPct: 5, takenPct: 80, serviceLossPct: 10 })[1]).toBeCloseTo(
    (sauce * 1.05 * 0.8) / 0.9,
    12,
  );
});

test('however it is served, the lines of a dish add up to it', () => {
  fc.assert(
    fc.property(
      fc.record({
        overfillPct: fc.integer({ min: 0, max: 100 }),
        takenPct: fc.integer({ min: 0, max: 100 }),
        serviceLossPct: fc.integer({ min: 0, max: 90 }),
      }),
      (how) => {
        expect(linesOf(how).reduce((a, b) => a + b, 0)).toBeCloseTo(costOf(how), 9);
        expect(portionsUsed(how, how)).toBeLessThanOrEqual(portionsServed(how, how) + 1e-12);
      },
    ),
    { numRuns: 40 },
  );
});

test('what guests leave of what stands on the side costs nothing and still has to be made', () => {
  const made = (how: How): number => {
    const found = forCovers(costed(how), SMALL.plate, 100, CONSTANTS);
    if (!found.ok) throw new Error(found.trouble.message);
    return found.value.makings.find((m) => m.name === 'Sauce')?.ml ?? NaN;
  };
  expect(made({ takenPct: 50 })).toBeCloseTo(made({}), 6);
  expect(made({ overfillPct: 10 })).toBeCloseTo(made({}) * 1.1, 3);
});
