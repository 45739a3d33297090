import { COUNT_UNITS, readAmount, toGrams } from '..';
import { doubtfulUnits, unitOf } from '../units';

/** What one of each is, in the base unit of its kind, worked out from its definition and not from the table. */
const POUND = 453.59237;
const INCH_ML = 2.54 ** 3;
const US_GALLON = 231 * INCH_ML;
const IMP_GALLON = 4546.09;

const one: readonly (readonly [kind: string, base: number, said: string, words: readonly string[]])[] = [
  ['mass', 1, 'g', ['g', 'gram', 'grams', 'gr']],
  ['mass', 1000, 'kg', ['kg', 'kilo', 'kilos', 'kilogram', 'kilograms', 'KG', 'Kg.']],
  ['mass', 0.001, 'mg', ['mg']],
  ['mass', POUND, 'lb', ['lb', 'lbs', 'pound', 'pounds', 'lb.']],
  ['mass', POUND / 16, 'oz', ['oz', 'ounce', 'ounces']],
  ['volume', 1, 'ml', ['ml', 'millilitre', 'millilitres', 'cc']],
  ['volume', 10, 'cl', ['cl']],
  ['volume', 100, 'dl', ['dl']],
  ['volume', 1000, 'l', ['l', 'litre', 'litres', 'liter', 'liters', 'lt', 'ltr']],
  ['volume', US_GALLON / 128, 'us fl oz', ['us fl oz']],
  ['volume', US_GALLON / 8, 'us pint', ['us pint', 'us pints', 'us pt']],
  ['volume', US_GALLON / 4, 'us quart', ['us quart', 'us quarts', 'us qt', 'us qts']],
  ['volume', US_GALLON, 'us gallon', ['us gallon', 'us gallons', 'us gal', 'us gals']],
  ['volume', US_GALLON / 16, 'us cup', ['us cup', 'us cups']],
  ['volume', US_GALLON / 256, 'us tbsp', ['us tbsp']],
  ['volume', US_GALLON / 768, 'us tsp', ['us tsp']],
  ['volume', IMP_GALLON / 160, 'imp fl oz', ['imp fl oz']],
  ['volume', IMP_GALLON / 8, 'imp pint', ['imp pint', 'imp pints', 'imp pt']],
  ['volume', IMP_GALLON / 4, 'imp quart', ['imp quart', 'imp quarts', 'imp qt']],
  ['volume', IMP_GALLON, 'imp gallon', ['imp gallon', 'imp gallons', 'imp gal']],
  ['volume', 2150.42 * INCH_ML, 'bushel', ['bushel', 'bushels', 'us bushel']],
  ['count', 1, 'each', ['each', 'ea', 'piece', 'pieces', 'pc', 'pcs', 'head', 'heads']],
  ['count', 12, 'dozen', ['dozen', 'dozens']],
  ['count', 1, 'bunch', ['bunch', 'bunches']],
  ['count', 1, 'bottle', ['bottle', 'bottles']],
  ['count', 1, 'box', ['box', 'boxes']],
  ['count', 1, 'can', ['can', 'cans', 'tin', 'tins']],
  ['length', 1, 'cm', ['cm', 'centimetre', 'centimetres']],
  ['length', 0.1, 'mm', ['mm']],
  ['length', 2.54, 'in', ['in', 'inch', 'inches']],
  ['time', 1, 'h', ['h', 'hr', 'hrs', 'hour', 'hours']],
  ['time', 1 / 60, 'min', ['min', 'mins', 'minute', 'minutes']],
  ['share', 0.01, '%', ['%', 'percent', 'per cent']],
  ['temperature', 1, '°C', ['°C', 'c', 'celsius']],
  ['temperature', 1, '°F', ['°F', 'f', 'fahrenheit']],
];

describe('every unit there is', () => {
  test.each(one)('a %s of %d is written %s', (kind, base, said, words) => {
    for (const word of words) {
      const unit = unitOf(` ${word} `);
      expect([word, unit?.kind, unit?.name]).toEqual([word, kind, said]);
      expect((unit?.factor ?? NaN) / base).toBeCloseTo(1, 7);
    }
  });

  test.each(one.filter(([, , said]) => said !== '°F'))(
    '7 of the %s that is %d is read so',
    (kind, base, _, words) => {
      for (const word of words) {
        if (word === 'per cent') continue;
        const read = readAmount(`7 ${word}`);
        expect([word, read.ok && read.value.kind]).toEqual([word, kind]);
        expect(read.ok && read.value.value / (7 * base)).toBeCloseTo(1, 7);
        expect(read.ok && read.value.typed).toBe(`7 ${word}`);
      }
    },
  );

  test.each(Object.keys(doubtfulUnits))(
    'a plain %s is asked for, and what is offered instead is a unit',
    (word) => {
      expect(unitOf(word)).toBeUndefined();
      const read = readAmount(`2 ${word}`);
      expect(read.ok || [read.trouble.code, read.trouble.message]).toEqual([
        'doubtful-unit',
        `“${word}” differs between countries: write ${doubtfulUnits[word] ?? ''}.`,
      ]);
      // Each reading offered comes to as many ml as its brackets say.
      for (const [, offered = '', figure = '', in_ = ''] of (doubtfulUnits[word] ?? '').matchAll(
        /((?:us|imp) [a-z ]+?) \(([\d.]+) (ml|l)\)/g,
      )) {
        const ml = Number(figure) * (in_ === 'l' ? 1000 : 1);
        expect(Math.abs((unitOf(offered)?.factor ?? NaN) / ml - 1)).toBeLessThan(0.007);
      }
    },
  );

  test('a word that is no unit is none', () => {
    for (const word of ['', ' ', 'stone', 'fl', 'us', 'k g', 'kgs..']) expect(unitOf(word)).toBeUndefined();
  });
});

describe('grams of a thing, and how they were found', () => {
  const of = (typed: string, thing: Parameters<typeof toGrams>[1]) => {
    const amount = readAmount(typed);
    if (!amount.ok) throw new Error(amount.trouble.message);
    const read = toGrams(amount.value, thing);
    if (!read.ok) expect(read.trouble.path).toBe('');
    return read.ok ? [read.value.grams, read.value.via] : [read.trouble.code, read.trouble.message];
  };
  const leek = { name: 'Leek', densityGPerMl: 0.375, eachG: 230, eachUnit: 'bunch' as const };
  test('what is weighed needs nothing known', () => {
    expect(of('2 kg', { name: 'Leek' })).toEqual([2000, 'weighed']);
  });
  test('litres by its own density', () => {
    expect(of('2 l', leek)).toEqual([750, '0.3750 g per ml']);
    expect(of('2 l', { name: 'Leek' })).toEqual([
      'density-unknown',
      'Leek is asked for by volume, but what a litre of it weighs is not known.',
    ]);
  });
  test('pieces by the weight of one, in the unit it is counted in', () => {
    expect(of('2 bunches', leek)).toEqual([460, '230 g a bunch']);
    expect(of('3 each', { name: 'Egg', eachG: 55 })).toEqual([165, '55 g each']);
    expect(of('1 dozen', { name: 'Egg', eachG: 55 })).toEqual([660, '55 g each']);
    // What one bunch weighs says nothing about a box, unless that was said too.
    expect(of('2 boxes', leek)).toEqual([
      'piece-weight-unknown',
      'Leek is asked for by the box, but what a box of it weighs is not known.',
    ]);
    expect(of('2 boxes', { ...leek, pieceG: { box: 5000 } })).toEqual([10_000, '5000 g a box']);
    expect(of('2 bunches', { ...leek, pieceG: { bunch: 200 } })).toEqual([400, '200 g a bunch']);
    expect(of('2 each', leek)).toEqual([
      'piece-weight-unknown',
      'Leek is asked for by the piece, but what one weighs is not known.',
    ]);
  });
  test.each(COUNT_UNITS)('a weight without a unit is that of one %s', (unit) => {
    expect(of(`2 ${unit}`, { name: 'x', eachG: 10 })[0]).toBe(20);
  });
  test('a length weighs nothing', () => {
    expect(of('3 cm', leek)).toEqual(['wrong-kind', '“3 cm” is not a mass, volume or count.']);
  });
});
