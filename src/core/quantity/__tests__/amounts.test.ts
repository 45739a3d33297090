import { calculate, mannerOf, measureUnit, readAmount, readAmountOf, readNumber, type Manner } from '..';

/** Value and unit, or code and sentence. */
const said = (typed: string, manner: '.' | ',' | Manner = '.'): readonly [number | string, string] => {
  const read = readAmount(typed, manner);
  return read.ok
    ? [Number(read.value.value.toFixed(6)), read.value.unit]
    : [read.trouble.code, read.trouble.message];
};

describe('what is typed is read whole', () => {
  test.each([
    // Marks between terms, with and without spaces; a hyphen inside a word is none.
    ['2kg+300g', 2300, 'kg'],
    ['2 kg −300 g', 1700, 'kg'],
    ['2 kg − 300 g', 1700, 'kg'],
    ['2 kg -  300 g', 1700, 'kg'],
    ['1 l + half l', 1500, 'l'],
    ['1 kg + quarter kg', 1250, 'kg'],
    ['18 % + 2 %', 0.2, '%'],
    ['1 kg + 1 kg + 1 kg', 3000, 'kg'],
    ['5 kg - 1 kg - 1 kg', 3000, 'kg'],
    // Times and divided, in front and behind, with more than one figure.
    ['10 kg / 12', 833.333333, 'kg'],
    ['10 kg/4', 2500, 'kg'],
    ['10kg ÷ 4', 2500, 'kg'],
    ['2.5 kg * 3', 7500, 'kg'],
    ['2.5 kg × 12', 30000, 'kg'],
    ['18 % * 2', 0.36, '%'],
    ['10 kg / 2.5 ', 4000, 'kg'],
    ['12 × 750 ml', 9000, 'ml'],
    ['12x750ml', 9000, 'ml'],
    // Words.
    ['half a bottle', 0.5, 'bottle'],
    ['half an ounce', 14.174762, 'oz'],
    ['half a litre', 500, 'l'],
    ['quarter bottle', 0.25, 'bottle'],
    ['third bottle', 0.333333, 'bottle'],
    ['12/16 kg', 750, 'kg'],
    ['1 3/16 kg', 1187.5, 'kg'],
    ['10 1/2 kg', 10500, 'kg'],
    ['a case of 24', 24, 'each'],
    ['box of 12 kg', 12000, 'kg'],
    ['crates of 6 kg', 6000, 'kg'],
    ['net 5 kg', 5000, 'kg'],
    ['2 h 15', 2.25, 'h'],
    ['1 h 5 min', 1.083333, 'h'],
    ['2 lb. 4 oz.', 1020.582832, 'lb'],
    ['3 us fl oz', 88.720589, 'us fl oz'],
    ['-18 °C', -18, '°C'],
    ['0 °F', -17.777778, '°F'],
    ['0 kg', 0, 'kg'],
    ['(1 + 1) l', 2000, 'l'],
    ['((1 + 1) * 2) l', 4000, 'l'],
    ['(1/3) kg', 333.333, 'kg'],
  ])('%s', (typed, value, unit) => {
    expect(said(typed)).toEqual([value, unit]);
    // With spaces around it is the same, and it stands as it was typed.
    const read = readAmount(`  ${typed} `);
    expect(read.ok && [Number(read.value.value.toFixed(6)), read.value.typed]).toEqual([value, typed.trim()]);
  });

  test('with a comma for the decimals too', () => {
    expect(said('2,5 kg', ',')).toEqual([2500, 'kg']);
    expect(said('(1,5 * 2) kg', ',')).toEqual([3000, 'kg']);
    expect(said('3 kg * 1,5', ',')).toEqual([4500, 'kg']);
    expect(said('1.234,5 g', ',')).toEqual([1234.5, 'g']);
  });

  test('what one is packed in is known where there are several of it', () => {
    const inner = (typed: string) => {
      const read = readAmount(typed);
      return read.ok ? read.value.inner : read.trouble.code;
    };
    expect(inner('6 x 750 ml')).toBe(750);
    expect(inner('2 x 3 x 500 g')).toBe(500);
    expect(inner('case 12 x 1.5 l')).toBe(1500);
    expect(inner('750 ml')).toBeUndefined();
    expect(inner('1 x 750 ml')).toBeUndefined();
    expect(inner('half x 750 ml')).toBeUndefined();
    expect(inner('6 x 750 ml / 3')).toBeUndefined();
    expect(inner('6 x 750 ml + 100 ml')).toBeUndefined();
  });
});

describe('what is not understood is said with what was typed', () => {
  const not = (typed: string) =>
    ['not-an-amount', `“${typed}” is not an amount: write a number and a unit, such as 2.5 kg.`] as const;
  test.each([
    ['', 'no-amount', 'An amount is missing: write a number and a unit, such as 2.5 kg.'],
    ['   ', 'no-amount', 'An amount is missing: write a number and a unit, such as 2.5 kg.'],
    ['3', 'no-unit', '“3” has no unit: write, for example, 3 kg.'],
    ['180', 'no-unit', '“180” has no unit: write, for example, 180 g.'],
    ['2 kg 3', 'no-unit', '“2 kg 3” has no unit: write, for example, 2 kg 3 kg.'],
    ['case of 2 kg 3', 'no-unit', '“case of 2 kg 3” has no unit: write, for example, case of 2 kg 3 kg.'],
    ['3 stone', 'unknown-unit', '“stone” is not a unit known here.'],
    ['2 kg + 3 l', 'mixed-units', '“2 kg + 3 l” mixes mass and volume.'],
    ['2 kg 3 l', 'mixed-units', '“2 kg 3 l” mixes mass and volume.'],
    ['2 kg - 3 kg', 'negative', '“2 kg - 3 kg” is below 0.'],
    ['-2 kg', 'negative', '“-2 kg” is below 0.'],
    ['2 kg / 0', 'divides-by-zero', '“2 kg / 0” divides by 0.'],
    ['1/0 kg', 'divides-by-zero', '“1/0” divides by 0.'],
    ['(1/(1-1)) kg', 'divides-by-zero', '“1/0.000000” divides by 0.'],
    ['2 kg / 1.500', 'two-meanings', '“1.500” can mean 1.5 or 1500: write one of these.'],
    ['1.500 x 2 kg', 'two-meanings', '“1.500” can mean 1.5 or 1500: write one of these.'],
    ['(2 + ) kg', 'not-a-sum', '“2 +” cannot be calculated.'],
    ['(ham) kg', 'not-a-number', '“ham” is not a number.'],
    ['1.2.3 kg', 'not-a-number', '“1.2.3” is not a number.'],
  ])('“%s”', (typed, code, message) => {
    expect(said(typed)).toEqual([code, message]);
    // Which field it stands in is known to anyone who asked.
    const read = readAmount(typed);
    expect(!read.ok && read.trouble.path).toBe('');
  });
  test.each(['kg', 'ham', '2 kg + ham', '6 x', 'case of', '2 kg, more', '/ 2', 'x 2 kg', '2 kg / ham'])(
    '“%s” is no amount',
    (typed) => expect(said(typed)).toEqual(not(typed)),
  );
  test('the number and the limit are at hand', () => {
    const read = readAmount('2 kg - 3 kg');
    expect(!read.ok && read.trouble.numbers).toEqual({ value: -1000, limit: 0 });
  });
  test('a kind that is not wanted is said without the spaces around it, with every one that is', () => {
    const read = readAmountOf(['mass', 'count'], ' 2 l ');
    expect(!read.ok && read.trouble.path).toBe('');
    expect(read.ok || [read.trouble.code, read.trouble.message]).toEqual([
      'wrong-kind',
      '“2 l” is a volume; a mass or count is wanted here.',
    ]);
    expect(readAmountOf(['mass'], '2 kg').ok).toBe(true);
    const wrong = readAmountOf(['mass'], 'ham');
    expect(!wrong.ok && wrong.trouble.code).toBe('not-an-amount');
  });
});

describe('numbers at their edges', () => {
  const number = (typed: string, mark: '.' | ',' = '.') => {
    const read = readNumber(typed, mark);
    return read.ok ? read.value.toString() : read.trouble.message;
  };
  test.each([
    ['12/16', '0.75'],
    ['10 1/2', '10.5'],
    ['1 1 / 2', '1.5'],
    ['3⁄4', '0.75'],
    ['a', '1'],
    ['an', '1'],
    ['One', '1'],
    ['quarter', '0.25'],
    [' +2 ', '2'],
    ['-1,5', '-1.5'],
    ['-1,234.5', '-1234.5'],
    ['.5', '0.5'],
    ['5.', '5'],
    ['1,234,567.', '1234567'],
    ['0.125', '0.125'],
    ['12.3456', '12.3456'],
    ['1234.567', '1234.567'],
    ['01.500', '1.5'],
    ['123.500', '“123.500” can mean 123.5 or 123500: write one of these.'],
    ['1.000', '“1.000” can mean 1.0 or 1000: write one of these.'],
    ['1/0', '“1/0” divides by 0.'],
    ['1.234,567,8', '“1.234,567,8” is not a number.'],
    ['1,23,456', '“1,23,456” is not a number.'],
    ['12345,678.9', '“12345,678.9” is not a number.'],
    ['1.234,567.8', '“1.234,567.8” is not a number.'],
    ['2 kg', '“2 kg” is not a number.'],
    ['2x', '“2x” is not a number.'],
    ['x2', '“x2” is not a number.'],
    ['--2', '“--2” is not a number.'],
    ['2-', '“2-” is not a number.'],
    ['1/2/3', '“1/2/3” is not a number.'],
    ['1/2 3', '“1/2 3” is not a number.'],
    ['x 1/2', '“x 1/2” is not a number.'],
  ])('%s is %s', (typed, want) => expect(number(typed)).toBe(want));
  test('the two meanings are written with the kitchen’s own mark', () => {
    expect(number('1,250', ',')).toBe('“1,250” can mean 1,25 or 1250: write one of these.');
  });
});

describe('sums at their edges', () => {
  const worked = (typed: string) => {
    const read = calculate(typed);
    return read.ok ? read.value.toString() : read.trouble.message;
  };
  test.each([
    [' 3 * 12.50 ', '37.5'],
    ['12 ÷ 4', '3'],
    ['3 × 4', '12'],
    ['7 − 2', '5'],
    ['−2 × 3', '-6'],
    ['--2 + 5', '7'],
    ['2 * -3', '-6'],
    ['half * 3', '1.5'],
    ['1 000 * 2', '2000'],
    ['1 1/2 + 1 1/2', '3'],
    ['8 / 2 / 2', '2'],
    ['8 - (3 - 1)', '6'],
    ['2 + 3)', '“2 + 3)” cannot be calculated.'],
    [' 2 * ', '“2 *” cannot be calculated.'],
    ['4 / (2 - 2)', '“4 / (2 - 2)” divides by 0.'],
    [' 4 / 0 ', '“4 / 0” divides by 0.'],
    ['2 + ham', '“2 + ham” cannot be calculated.'],
    ['-ham', '“-ham” is not a number.'],
    [`${'('.repeat(20)}1${')'.repeat(20)}`, '1'],
    [`${'('.repeat(21)}1${')'.repeat(21)}`, `“${'('.repeat(21)}1${')'.repeat(21)}” cannot be calculated.`],
  ])('%s is %s', (typed, want) => expect(worked(typed)).toBe(want));
});

describe('a measure of the house’s own, at its edges', () => {
  const told = (name: string, amount: string) => {
    const unit = measureUnit({ name, amount }, '.');
    return unit.ok ? unit.value : [unit.trouble.code, unit.trouble.path, unit.trouble.message];
  };
  test('holds a mass, a volume or a count', () => {
    expect(told(' crate ', '6 kg')).toEqual({ kind: 'mass', name: 'crate', factor: 6000 });
    expect(told('ladle', '120 ml')).toEqual({ kind: 'volume', name: 'ladle', factor: 120 });
    expect(told('tray', '30 each')).toEqual({ kind: 'count', name: 'tray', factor: 30 });
  });
  test('and is refused with its field and a sentence', () => {
    expect(told('kg', '5 kg')).toEqual(['measure-taken', 'name', '“kg” is a unit already.']);
    for (const name of ['two words', 'x', 'l8', 'a'.repeat(25)])
      expect(told(name, '1 l')).toEqual([
        'measure-name',
        'name',
        `“${name}” cannot be a measure: one word of 2 to 24 letters is wanted.`,
      ]);
    expect(told('ladle', '0 ml')).toEqual([
      'empty-measure',
      'amount',
      '“0 ml” holds nothing: a measure holds more than 0.',
    ]);
    expect(told('ladle', '2 h')).toEqual([
      'wrong-kind',
      'amount',
      '“2 h” is a time; a mass or volume or count is wanted here.',
    ]);
    const none = measureUnit({ name: 'ladle', amount: '0 ml' }, '.');
    expect(!none.ok && none.trouble.numbers).toEqual({ value: 0, limit: 0 });
  });
  test('is known under its name in any case, in one and in many; one that cannot be read is left out', () => {
    const house = mannerOf('.', [
      { name: ' Ladle ', amount: '120 ml' },
      { name: 'bad name', amount: '1 l' },
    ]);
    expect(said('2 LADLES', house)).toEqual([240, 'Ladle']);
    expect(said('1 ladle', house)).toEqual([120, 'Ladle']);
    expect(house.measures?.size).toBe(1);
  });
});
