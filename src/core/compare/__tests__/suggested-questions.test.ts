import { TRIM_SCHOOLS } from '../../larder';
import { costKitchen } from '../../costing';
import type { WrittenAsks } from '../../kitchen-file';
import { historyFrom, stateFrom } from '../../kitchen-state';
import { CONSTANTS } from '../../reference';
import { SMALL, smallKitchen } from '../../testing/small-kitchen';
import {
  suggestedQuestions,
  waysOf,
  figuresOfWays,
  meetsTarget,
  SnapshotPots,
  thickenersOf,
  type WayFigures,
} from '..';

/* Which questions a sheet of a small kitchen raises, and what each of them makes of it. */

const DAY = '2026-03-14';
const id = (n: number): string => `019cabd9-0000-7000-8000-0000000008${String(n).padStart(2, '0')}`;
const [CARTON, PASTE, UNPRICED, WINE, STARCH, THIN_STARCH, SECOND_PACK, BIG_POT, TINY_POT] = [
  1, 2, 3, 4, 5, 6, 7, 8, 9,
].map(id) as [string, string, string, string, string, string, string, string, string];
const LINE = (n: number): string => id(20 + n);

type Written = Parameters<NonNullable<Parameters<typeof smallKitchen>[0]>>[0];
const whole = [
  {
    on: '2026-01-01',
    recordedAt: '2026-01-01T08:00:00.000Z',
    usablePct: 100,
    stockTrimPct: 0,
    source: 'estimate',
  },
];
const liquid = (of: string, name: string, composition: object, more: object = {}) => ({
  id: of,
  name,
  role: 'liquid',
  composition,
  yields: whole,
  ...more,
});

/** The small kitchen with things to thicken with and bases to buy, and a sauce of these lines. */
function kitchen(steps: object[], change: (k: Written) => void = () => undefined) {
  const file = smallKitchen((k) => {
    const lists = k as unknown as Record<'ingredients' | 'articles' | 'vessels', object[]>;
    lists.ingredients.push(
      liquid(CARTON, 'Carton stock', { water: 95, salt: 1, gelatin: 2 }),
      liquid(PASTE, 'Stock paste', { water: 40, salt: 30, gelatin: 10 }),
      liquid(UNPRICED, 'Stock nobody sells', { water: 97, gelatin: 3 }),
      liquid(WINE, 'Wine', { water: 88 }),
      liquid(STARCH, 'Starch', { water: 12, starch: 85 }, { bindingGPerKg: 1500 }),
      liquid(THIN_STARCH, 'Cream with starch', { water: 60, starch: 5 }, { bindingGPerKg: 200 }),
    );
    const article = (of: string, ingredient: string, price = '3.00') => ({
      ...k.articles[2]!,
      id: of,
      ingredient,
      name: `pack of ${of.slice(-2)}`,
      quotes: [{ on: '2026-01-01', recordedAt: '2026-01-01T08:00:00.000Z', price }],
    });
    lists.articles.push(
      article(id(41), CARTON),
      article(id(42), PASTE),
      article(id(43), WINE),
      article(id(44), STARCH),
      article(id(45), THIN_STARCH),
      article(SECOND_PACK, SMALL.salt, '0.90'),
    );
    lists.vessels.push(
      { ...k.vessels[0]!, id: BIG_POT, name: 'Big pot', heightCm: 80 },
      { ...k.vessels[0]!, id: TINY_POT, name: 'Tiny pot', baseCm: 8, topCm: 8, heightCm: 6 },
    );
    k.recipes[1]!.steps = steps.map((s, n) => ({ id: LINE(n), ...s }));
    change(k);
  });
  const state = stateFrom(file);
  const costing = costKitchen(state, DAY, CONSTANTS, historyFrom(file, DAY));
  const sauce = state.recipes.find((r) => r.id === SMALL.sauce)!;
  return { costing, sauce, arising: suggestedQuestions(costing, sauce) };
}
const stock = { do: 'add', of: { product: SMALL.stock }, amount: '3 kg' };
const SALT = { do: 'add', of: { ingredient: SMALL.salt }, amount: '20 g' };
const cook = { do: 'cook', time: '1 h', heat: 'simmer', lid: 'off' };
const kinds = (found: ReturnType<typeof suggestedQuestions>) => found.map((a) => a.asks.of);

test('lines raise what they are about, in their order, and the whole sheet the rest', () => {
  const { arising } = kitchen([
    stock,
    SALT,
    cook,
    { do: 'strain', pressed: false, through: 'cone sieve' },
    { do: 'season to', of: { ingredient: SMALL.salt }, salt: '1.2 %' },
  ]);
  expect(arising.filter((a) => a.line !== undefined).map((a) => [a.line, a.asks.of])).toEqual([
    [LINE(0), 'base'],
    [LINE(2), 'lid'],
    [LINE(3), 'press'],
    [LINE(4), 'salt'],
  ]);
  for (const a of arising) expect(a.asks.of === 'pot' ? a.words : a.words.length).toBeTruthy();
  expect(kinds(arising.filter((a) => a.line === undefined))).toEqual(['pot', 'article']);
});

test('a line that is switched off raises nothing', () => {
  const { arising } = kitchen([stock, { ...cook, off: true }, cook]);
  expect(arising.filter((a) => a.asks.of === 'lid').map((a) => a.line)).toEqual([LINE(2)]);
});

test('a second pass is asked of a sieve, or of the second pass that stands there, not of both', () => {
  const sieve = { do: 'sieve', loss: '10 %' };
  const both = kitchen([
    stock,
    SALT,
    { do: 'puree', loss: '2 %' },
    sieve,
    { do: 'second pass', back: '30 %' },
  ]);
  expect(both.arising.filter((a) => a.asks.of === 'second pass').map((a) => a.line)).toEqual([LINE(4)]);
  const alone = kitchen([stock, SALT, { do: 'puree', loss: '2 %' }, sieve]);
  expect(alone.arising.filter((a) => a.asks.of === 'second pass').map((a) => a.line)).toEqual([LINE(3)]);
  expect(kinds(kitchen([stock, cook]).arising)).not.toContain('second pass');
});

describe('bases', () => {
  const baseOf = (steps: object[], change?: (k: Written) => void) =>
    kitchen(steps, change).arising.find((a) => a.asks.of === 'base')?.asks as
      Extract<WrittenAsks, { of: 'base' }> | undefined;

  test('are what is bought of liquids with gelatin; a concentrate by a tablespoon in a litre', () => {
    expect(baseOf([stock, cook])?.bases).toEqual([
      { of: { ingredient: CARTON } },
      { of: { ingredient: PASTE }, gPerL: 20 },
    ]);
    expect(baseOf([{ ...stock, of: { ingredient: CARTON } }, cook])?.bases).toEqual([
      { of: { ingredient: PASTE }, gPerL: 20 },
    ]);
  });

  test('are asked of what makes a quarter of the sheet and pours, not of a pinch, of wine or of trim', () => {
    expect(
      baseOf([
        { do: 'water', amount: '9 l' },
        { ...stock, amount: '1 kg' },
      ]),
    ).toBeUndefined();
    expect(baseOf([{ ...stock, of: { ingredient: WINE } }])).toBeUndefined();
    expect(baseOf([{ ...stock, of: { ingredient: SMALL.leek } }])).toBeUndefined();
    expect(
      baseOf([
        { do: 'water', amount: '1 l' },
        { ...stock, of: { stockTrimOf: SMALL.leek } },
      ]),
    ).toBeUndefined();
  });

  test('may be as salty as the sheet is seasoned, as it is, or a usual 0.9 %, whichever is most', () => {
    expect(baseOf([stock, cook])?.saltPct).toBe(0.9);
    const seasoned = (salt: string) =>
      baseOf([stock, { do: 'season to', of: { ingredient: SMALL.salt }, salt }]);
    expect(seasoned('1,4 %')?.saltPct).toBeCloseTo(1.4, 1);
    expect(seasoned('0.4 %')?.saltPct).toBeCloseTo(0.4, 1);
    const salty = baseOf([stock, { ...SALT, amount: '60 g' }, cook])!;
    expect(salty.saltPct).toBeGreaterThan(1.5);
  });

  test('are mended with what thickens best, where there is something', () => {
    expect(baseOf([stock, cook])?.mend).toEqual({ ingredient: STARCH });
    const none = baseOf([stock, cook], (k) =>
      k.articles.splice(
        k.articles.findIndex((a) => a.id === id(44)),
        1,
      ),
    );
    expect(none).not.toHaveProperty('mend');
  });
});

test('thickeners are starch that is bought, and roux that is made: not what binds a little, nor what has no price', () => {
  const { costing } = kitchen([stock, cook]);
  expect(thickenersOf(costing)).toEqual([{ ingredient: STARCH }]);
  const poor = kitchen([stock, cook], (k) =>
    k.articles.splice(
      k.articles.findIndex((a) => a.id === id(44)),
      1,
    ),
  );
  expect(thickenersOf(poor.costing)).toEqual([]);
  const weak = kitchen([stock, cook], (k) =>
    Object.assign(
      k.ingredients.find((i) => i.id === STARCH)!,
      { bindingGPerKg: 149 },
    ),
  );
  expect(thickenersOf(weak.costing)).toEqual([]);
  const enough = kitchen([stock, cook], (k) =>
    Object.assign(
      k.ingredients.find((i) => i.id === STARCH)!,
      { bindingGPerKg: 150 },
    ),
  );
  expect(thickenersOf(enough.costing)).toEqual([{ ingredient: STARCH }]);
});

describe('of the whole sheet', () => {
  test('which pot: those that hold it, its own first, the smallest of the others next', () => {
    const { arising } = kitchen([stock, cook], (k) => {
      k.vessels.push({ ...k.vessels[0]!, id: id(60), name: 'Middle', heightCm: 60 });
    });
    expect(arising.find((a) => a.asks.of === 'pot')?.asks).toMatchObject({
      vessels: [SMALL.pot, id(60), BIG_POT],
    });
    const only = kitchen([stock, cook], (k) => k.vessels.splice(1));
    expect(kinds(only.arising)).not.toContain('pot');
  });

  test('which pack: of what it takes, where there are two; and who pays for trim, where some comes off', () => {
    const packs = (steps: object[]) => kitchen(steps).arising.filter((a) => a.asks.of === 'article');
    expect(packs([stock, SALT]).map((a) => a.asks)).toMatchObject([
      { ingredient: SMALL.salt, articles: [SMALL.saltBought, SECOND_PACK] },
    ]);
    expect(packs([stock, { ...SALT, of: { ingredient: WINE } }])).toEqual([]);
    expect(kinds(kitchen([stock, SALT]).arising)).not.toContain('school');
    expect(kinds(kitchen([stock, { ...SALT, of: { ingredient: SMALL.leek } }]).arising)).toContain('school');
    expect(kinds(kitchen([stock, { ...SALT, of: { stockTrimOf: SMALL.leek } }]).arising)).toContain('school');
    const trimmed = kitchen([stock, { ...SALT, of: { ingredient: SMALL.leek } }]).arising;
    expect(trimmed.find((a) => a.asks.of === 'school')?.asks).toMatchObject({ schools: TRIM_SCHOOLS });
  });
});

describe('what is asked for', () => {
  const asks = { of: 'base', body: 1, saltPct: 1 } as WrittenAsks;
  const figures = (body: number, saltPct: number, trouble?: string) =>
    ({ body, saltPct, trouble }) as WayFigures;
  test('a hair thinner or saltier is what was asked for; more is not, and what cannot be cooked is not', () => {
    expect(meetsTarget(asks, figures(0.97, 1))).toBe(true);
    expect(meetsTarget(asks, figures(0.969, 1))).toBe(false);
    expect(meetsTarget(asks, figures(1, 1.035))).toBe(true);
    expect(meetsTarget(asks, figures(1, 1.0351))).toBe(false);
    expect(meetsTarget(asks, figures(1, 1, 'no'))).toBe(false);
    // Of any other question every way is an answer that can be cooked.
    expect(meetsTarget({ of: 'press' } as WrittenAsks, figures(0, 9))).toBe(true);
    expect(meetsTarget({ of: 'press' } as WrittenAsks, figures(0, 9, 'no'))).toBe(false);
  });
});

describe('ways of a line', () => {
  const { costing, sauce } = kitchen([
    stock,
    { ...SALT, amount: '500 g', of: { ingredient: CARTON } },
    cook,
    { do: 'strain', pressed: false, through: 'cone sieve' },
  ]);
  const made = (asks: object) => {
    const answer = waysOf(costing, [], { recipe: sauce.id, ...asks } as WrittenAsks, CONSTANTS);
    if (!answer.ok) throw new Error(answer.trouble.message);
    return {
      ...answer.value,
      figures: figuresOfWays(new SnapshotPots(answer.value.apart), answer.value.ways, CONSTANTS),
    };
  };
  const trouble = (asks: object) => {
    const answer = waysOf(costing, [], { recipe: sauce.id, ...asks } as WrittenAsks, CONSTANTS);
    return answer.ok ? undefined : answer.trouble;
  };

  test('one thing in place of another: as much of it, with the bench that the first takes', () => {
    const { ways, figures } = made({
      of: 'instead',
      line: LINE(1),
      with: [{ of: { ingredient: WINE } }],
      benchMinPerKg: 12,
    });
    expect(ways.map((w) => [w.name, w.benchHours])).toEqual([
      ['Carton stock', 0.1],
      ['Wine', undefined],
    ]);
    const put = ways[1]!.recipes.find((r) => r.id === sauce.id)!.steps[1];
    expect(put).toMatchObject({ do: 'add', of: { ingredient: WINE }, amount: '500 g' });
    expect(figures[0]!.handsHours - figures[1]!.handsHours).toBeCloseTo(0.1, 3);
    expect(
      made({ of: 'instead', line: LINE(1), with: [{ of: { ingredient: WINE } }] }).ways[0]!.benchHours,
    ).toBeUndefined();
    expect(trouble({ of: 'instead', line: LINE(2), with: [{ of: { ingredient: WINE } }] })).toMatchObject({
      code: 'not-that-line',
      path: '',
    });
  });

  test('sheets beside this one; none that is left is told', () => {
    expect(made({ of: 'sheets', with: [SMALL.stock, id(99)] }).ways.map((w) => w.name)).toEqual([
      'Sauce',
      'Stock',
    ]);
    expect(trouble({ of: 'sheets', with: [id(99)] })).toMatchObject({ code: 'gone', path: '' });
    expect(trouble({ of: 'pot', vessels: [SMALL.pot, id(99)] })).toMatchObject({ code: 'gone', path: '' });
  });

  test('a stronger base is made up with water, a weaker one reduced first; both give the litres there were', () => {
    const other = kitchen([{ do: 'add', of: { ingredient: CARTON }, amount: '3 kg' }, cook]);
    const own = other.arising.find((a) => a.asks.of === 'base')!.asks;
    const THIN = { of: { ingredient: CARTON } };
    const answer = waysOf(
      other.costing,
      [],
      {
        ...own,
        saltPct: 5,
        bases: [{ of: { ingredient: UNPRICED } }, THIN, { of: { ingredient: UNPRICED }, gPerL: 500 }],
      } as WrittenAsks,
      CONSTANTS,
    );
    if (!answer.ok) throw new Error(answer.trouble.message);
    const { ways, apart, bases } = answer.value;
    const [first, ...figures] = figuresOfWays(new SnapshotPots(apart), ways, CONSTANTS);
    const [, strong, same, weak] = bases!;
    // 3 % of gelatin against 2, the same, and 15 g in a litre of water and half a kilo: two thirds, as much, a third more.
    expect(strong!.strength).toBeLessThan(0.75);
    expect(strong!.strength).toBeGreaterThan(0.6);
    expect(same!.strength).toBeGreaterThan(0.95);
    expect(same!.strength).toBeLessThan(1.05);
    expect(weak!.strength).toBeGreaterThan(1.3);
    expect(weak!.strength).toBeLessThan(1.5);
    for (const f of figures) {
      expect(f.trouble).toBeUndefined();
      expect(Math.abs(f.litres / first!.litres - 1)).toBeLessThan(0.03);
      expect(Math.abs(f.body / first!.body - 1)).toBeLessThan(0.05);
    }
    const does = (way: (typeof ways)[number], what: string): boolean =>
      way.recipes.some((r) => r.id === SMALL.sauce && r.steps.some((s) => s.do === what));
    expect(ways.slice(1).map((w) => does(w, 'water'))).toEqual(bases!.slice(1).map((b) => b.strength < 1));
    expect(does(ways[1]!, 'water')).toBe(true);
  });

  test('what has no litres is no base', () => {
    expect(
      trouble({ of: 'base', line: LINE(2), bases: [{ of: { ingredient: CARTON } }], body: 1, saltPct: 1 })
        ?.code,
    ).toBe('not-that-line');
    const solid = made({
      of: 'base',
      line: LINE(0),
      bases: [{ of: { ingredient: SMALL.leek } }],
      body: 0.05,
      saltPct: 5,
    });
    expect(solid.figures[1]!.trouble).toBeTruthy();
  });
});
