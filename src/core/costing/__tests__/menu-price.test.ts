import fc from 'fast-check';
import { menuSteps, priceFor } from '../menu-price';

test('a house’s habit is read off its menu: the widest step, or the ending, of four out of five', () => {
  expect(menuSteps([29, 24.5, 23.5, 6.5, 13.5])).toEqual({ step: 50, ending: 0 });
  expect(menuSteps([29, 24, 12])).toEqual({ step: 100, ending: 0 });
  expect(menuSteps([11.95, 24.95, 7.95, 6.95, 8])).toEqual({ step: 100, ending: 95 });
  expect(menuSteps([1.23, 4.56, 7.89])).toEqual({ step: 1, ending: 0 });
  // Two prices are no habit.
  expect(menuSteps([1.23, 4.56])).toEqual({ step: 50, ending: 0 });
});

test('by hand: 8.25 at 32 % net, 13.5 % tax, is 29.26, and the menu says 29.50', () => {
  const asked = priceFor(8.25, 32, 13.5, { step: 50, ending: 0 });
  expect(asked.ok && asked.value.exact).toBeCloseTo(29.2617, 4);
  expect(asked.ok && asked.value.onMenu).toBe(29.5);
  const ending = priceFor(8.25, 32, 13.5, { step: 100, ending: 95 });
  expect(ending.ok && ending.value.onMenu).toBe(29.95);
});

test('no price keeps a target of nothing; all of the price is a target too', () => {
  const none = priceFor(5, 0, 10, { step: 50, ending: 0 });
  expect(!none.ok && none.trouble.message).toBe('No price keeps a target of 0 %: it has to be above 0 %.');
  const all = priceFor(5, 100, 10, { step: 1, ending: 0 });
  expect(all.ok && all.value.onMenu).toBeCloseTo(5.5, 9);
});

test('whatever it costs, the price on the menu keeps the target, and one step less does not', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.05, max: 500, noNaN: true }),
      fc.double({ min: 1, max: 100, noNaN: true }),
      fc.constantFrom(0, 5, 13.5, 25),
      fc.constantFrom(
        { step: 100, ending: 0 },
        { step: 50, ending: 0 },
        { step: 100, ending: 95 },
        { step: 5, ending: 0 },
      ),
      (cost, target, tax, steps) => {
        const asked = priceFor(cost, target, tax, steps);
        if (!asked.ok) throw new Error(asked.trouble.message);
        const pct = (price: number): number => (cost / (price / (1 + tax / 100))) * 100;
        expect(pct(asked.value.onMenu)).toBeLessThanOrEqual(target + 1e-6);
        const less = asked.value.onMenu - steps.step / 100;
        if (less > 0) expect(pct(less)).toBeGreaterThan(target - 1e-6);
      },
    ),
  );
});
