import fc from 'fast-check';
import { cases } from '../../testing/cases';
import worked from '../../testing/worked-examples.json';
import { varianceOf, type MeasuredShare, type Variance } from '..';

test('the worked example', () => {
  const { given, expect: want } = worked.cases.find((c) => c.id === 'variance-of-a-batch') as unknown as {
    given: { standard: MeasuredShare; actual: MeasuredShare };
    expect: Record<string, number>;
  };
  const got = varianceOf(given.standard, given.actual);
  expect(got.standardPerL).toBeCloseTo(want.standard_cost_per_l!, 5);
  expect(got.expectedLitres).toBeCloseTo(want.expected_litres!, 6);
  for (const part of ['price', 'mix', 'yield', 'difference'] as const)
    expect(got[part]).toBeCloseTo(want[part]!, 5);
});

const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const line = fc.record({
  name: fc.constantFrom('bones', 'roots', 'wine', 'thyme'),
  kg: num(0, 50),
  price: num(0, 40),
});
const batch = fc.record({ litres: num(0.1, 80), lines: fc.array(line, { minLength: 1, maxLength: 6 }) });
const sum = (v: Variance): number => v.price + v.mix + v.yield;

describe('laws of a variance', () => {
  test('price, mix and yield leave no remainder, whatever went in', () => {
    fc.assert(
      fc.property(batch, batch, (standard, actual) => {
        fc.pre(standard.lines.some((l) => l.kg > 0.01));
        const v = varianceOf(standard, actual);
        expect(Math.abs(sum(v) - v.difference)).toBeLessThan(
          1e-9 * Math.max(1, ...[sum(v), v.price, v.mix, v.yield].map(Math.abs)),
        );
      }),
      { numRuns: cases(2000) },
    );
  });

  test('a batch as it was meant differs in nothing, and so does a double one', () => {
    fc.assert(
      fc.property(batch, num(0.2, 5), (standard, k) => {
        fc.pre(standard.lines.some((l) => l.kg > 0.01));
        const same = {
          litres: standard.litres * k,
          lines: standard.lines.map((l) => ({ ...l, kg: l.kg * k })),
        };
        const v = varianceOf(standard, same);
        for (const part of [v.price, v.mix, v.yield, v.difference]) expect(part).toBeCloseTo(0, 6);
      }),
    );
  });

  test('only dearer is price, only fewer litres is yield, only other shares is mix', () => {
    const standard = {
      litres: 6,
      lines: [
        { name: 'bones', kg: 8, price: 2.4 },
        { name: 'roots', kg: 2, price: 1.4 },
      ],
    };
    const dearer = varianceOf(standard, {
      ...standard,
      lines: standard.lines.map((l) => ({ ...l, price: l.price + 1 })),
    });
    expect([dearer.price, dearer.mix, dearer.yield].map((x) => Number(x.toFixed(9)))).toEqual([10, 0, 0]);
    const fewer = varianceOf(standard, { ...standard, litres: 5 });
    expect([fewer.price, fewer.mix]).toEqual([0, 0]);
    expect(fewer.yield).toBeCloseTo(22 / 6, 9);
    const shares = varianceOf(standard, {
      litres: 6,
      lines: [
        { name: 'bones', kg: 9, price: 2.4 },
        { name: 'roots', kg: 1, price: 1.4 },
      ],
    });
    expect([shares.price, shares.yield]).toEqual([0, 0]);
    expect(shares.mix).toBeCloseTo(1, 9);
  });

  test('something the standard does not know is mix at what it cost; without a standard there is nothing to say', () => {
    const standard = { litres: 6, lines: [{ name: 'bones', kg: 10, price: 2 }] };
    const v = varianceOf(standard, {
      litres: 6,
      lines: [
        { name: 'bones', kg: 9, price: 2 },
        { name: 'trotter', kg: 1, price: 5 },
      ],
    });
    expect([v.price, v.mix, v.yield]).toEqual([0, 3, 0]);
    expect(() => varianceOf({ litres: 0, lines: [] }, standard)).toThrow(/litres and kilos/);
  });
});
