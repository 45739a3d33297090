import { understandGoods, type TypedGoods } from '../understand';

const leek = { packG: 5000, thing: { name: 'Leek', eachG: 200, eachUnit: 'each' as const } };
const typed = (part: Partial<TypedGoods>): TypedGoods => ({
  packs: '2',
  packPrice: '14',
  delivered: '',
  rejected: '',
  ...part,
});
const read = (
  part: Partial<TypedGoods>,
  kind: 'invoice' | 'credit note' = 'invoice',
  mark: '.' | ',' = '.',
) => understandGoods(typed(part), leek, { mark }, kind);

describe('a goods line as it is typed', () => {
  test('arithmetic, either mark, weights of pieces', () => {
    const plain = read({ packs: '1+1', packPrice: '28/2' });
    expect(plain.ok && plain.value).toMatchObject({ packs: 2, packPrice: '14.00' });
    const comma = read({ packPrice: '14,5' }, 'invoice', ',');
    expect(comma.ok && comma.value.packPrice).toBe('14.50');
    const pieces = read({ delivered: '45 each', rejected: '500 g' });
    expect(pieces.ok && pieces.value.received).toMatchObject({
      deliveredG: 9000,
      rejectedG: 500,
      acceptedG: 8500,
    });
  });
  test('a price to the hundredth of a cent is kept whole', () => {
    const exact = read({ packs: '3', packPrice: '0.0125' });
    expect(exact.ok && [exact.value.packPrice, exact.value.received.money.toString()]).toEqual([
      '0.0125',
      '0.0375',
    ]);
  });
  test('a credit note takes nothing off the shelf unless something went back', () => {
    const money = read({}, 'credit note');
    expect(money.ok && [money.value.received.acceptedG, money.value.received.money.toNumber()]).toEqual([
      0, -28,
    ]);
    const goods = read({ delivered: '2 kg' }, 'credit note');
    expect(goods.ok && goods.value.received.acceptedG).toBe(-2000);
  });
  test.each([
    [{ packs: '' }, 'packs', 'How many packs are on the invoice?'],
    [{ packs: '0' }, 'packs', '0 packs cannot be: above 0 and at most 100000.'],
    [{ packs: '-2' }, 'packs', '-2 packs cannot be'],
    [{ packs: '1000000' }, 'packs', '1000000 packs cannot be'],
    [{ packs: 'two' }, 'packs', '“two” is not a number.'],
    [{ packs: '1.500' }, 'packs', 'can mean 1.5 or 1500'],
    [{ packPrice: '' }, 'packPrice', 'A price is missing'],
    [{ packPrice: '-1' }, 'packPrice', 'A price of -1 is below 0.'],
    [{ packPrice: '3*' }, 'packPrice', '“3*” cannot be calculated.'],
    [{ delivered: '2 bottles' }, 'delivered', 'what a bottle of it weighs is not known'],
    [{ rejected: '20 kg' }, 'rejected', '20.00 kg of Leek returned, but only 10.00 kg came.'],
  ])('%j is refused at its own field', (part, path, words) => {
    const wrong = read(part);
    if (wrong.ok) throw new Error('it was not refused');
    expect(wrong.trouble.path).toBe(path);
    expect(wrong.trouble.message).toContain(words);
  });
});
