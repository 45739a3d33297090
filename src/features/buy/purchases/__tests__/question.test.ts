import { mannerOf } from '@/core/quantity';
import { priceOf, questionAbout, type KnownFacts } from '../components/question';
import { emptyGoods, isBlank, type DraftGoods } from '../components/use-draft';

const known: KnownFacts = {
  manner: mannerOf('.', []),
  articles: new Map([
    [
      'a',
      {
        id: 'a',
        supplier: 's',
        ingredient: 'i',
        name: 'Bones, chopped',
        pack: '10 kg',
        packG: 10_000,
        thing: { name: 'Bones' },
        lastPackPrice: '24.00',
        says: '10 kg',
      },
    ],
  ]),
  ingredients: new Map([['i', { id: 'i', name: 'Bones', thing: { name: 'Bones' }, perKg: 2.4 }]]),
};
const line = (part: Partial<DraftGoods>): DraftGoods => ({ ...emptyGoods(), packs: '1', ...part });
const ask = (part: Partial<DraftGoods>) => questionAbout(line(part), known, (n) => n.toFixed(2));

test('an invoiced price far from the last, or 0, is asked about; one that moved as prices do is not', () => {
  expect(ask({ article: 'a', packPrice: '240' })).toBe('240.00 is 10 times the 24.00 it was. Save it?');
  expect(ask({ article: 'a', packPrice: '2.4' })).toBe('2.40 is only 10 % of the 24.00 it was. Save it?');
  expect(ask({ article: 'a', packPrice: '0' })).toBe('A price of 0: is that meant?');
  expect(ask({ article: 'a', packPrice: '31' })).toBeUndefined();
});

test('something new is compared with what its weight of the ingredient costs now', () => {
  const newArticle = {
    ingredient: 'i',
    name: 'Bones',
    code: '',
    pack: '5 kg',
    eachWeighs: '',
    litreWeighs: '',
  };
  expect(ask({ newArticle, packPrice: '12' })).toBeUndefined();
  expect(ask({ newArticle, packPrice: '120' })).toBe('120.00 is 10 times the 12.00 it was. Save it?');
});

test('a price that was said to be meant is asked about again when it is another', () => {
  expect(priceOf(line({ article: 'a', packPrice: '240' }))).not.toBe(
    priceOf(line({ article: 'a', packPrice: '2400' })),
  );
  expect(priceOf(line({ article: 'a', packPrice: ' 240 ' }))).toBe(
    priceOf(line({ article: 'a', packPrice: '240' })),
  );
});

test('of a credit note a line is blank while nothing of it is credited; of an invoice while nothing stands on it', () => {
  const begun = { ...emptyGoods(), article: 'a', packPrice: '24' };
  expect(isBlank(begun, 'credit note')).toBe(true);
  expect(isBlank(begun, 'invoice')).toBe(false);
  expect(isBlank({ ...begun, delivered: '2 kg' }, 'credit note')).toBe(false);
  expect(isBlank(emptyGoods(), 'invoice')).toBe(true);
});
