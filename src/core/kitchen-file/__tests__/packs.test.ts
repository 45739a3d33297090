import fc from 'fast-check';
import { demoKitchen } from '../../testing/demo';
import { mannerIn, packFacts, packOn, readKitchen, weigh, type KitchenFile } from '..';
import { mergeTargets, withoutMerged } from '../../kitchen-state';

const file = demoKitchen();
const manner = mannerIn(file);
const ingredient = (name: string): KitchenFile['ingredients'][number] => {
  const found = file.ingredients.find((i) => i.name === name);
  if (!found) throw new Error(`${name} is not in the demo`);
  return found;
};
const pack = (
  text: string,
  name: string,
  weighings: KitchenFile['articles'][number]['weighings'] = [],
  day = '2026-03-14',
) => {
  const read = packOn({ pack: text, weighings }, ingredient(name), day, manner);
  return read.ok ? read.value : read.trouble.code;
};

describe('what a pack holds', () => {
  test.each([
    ['6 x 2.5 kg', 'Onion', 15_000, 2500],
    ['case 12 x 750 ml', 'Red wine', 12 * 742.7, 742.7],
    ['2 lb 4 oz', 'Onion', 1020.58, 1020.58],
    ['bunch of 12', 'Celeriac', 12 * 700, 700],
    ['3 each', 'Celeriac', 2100, 700],
    ['1 1/2 l', 'Whole milk', 1545, 1545],
  ])('%s of %s', (text, name, g, inner) => {
    const read = pack(text, name);
    if (typeof read === 'string') throw new Error(read);
    expect(Math.abs(read.g / g - 1)).toBeLessThan(0.02);
    expect(Math.abs(read.innerG / inner - 1)).toBeLessThan(0.02);
  });
  test.each([
    ['half bushel', 'Trout frames', 'density-unknown'],
    ['2 bunches', 'Onion', 'piece-weight-unknown'],
    ['0 kg', 'Onion', 'empty-pack'],
    ['2 h', 'Onion', 'wrong-kind'],
    ['some', 'Onion', 'not-an-amount'],
  ])('%s of %s is not known, and nothing is guessed: %s', (text, name, code) =>
    expect(pack(text, name)).toBe(code),
  );

  test('the last weighing before the day counts, later ones do not', () => {
    const weighings = [
      { on: '2026-01-10', recordedAt: '2026-01-10T08:00:00.000Z', held: '9 kg' },
      { on: '2026-02-10', recordedAt: '2026-02-10T08:00:00.000Z', held: '9.5 kg' },
    ];
    const on = (day: string): number | string => {
      const read = pack('10 kg', 'Onion', weighings, day);
      return typeof read === 'string' ? read : read.g;
    };
    expect([on('2026-01-01'), on('2026-01-10'), on('2026-02-09'), on('2026-03-01')]).toEqual([
      10_000, 9000, 9000, 9500,
    ]);
  });

  test('looked up once or many times it is the same', () => {
    const facts = packFacts(manner);
    for (const article of file.articles) {
      const own = file.ingredients.find((i) => i.id === article.ingredient);
      if (!own) throw new Error('an article without ingredient');
      for (const day of ['2025-10-01', '2026-03-14', '2025-10-01']) {
        const [a, b] = [facts(article, own, day), packOn(article, own, day, manner)];
        expect(a.ok && a.value.pack).toEqual(b.ok && b.value);
      }
    }
  });

  test('weighing is linear: twice the amount is twice the grams', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 500 }), fc.constantFrom('kg', 'g', 'each', 'lb'), (n, unit) => {
        const g = (amount: string): number => {
          const read = weigh(amount, ingredient('Celeriac'), manner);
          return read.ok ? read.value : NaN;
        };
        expect(g(`${2 * n} ${unit}`)).toBeCloseTo(2 * g(`${n} ${unit}`), 6);
      }),
    );
  });
});

describe('merges', () => {
  const merged = (...pairs: [string, string][]): KitchenFile => ({
    ...file,
    ingredients: file.ingredients.map((i) => {
      const into = pairs.find(([from]) => from === i.name)?.[1];
      return into ? { ...i, mergedInto: ingredient(into).id } : i;
    }),
  });
  test('are followed to their end', () => {
    const chain = merged(['Shallots, banana', 'Shallot'], ['Shallot', 'Onion']);
    expect(mergeTargets(chain)(ingredient('Shallots, banana').id)).toBe(ingredient('Onion').id);
  });
  test('leave no reference to what was merged, and change nothing where nothing is merged', () => {
    expect(withoutMerged(file)).toBe(file);
    const whole = JSON.stringify(withoutMerged(merged(['Shallots, banana', 'Shallot'])));
    expect(whole).not.toContain(ingredient('Shallots, banana').id);
  });
  test('in a circle are refused by name', () => {
    const circle = readKitchen(merged(['Shallots, banana', 'Shallot'], ['Shallot', 'Shallots, banana']));
    expect(!circle.ok && circle.mistakes.map((m) => m.message)).toContain('Shallot is merged into itself.');
  });
});

describe('what a file says of buying is checked', () => {
  const mistakes = (change: (f: KitchenFile) => void): string[] => {
    const copy = structuredClone(file);
    change(copy);
    const read = readKitchen(copy);
    return read.ok ? [] : read.mistakes.map((m) => `${m.path}: ${m.message}`);
  };
  const goods = (f: KitchenFile) => {
    const line = f.purchases[0]?.lines[0];
    if (line?.is !== 'goods') throw new Error('the first line is not goods');
    return line;
  };
  const missing = '019cabd8-0000-7000-8000-000000000000';
  test.each<[string, (f: KitchenFile) => void, RegExp]>([
    [
      'an article nobody has',
      (f) => (goods(f).article = missing),
      /^purchases\[0\]\.lines\[0\]\.article: There is no article/,
    ],
    [
      'more sent back than came',
      (f) => (goods(f).rejected = '900 kg'),
      /^purchases\[0\]\.lines\[0\]\.rejected: .* returned, but only/,
    ],
    [
      'a delivery in words',
      (f) => (goods(f).delivered = 'most of it'),
      /^purchases\[0\]\.lines\[0\]\.delivered: “most of it” is not an amount/,
    ],
    [
      'a credit for nothing',
      (f) => {
        if (f.purchases[1]) f.purchases[1].corrects = missing;
      },
      /^purchases\[1\]\.corrects: There is no invoice/,
    ],
    [
      'a count of a ghost',
      (f) => {
        if (f.counts[0]) f.counts[0].ingredient = missing;
      },
      /^counts\[0\]\.ingredient: There is no ingredient/,
    ],
    [
      'a count that cannot be weighed',
      (f) => {
        if (f.counts[0]) f.counts[0].amount = '3 h';
      },
      /^counts\[0\]\.amount: “3 h” is a time/,
    ],
    [
      'a measure called like a unit',
      (f) => {
        if (f.measures[0]) f.measures[0].name = 'litre';
      },
      /^measures\[0\]\.name: “litre” is a unit already/,
    ],
    [
      'two measures of one name',
      (f) => {
        if (f.measures[0] && f.measures[1]) f.measures[1].name = f.measures[0].name;
      },
      /^measures\[1\]\.name: There are two measures/,
    ],
    [
      'a pack without a unit',
      (f) => {
        if (f.articles[0]) f.articles[0].pack = '10';
      },
      /^articles\[0\]\.pack: “10” has no unit/,
    ],
    [
      'a price list that is no address',
      (f) => {
        if (f.suppliers[0]) f.suppliers[0].priceList = 'weirside';
      },
      /^suppliers\[0\]\.priceList/,
    ],
  ])('%s', (_, change, words) =>
    expect(mistakes(change)).toEqual(expect.arrayContaining([expect.stringMatching(words)])),
  );
});
