import { Decimal } from 'decimal.js';
import fc from 'fast-check';
import {
  calculate,
  expansion,
  mannerOf,
  measureUnit,
  MoneyError,
  readAmount,
  readAmountOf,
  readingAt20,
  readNumber,
  shareOut,
  toGrams,
  waterDensity,
  writeAmount,
} from '..';

const value = (typed: string, mark: '.' | ',' = '.'): number | string => {
  const read = readAmount(typed, mark);
  return read.ok ? Number(read.value.value.toFixed(6)) : read.trouble.code;
};

describe('numbers as people type them', () => {
  const number = (typed: string, mark: '.' | ',' = '.'): string => {
    const read = readNumber(typed, mark);
    return read.ok ? read.value.toString() : read.trouble.code;
  };
  test.each([
    ['12', '12'],
    ['1.5', '1.5'],
    ['1,5', '1.5'],
    ['1 1/2', '1.5'],
    ['3/4', '0.75'],
    ['half', '0.5'],
    ['0.500', '0.5'],
    ['0,125', '0.125'],
    ['1,234.50', '1234.5'],
    ['1.234,50', '1234.5'],
    ['1 234,5', '1234.5'],
    ["1'000'000", '1000000'],
    ['1.234.567', '1234567'],
    ['-2', '-2'],
    ['1.500', 'two-meanings'],
    ['1,500', 'two-meanings'],
    ['1/0', 'divides-by-zero'],
    ['ten', 'not-a-number'],
    ['', 'not-a-number'],
    ['1.2.3', 'not-a-number'],
    ['1,2,3.4', 'not-a-number'],
    ['.', 'not-a-number'],
  ])('%s', (typed, want) => expect(number(typed)).toBe(want));

  test('an unclear mark is asked with both readings', () => {
    const read = readNumber('1.500');
    expect(!read.ok && read.trouble.message).toBe('“1.500” can mean 1.5 or 1500: write one of these.');
  });

  test('any decimal written plainly is read back exactly', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 999_999 }), fc.integer({ min: 0, max: 99 }), (whole, cents) => {
        const text = `${whole}.${String(cents).padStart(2, '0')}`;
        expect(number(text)).toBe(new Decimal(text).toString());
        expect(number(text.replace('.', ','))).toBe(new Decimal(text).toString());
      }),
    );
  });
});

describe('amounts as people type them', () => {
  test.each([
    ['8 kg', 8000],
    ['8kg', 8000],
    ['2 lb 4 oz', 1020.582832],
    ['1 1/2 l', 1500],
    ['6 x 2.5 kg', 15000],
    ['case 12 x 750 ml', 9000],
    ['2 x 3 x 500 g', 3000],
    ['half bottle', 0.5],
    ['1 h 30', 1.5],
    ['1 h 30 min', 1.5],
    ['90 min', 1.5],
    ['18 %', 0.18],
    ['92 °C', 92],
    ['212 °F', 100],
    ['4 cm', 4],
    ['half bushel', 17619.5352],
    ['1 us gallon', 3785.411784],
    ['bunch of 12', 12],
    ['case of 24', 24],
    ['half dozen', 6],
    ['3*2.5kg', 7500],
    ['2 kg + 300 g', 2300],
    ['10 kg - 1.5 kg', 8500],
    ['10 kg / 4', 2500],
    ['(2+3) kg', 5000],
    ['(1.5 * 2) x 2 kg', 6000],
    ['6 x 2 x 250 g', 3000],
    ['2 kg + 3 l', 'mixed-units'],
    ['2 kg - 3 kg', 'negative'],
    ['2 kg / 0', 'divides-by-zero'],
    ['2 kg + ham', 'not-an-amount'],
    ['3', 'no-unit'],
    ['3 stone', 'unknown-unit'],
    ['2 pints', 'doubtful-unit'],
    ['1 gallon', 'doubtful-unit'],
    ['', 'no-amount'],
    ['2 kg 3 l', 'mixed-units'],
    ['-2 kg', 'negative'],
    ['2.500 kg', 'two-meanings'],
    ['kg', 'not-an-amount'],
  ])('%s', (typed, want) => expect(value(typed)).toBe(want));

  test('a kind that is not wanted is said', () => {
    const read = readAmountOf(['volume'], '2 kg');
    expect(!read.ok && read.trouble.message).toBe('“2 kg” is a mass; a volume is wanted here.');
  });

  test('grams need the thing’s own density or piece weight, and nothing is guessed', () => {
    const amount = (typed: string) => {
      const read = readAmount(typed);
      if (!read.ok) throw new Error(read.trouble.message);
      return read.value;
    };
    const leek = { name: 'Leek', densityGPerMl: 0.38, eachG: 230 };
    expect(toGrams(amount('2 l'), leek)).toMatchObject({ ok: true, value: { grams: 760 } });
    expect(toGrams(amount('3 each'), leek)).toMatchObject({
      ok: true,
      value: { grams: 690, via: '230 g each' },
    });
    expect(toGrams(amount('2 l'), { name: 'Leek' })).toMatchObject({
      ok: false,
      trouble: { code: 'density-unknown' },
    });
    expect(toGrams(amount('3 each'), { name: 'Leek' })).toMatchObject({
      ok: false,
      trouble: { code: 'piece-weight-unknown' },
    });
    expect(toGrams(amount('3 cm'), leek)).toMatchObject({ ok: false, trouble: { code: 'wrong-kind' } });
  });

  test('mass and volume go through a density and back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 9000, noNaN: true }),
        fc.double({ min: 0.1, max: 2, noNaN: true }),
        (ml, density) => {
          const read = toGrams(
            { typed: '', kind: 'volume', value: ml, unit: 'ml' },
            { name: 'x', densityGPerMl: density },
          );
          expect(read.ok && read.value.grams / density).toBeCloseTo(ml, 8);
        },
      ),
    );
  });
});

describe('hot liquid', () => {
  test('stands higher, most of all near the boil', () => {
    expect(expansion(95)).toBeCloseTo(1.0377, 4);
    expect(readingAt20(10000, 95, 2000)).toBeCloseTo(8000 / expansion(95), 9);
    expect(waterDensity(50)).toBeCloseTo(0.9877, 6);
    expect(waterDensity(0)).toBe(1);
    expect(waterDensity(120)).toBe(0.9584);
  });
});

describe('money is shared without losing a cent', () => {
  const amount = fc.integer({ min: 0, max: 10_000_000 }).map((c) => new Decimal(c).div(100));
  test('parts add up exactly, and none is a cent off its exact share', () => {
    fc.assert(
      fc.property(
        amount,
        fc.array(fc.oneof(fc.constant(0), fc.double({ min: 1e-9, max: 1000, noNaN: true })), {
          minLength: 1,
          maxLength: 12,
        }),
        (total, weights) => {
          const sum = weights.reduce((a, b) => a + b, 0);
          fc.pre(sum > 0);
          const parts = shareOut(total, weights);
          expect(parts.reduce((a, b) => a.plus(b), new Decimal(0)).toString()).toBe(total.toString());
          parts.forEach((part, i) =>
            expect(
              part
                .minus(total.times(weights[i] as number).div(sum))
                .abs()
                .lt('0.0100001'),
            ).toBe(true),
          );
        },
      ),
    );
  });
  test('the cents left over go to the largest remainders', () => {
    expect(shareOut(new Decimal('10'), [1, 1, 1]).map(String)).toEqual(['3.34', '3.33', '3.33']);
    expect(shareOut(new Decimal('-10'), [1, 1, 1]).map(String)).toEqual(['-3.34', '-3.33', '-3.33']);
  });
  test('what cannot be shared is a programmer’s mistake', () => {
    expect(() => shareOut(new Decimal(5), [0, 0])).toThrow(MoneyError);
    expect(() => shareOut(new Decimal(5), [-1, 2])).toThrow(MoneyError);
    expect(shareOut(new Decimal(0), [0, 0]).map(String)).toEqual(['0', '0']);
  });
});

describe('arithmetic in number fields', () => {
  const worked = (typed: string, mark: '.' | ',' = '.'): string => {
    const read = calculate(typed, mark);
    return read.ok ? read.value.toString() : read.trouble.code;
  };
  test.each([
    ['3*12.50', '37.5'],
    ['24.50/2', '12.25'],
    ['(7 + 5) x 1.20', '14.4'],
    ['2+3*4', '14'],
    ['10 - 2 - 3', '5'],
    ['1 1/2 * 2', '3'],
    ['3/4', '0.75'],
    ['-2 + 5', '3'],
    ['1.500 + 1', 'two-meanings'],
    ['2 * ', 'not-a-sum'],
    ['2 + (3', 'not-a-sum'],
    ['4 / (2 - 2)', 'divides-by-zero'],
    ['ham', 'not-a-number'],
    [`${'('.repeat(50)}1${')'.repeat(50)}`, 'not-a-sum'],
  ])('%s', (typed, want) => expect(worked(typed)).toBe(want));

  test('says what plain arithmetic says, whatever the numbers', () => {
    const n = fc.integer({ min: 1, max: 9999 }).map((x) => (x / 10).toFixed(1));
    fc.assert(
      fc.property(n, n, n, (a, b, c) => {
        expect(worked(`${a} + ${b}*${c}`)).toBe(new Decimal(b).times(c).plus(a).toString());
        expect(worked(`(${a}-${b}) x ${c}`)).toBe(new Decimal(a).minus(b).times(c).toString());
      }),
    );
  });
});

describe('the house’s own measures', () => {
  const house = mannerOf('.', [
    { name: 'ladle', amount: '120 ml' },
    { name: 'crate', amount: '6 kg' },
    { name: 'pint', amount: '568 ml' },
    { name: 'two words', amount: '1 l' },
  ]);
  test('are units like any other, in one and in many', () => {
    const of = (typed: string) => {
      const read = readAmount(typed, house);
      return read.ok ? read.value.value : read.trouble.code;
    };
    expect(of('3 ladles')).toBe(360);
    expect(of('1 1/2 crates')).toBe(9000);
    expect(of('1 pint')).toBe(568);
    expect(of('1 bucket')).toBe('unknown-unit');
  });
  test.each([
    ['kg', '5 kg', 'measure-taken'],
    ['two words', '1 l', 'measure-name'],
    ['ladle', '0 ml', 'empty-measure'],
    ['ladle', '2 h', 'wrong-kind'],
    ['ladle', 'some', 'not-an-amount'],
  ])('%s = %s is refused', (name, amount, code) => {
    const unit = measureUnit({ name, amount }, '.');
    expect(!unit.ok && unit.trouble.code).toBe(code);
  });
});

describe('writing an amount back', () => {
  test('what is written is read as the same amount, in any unit and with either mark', () => {
    const units = [
      'g',
      'kg',
      'mg',
      'lb',
      'oz',
      'ml',
      'cl',
      'l',
      'us pint',
      'imp gallon',
      'bushel',
      'each',
      'dozen',
      'bunch',
      'cm',
      'in',
      'h',
      'min',
      '%',
    ];
    fc.assert(
      fc.property(
        fc.constantFrom(...units),
        fc.constantFrom<'.' | ','>('.', ','),
        fc.integer({ min: 0, max: 9_999_999 }),
        fc.integer({ min: 0, max: 4 }),
        (unit, mark, digits, places) => {
          const typed =
            `${new Decimal(digits).div(10 ** places).toFixed(places === 3 ? 4 : places)} ${unit}`.replace(
              '.',
              mark,
            );
          const read = readAmount(typed, mark);
          if (!read.ok) throw new Error(`${typed}: ${read.trouble.message}`);
          const again = readAmount(writeAmount(read.value, mark), mark);
          expect(again.ok && again.value.unit).toBe(read.value.unit);
          expect(again.ok && Math.abs(again.value.value - read.value.value)).toBeLessThanOrEqual(
            1e-9 * Math.max(1, read.value.value),
          );
        },
      ),
    );
  });
  test.each([
    ['3*2.5kg', '7.5 kg'],
    ['2 lb 8 oz', '2.5 lb'],
    ['1/2 l + 100 ml', '0.6 l'],
    ['1250 g / 1000', '1.25 g'],
    ['212 °F', '212 °F'],
  ])('%s is %s', (typed, written) => {
    const read = readAmount(typed);
    expect(read.ok && writeAmount(read.value)).toBe(written);
  });
});
