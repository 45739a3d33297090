import fc from 'fast-check';
import { cases } from '../../testing/cases';
import { CONSTANTS } from '../../reference';
import { hob, of, round, stuff } from '../../testing/stuff';
import { WATER } from '../../larder';
import { retentionFrom } from '..';
import { runPot } from '../../verbs';

const hours = fc.double({ min: 0.2, max: 10, noNaN: true });

test('a drained weight gives back the retention that a pot held back, whatever passed in the meantime', () => {
  fc.assert(
    fc.property(
      hours,
      fc.integer({ min: 20, max: 400 }),
      fc.double({ min: 0, max: 0.05, noNaN: true }),
      fc.double({ min: 0, max: 0.08, noNaN: true }),
      fc.double({ min: 0, max: 0.25, noNaN: true }),
      (h, retention, gelatinPool, renderedFat, vapour) => {
        const bones = stuff(
          'bones',
          'piece',
          { water: 0.55, fat: 0.1, salt: 0.003 },
          { gelatinPool, gelatinHalfLifeH: 3, renderedFat, retention },
        );
        const pot = runPot(
          {
            vessel: round(36, 36, 60),
            hob: hob(),
            steps: [
              { do: 'add', what: of(bones), g: 8000 },
              ...(vapour > 0 ? [{ do: 'brown' as const, vapour, fatRunOff: 0, hours: 1 }] : []),
              { do: 'add', what: of(WATER), g: 30_000 },
              { do: 'cook', heat: 'bare simmer', hours: h, lid: 'on' },
              { do: 'strain', pressed: false, through: 'colander' },
            ],
          },
          CONSTANTS,
        );
        const strained = pot.rows[pot.rows.length - 1]?.lost ?? {};
        const drained = (strained['solids discarded'] ?? 0) + (strained['held in solids'] ?? 0);
        const found = retentionFrom(bones, 8000, 8000 * (1 - vapour), h, drained, CONSTANTS);
        // The pot's liquid is a little heavier than water: a few per cent of what it holds back.
        expect(Math.abs(found - retention)).toBeLessThan(2 + retention * 0.05);
      },
    ),
    { numRuns: cases(60) },
  );
});

test('what swelled in the pot is retention too: its own water was taken up from the liquid', () => {
  const grain = stuff('grain', 'piece', { water: 0.1, starch: 0.6 }, { takesWater: 1.8 });
  // Fully swollen, not a drop hangs on it: 1 kg weighs 2.8 kg.
  const found = retentionFrom(grain, 1000, 1000, 10, 2800, CONSTANTS);
  expect(found).toBeGreaterThan(1750);
  expect(found).toBeLessThan(1850);
});

test('less than the model leaves of it comes out below nothing, for a person to see', () => {
  const bones = stuff('bones', 'piece', { water: 0.5 });
  expect(retentionFrom(bones, 1000, 1000, 1, 700, CONSTANTS)).toBeLessThan(-250);
});
