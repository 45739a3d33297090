import { Decimal } from 'decimal.js';
import fc from 'fast-check';
import { guessColumns, judgeRow, listMark, matcher, placesOf, readRow, type Current } from '..';

const leek: Current = {
  name: 'Leeks',
  pack: '5 kg',
  packG: 5000,
  thing: { name: 'Leek', eachG: 200 },
  price: new Decimal('14'),
};
const manner = { mark: '.' as const };

describe('columns', () => {
  test.each([
    [
      ['Art.Nr', 'Description', 'Packed', 'Price EUR'],
      { code: 'Art.Nr', name: 'Description', pack: 'Packed', price: 'Price EUR' },
    ],
    [
      ['Net', 'Product', 'SKU', 'UoM', 'Size'],
      { price: 'Net', name: 'Product', code: 'SKU', unit: 'UoM', pack: 'Size' },
    ],
    [['what', '€', 'per'], { name: 'what', price: '€', unit: 'per' }],
  ])('%j', (heads, want) => expect(guessColumns(heads)).toEqual(want));

  test('what was mapped before is taken before any guess, wherever the column now stands', () => {
    const remembered = { name: 'Kind', price: 'Ours' };
    expect(guessColumns(['Price list', 'Ours', 'Kind'], remembered)).toMatchObject(remembered);
    expect(placesOf(['Price list', 'Ours', 'Kind'], remembered)).toEqual({ price: 1, name: 2 });
  });
});

describe('rows', () => {
  const places = { code: 0, name: 1, pack: 2, price: 3 };
  const read = (price: string, mark: '.' | ',' = '.'): string => {
    const row = readRow(['A1', 'Leeks', '5 kg', price], places, mark, 'EUR');
    return row.ok ? (row.value?.price.toString() ?? 'blank') : row.trouble.code;
  };
  test.each([
    ['12.50', '.', '12.5'],
    ['12,50', ',', '12.5'],
    ['€ 1,234.50', '.', '1234.5'],
    ['1.234,50 EUR', ',', '1234.5'],
    ['1 234,50 €', ',', '1234.5'],
    ['1.500', '.', '1.5'],
    ['1.500', ',', '1500'],
    ['£12', '.', 'other-currency'],
    ['12 USD', '.', 'other-currency'],
    ['=B2*1.1', '.', 'formula'],
    ['-3', '.', 'negative-price'],
    ['tbc', '.', 'not-a-number'],
    ['', '.', 'no-price-typed'],
    ['2000000', '.', 'price-too-high'],
  ] as const)('%s with %s', (price, mark, want) => expect(read(price, mark)).toBe(want));

  test('a blank line is nothing; a line without code and name is refused', () => {
    expect(readRow(['', ' ', '', ''], places, '.', 'EUR')).toEqual({ ok: true, value: undefined });
    const row = readRow(['', '', '5 kg', '3'], places, '.', 'EUR');
    expect(!row.ok && row.trouble.code).toBe('no-name');
  });

  test('packs take the unit of their own column; “per kg” is a pack of one', () => {
    const pack = (p: string, u: string): string | undefined => {
      const row = readRow(
        ['A', 'B', p, u, '3'],
        { code: 0, name: 1, pack: 2, unit: 3, price: 4 },
        '.',
        'EUR',
      );
      return row.ok ? row.value?.pack : undefined;
    };
    expect(pack('10', 'kg')).toBe('10 kg');
    expect(pack('6 x 75', 'cl')).toBe('6 x 75 cl');
    expect(pack('5 kg', 'crate')).toBe('5 kg');
    expect(pack('', 'per kg')).toBe('1 kg');
    expect(pack('bunch', '')).toBe('1 bunch');
    expect(pack('', '')).toBeUndefined();
  });

  test('any price written with either mark and thousands is read back exactly', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 99_999_999 }),
        fc.boolean(),
        fc.boolean(),
        (cents, comma, grouped) => {
          const value = new Decimal(cents).div(100);
          const [whole = '', decimals = ''] = value.toFixed(2).split('.');
          const [mark, group] = comma ? [',', '.'] : ['.', ','];
          const shown = grouped ? whole.replace(/\B(?=(\d{3})+$)/g, group) : whole;
          expect(read(`${shown}${mark}${decimals}`, mark as '.')).toBe(value.toString());
        },
      ),
    );
  });

  test('the mark is told by the prices themselves, or not at all', () => {
    expect(listMark(['12,50', '3,10', '1.200,00'])).toBe(',');
    expect(listMark(['12.50', '3'])).toBe('.');
    expect(listMark(['€ 1,234.50'])).toBe('.');
    expect(listMark(['12', '1.500'])).toBeUndefined();
    expect(listMark(['12,50', '3.10'])).toBeUndefined();
  });
});

describe('matching', () => {
  const match = matcher([
    { id: 'a', name: 'Leeks', code: 'LE5' },
    { id: 'b', name: 'Crème fraîche', code: 'CF' },
    { id: 'c', name: 'Thyme, bunches' },
    { id: 'd', name: 'Twin', code: 'T' },
    { id: 'e', name: 'Twin', code: 'T' },
  ]);
  test('by code, then by name, and never between two', () => {
    expect(match({ code: 'le 5', name: 'Poireaux' })).toEqual({ article: 'a', by: 'code' });
    expect(match({ code: 'ZZ', name: 'creme FRAICHE' })).toEqual({ article: 'b', by: 'name' });
    expect(match({ name: 'Thyme - bunches' })).toEqual({ article: 'c', by: 'name' });
    expect(match({ code: 'T', name: 'Twin' })).toEqual({ by: 'none' });
    expect(match({ name: 'Quinces' })).toEqual({ by: 'none' });
  });
});

describe('judging', () => {
  const of = (price: string, pack?: string, current: Current = leek) =>
    judgeRow({ name: 'Leeks', price: new Decimal(price), priceTyped: price, pack }, current, manner, 0.15);
  test.each([
    ['14.00', '5 kg', 'same', undefined],
    ['14.50', '5 kg', 'moved', '3.6 % dearer'],
    ['12', undefined, 'moved', '14 % cheaper'],
    ['20', '5 kg', 'odd', '43 % dearer: more than 15 %.'],
    ['0', '5 kg', 'odd', 'The price is 0.'],
    ['14', '4 kg', 'odd', 'Packed as 4 kg, before as 5 kg: 25 % dearer per kilo.'],
    ['14', '25 each', 'same', undefined],
    ['14', '5', 'refused', 'The pack “5” has no unit.'],
    ['14', '2 l', 'refused', 'Leek is asked for by volume, but what a litre of it weighs is not known.'],
  ] as const)('%s for %s is %s', (price, pack, verdict, reason) =>
    expect(of(price, pack)).toMatchObject(reason === undefined ? { verdict } : { verdict, reason }),
  );

  test('a first price is taken', () =>
    expect(of('9', '5 kg', { ...leek, price: undefined }).verdict).toBe('moved'));
});
