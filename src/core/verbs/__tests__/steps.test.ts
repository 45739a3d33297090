import { runningBook } from '../../layers';
import { CONSTANTS } from '../../reference';
import { hob, of, round, stuff } from '../../testing/stuff';
import type { PotRun } from '../../pot';
import { runPot, type PotStep } from '..';

/* Hand-checked: each case is calculated on paper beside it. */
const broth = stuff('Broth', 'liquid', { water: 0.95, salt: 0.005, gelatin: 0.01 });
const cream = stuff('Cream', 'liquid', { water: 0.6, fat: 0.35 }, { allergens: ['milk'] });
const roux = stuff('Roux', 'liquid', { water: 0.15, fat: 0.41, starch: 0.36 }, { binding: 0.5 });
const flour = stuff('Flour', 'liquid', { water: 0.12, starch: 0.7 }, { binding: 1 });
const fat = stuff('Fat', 'liquid', { fat: 1 });
const salt = stuff('Salt', 'liquid', { salt: 1 });
const roots = stuff(
  'Roots',
  'piece',
  { water: 0.8, starch: 0.12, fat: 0.02, salt: 0.01 },
  { gelatinPool: 0.02, gelatinHalfLifeH: 1, allergens: ['celery'] },
);
const run = (...steps: PotStep[]): PotRun =>
  runPot({ vessel: round(40, 40, 40, 1), hob: hob(), steps }, CONSTANTS);
const add = (g: number, what = broth): PotStep => ({ do: 'add', what: of(what), g });
const last = (r: PotRun) => {
  const row = r.rows[r.rows.length - 1];
  if (!row || r.refused) throw new Error(r.refused?.trouble.message ?? 'no row');
  return row;
};

describe('steps, each reckoned by hand', () => {
  test('top up brings back the litres from before several heats, with free water', () => {
    const r = run(
      add(10_000),
      { do: 'cook', heat: 'simmer', hours: 1, lid: 'off' },
      { do: 'cook', heat: 'bare simmer', hours: 1, lid: 'off' },
      { do: 'top up' },
    );
    expect(last(r).ml).toBeCloseTo(r.rows[0]?.ml ?? 0, 6);
    expect(r.inputs.at(-1)).toMatchObject({ supply: 'free' });
    // 11 and 6 kg per m² and hour from a pot of 0.1257 m²: 1.382 + 0.754 kg.
    expect(r.inputs.at(-1)?.g).toBeCloseTo(2136, 0);
  });

  test('a deglazing and what goes in to taste are paid for like anything else', () => {
    const r = run(
      add(1000),
      { do: 'deglaze', what: of(cream), g: 200 },
      { do: 'to taste', what: of(salt), g: 5 },
    );
    expect(r.inputs.map((i) => [i.name, i.g])).toEqual([
      ['Broth', 1000],
      ['Cream', 200],
      ['Salt', 5],
    ]);
    // (5 + 5) g in 1205 g.
    expect(last(r).saltPct).toBeCloseTo((10 / 1205) * 100, 9);
  });

  test('a purée has all the masses of its pieces; its fat is held, its starch binds, its own gelatin stays protein', () => {
    const r = run(add(1000), add(500, roots), { do: 'puree', loss: 0.04 });
    const row = last(r);
    expect(row.piecesG).toBe(0);
    expect(row.g).toBeCloseTo(1500 * 0.96, 9);
    expect(row.lost['left in the blender']).toBeCloseTo(60, 9);
    // 60 g of starch at 1 g of flour each, 4 % left behind.
    expect((row.bindingGPerL * row.ml) / 1000).toBeCloseTo(60 * 0.96, 9);
    expect(r.product?.liquid.freeFat).toBe(0);
    expect(r.product?.liquid.boundFat).toBeCloseTo(10 * 0.96, 9);
    expect(row.gelatinPct).toBeCloseTo((10 / 1500) * 100, 9);
    expect(row.allergens).toEqual(['celery']);
  });

  test('a second pass of the sieve brings back its share, grams and money', () => {
    const r = run(
      add(1000),
      { do: 'sieve', loss: 0.1 },
      { do: 'second pass', share: 0.4 },
      { do: 'second pass', share: 0.5 },
    );
    expect(r.rows.map((row) => Math.round(row.g * 1e6) / 1e6)).toEqual([1000, 900, 940, 970]);
    expect(r.rows[2]?.lost['left in the sieve']).toBeCloseTo(-40, 9);
    const book = runningBook(r, [10]);
    expect(book.lost['left in the sieve']).toBeCloseTo(0.3, 9);
    expect(book.left).toBeCloseTo(9.7, 9);
  });

  test('thickening to a band ends in its middle, the litres it brings counted', () => {
    for (const [band, g] of [
      ['soup', 22],
      ['pouring', 40],
      ['coating', 66],
      ['binding', 115],
    ] as const) {
      const r = run(add(3000, stuff('Water and all', 'liquid', { water: 1 })), {
        do: 'thicken to',
        what: of(roux),
        band,
      });
      // What the roux's own fat adds is no flour: a little less of that is wanted.
      expect(last(r).bindingGPerL).toBeLessThan(g);
      expect(last(r).bindingGPerL).toBeGreaterThan(g * 0.93);
      expect(last(r).body).toBeCloseTo(g / 66, 6);
    }
  });

  test('gelatin that is there already is body too: less roux is wanted', () => {
    const rich = stuff('Rich', 'liquid', { water: 0.9, gelatin: 0.04 });
    const r = run(add(3000, rich), { do: 'thicken to', what: of(roux), band: 'coating' });
    expect(last(r).body).toBeCloseTo(1, 6);
    expect(last(r).bindingGPerL).toBeLessThan(40);
  });

  test('loosening stops at the nearer edge of the band: from above at its upper one', () => {
    const r = run(
      add(2000),
      { do: 'thicken', what: of(roux), g: 600 },
      { do: 'loosen to', what: of(cream), band: 'pouring' },
    );
    expect(last(r).body).toBeCloseTo(52 / 66, 6);
    expect(run(add(2000), { do: 'loosen', what: of(cream), g: 300 }).inputs.at(-1)?.g).toBe(300);
  });

  test('the browner the roux, the less it binds', () => {
    const bound = (to: 'white' | 'blond' | 'brown' | 'dark' | 'kneaded'): number => {
      const r = run(add(500, fat), add(500, flour), { do: 'roux', to, hours: 0.1 });
      return (last(r).bindingGPerL * last(r).ml) / 1000;
    };
    expect([bound('white'), bound('kneaded'), bound('blond'), bound('brown'), bound('dark')]).toEqual(
      [500, 475, 425, 300, 175].map((g) => expect.closeTo(g, 6)),
    );
  });

  test('what enriches holds its fat; what is added plainly lets it float', () => {
    const enriched = run(add(1000), { do: 'enrich', what: of(cream), g: 200 });
    expect(enriched.product?.liquid).toMatchObject({ freeFat: 0, boundFat: expect.closeTo(70, 9) });
    expect(run(add(1000), add(200, cream)).product?.liquid.freeFat).toBeCloseTo(70, 9);
  });

  test('cooled open, three in a hundred steam away, in proportion to how far it cools; covered, a tenth of that', () => {
    const from = (celsius: number, chilled: Partial<PotStep> = {}) =>
      run(add(5000), { do: 'bring', celsius }, { do: 'chill', celsius: 4, ...chilled } as PotStep);
    expect(last(from(90)).lost.evaporated).toBeCloseTo(150, 9);
    expect(last(from(55)).lost.evaporated).toBeCloseTo(75, 9);
    expect(last(from(90, { covered: true } as Partial<PotStep>)).lost.evaporated).toBeCloseTo(15, 9);
    expect(last(run(add(5000), { do: 'chill', celsius: 4 })).lost.evaporated).toBeUndefined();
    const cold = from(90);
    expect(last(cold).elapsedHours - (cold.rows[1]?.elapsedHours ?? 0)).toBe(2);
  });

  test('a house’s limits of cooling are held against how long the pot takes to each of them', () => {
    const limits = {
      ...CONSTANTS,
      coolingLimits: [
        { toC: 21, withinH: 2 },
        { toC: 5, withinH: 6 },
      ],
    };
    const chilled = (hours: number, celsius = 4, c = limits) =>
      last(
        runPot(
          {
            vessel: round(40, 40, 40, 1),
            hob: hob(),
            steps: [add(5000), { do: 'bring', celsius: 90 }, { do: 'chill', celsius, hours }],
          },
          c,
        ),
      ).warnings;
    // From 90 to 4 °C it has fallen by ln 22.5 = 3.114, to 21 °C by ln 4.286 = 1.455: 8 h · 1.455 / 3.114 = 3.74 h.
    expect(chilled(8)).toMatchObject([
      { code: 'cools-slowly', value: expect.closeTo(3.74, 2) as number, limit: 2, unit: 'h' },
    ]);
    expect(chilled(4)).toEqual([]);
    // Only to 30 °C: neither limit is reached, and nothing is said of what is not known.
    expect(chilled(8, 30)).toEqual([]);
    expect(chilled(8, 4, { ...CONSTANTS, coolingLimits: [] })).toEqual([]);
  });

  test('what fries in a little fat is not told that it boils dry, stands out of the liquid or is too salty; a pot of bones is', () => {
    const codes = (r: PotRun): string[] => r.rows.flatMap((row) => row.warnings.map((w) => w.code));
    const fried = run(
      add(60, fat),
      add(1000, roots),
      { do: 'season', what: of(salt), g: 12 },
      { do: 'cook', heat: 'brisk boil', hours: 0.3, lid: 'off' },
    );
    expect(codes(fried)).toEqual([]);
    const burnt = run(add(400), add(500, roots), { do: 'cook', heat: 'hard boil', hours: 2, lid: 'off' });
    expect(codes(burnt)).toContain('boils-dry');
  });

  test('fat that was blended in cannot be taken off, and that is said with what becomes of its product', () => {
    const r = run(
      add(1000),
      add(100, fat),
      add(500, roots),
      { do: 'puree', loss: 0 },
      { do: 'defat', by: 'ladle', as: 'lifted fat', cost: { by: 'weight' } },
    );
    const [warning] = last(r).warnings.filter((w) => w.code === 'no-free-fat');
    expect(warning?.message).toMatch(/^There is no fat to take off: all 6\.\d+ % .*no “lifted fat”/);
    const free = run(add(1000), add(100, fat), { do: 'defat', by: 'ladle' });
    expect(last(free).warnings).toEqual([]);
  });

  test('held warm, water leaves and compounds', () => {
    const held = run(add(5000), { do: 'hold', hours: 3, lossPerHour: 0.1 });
    // 4750 g of water × (1 − 0.9³).
    expect(last(held).lost.evaporated).toBeCloseTo(4750 * (1 - 0.729), 9);
  });
});

test.each<[string, PotStep[], string, RegExp]>([
  [
    'top up what never boiled',
    [add(1000), { do: 'top up' }],
    'nothing-to-top-up',
    /has not been on the heat/,
  ],
  ['purée without pieces', [add(1000), { do: 'puree' }], 'nothing-to-puree', /no pieces/],
  [
    'purée everything away',
    [add(1000), add(100, roots), { do: 'puree', loss: 1 }],
    'loss-out-of-range',
    /100\.00 %/,
  ],
  [
    'sieve with pieces',
    [add(1000), add(1200, roots), { do: 'sieve' }],
    'pieces-in-sieve',
    /1\.20 kg of pieces/,
  ],
  ['sieve nothing', [{ do: 'sieve' }], 'empty', /nothing in the pot/],
  ['second pass of no sieve', [add(1000), { do: 'second pass', share: 0.5 }], 'nothing-in-sieve', /no sieve/],
  [
    'more back than was kept',
    [add(1000), { do: 'sieve', loss: 0.1 }, { do: 'second pass', share: 1.2 }],
    'share-out-of-range',
    /120\.00 %/,
  ],
  [
    'thicken what is thicker',
    [
      add(1000),
      { do: 'thicken', what: of(roux), g: 400 },
      { do: 'thicken to', what: of(roux), band: 'soup' },
    ],
    'already-thicker',
    /body 0\.33.*loosen it instead/,
  ],
  [
    'thicken with what binds nothing',
    [add(1000), { do: 'thicken to', what: of(cream), band: 'coating' }],
    'binds-too-little',
    /with Cream/,
  ],
  [
    'thicken with pieces',
    [add(1000), { do: 'thicken to', what: of(roots), band: 'coating' }],
    'stays-a-piece',
    /Roots/,
  ],
  [
    'loosen what is loose',
    [add(1000), { do: 'loosen to', what: of(cream), band: 'coating' }],
    'already-looser',
    /body 1\.29/,
  ],
  [
    'loosen with what binds',
    [add(1000), { do: 'thicken', what: of(roux), g: 900 }, { do: 'loosen to', what: of(roux), band: 'soup' }],
    'loosens-too-little',
    /Roux/,
  ],
  ['a roux without flour', [add(500, fat), { do: 'roux', to: 'blond', hours: 0.1 }], 'no-flour', /no flour/],
  [
    'a roux in broth',
    [add(1000), add(50, flour), { do: 'roux', to: 'brown', hours: 0.1 }],
    'too-wet-for-roux',
    /before the liquid goes in/,
  ],
  ['enrich an empty pot', [{ do: 'enrich', what: of(cream), g: 10 }], 'empty', /no liquid/],
  ['loosen an empty pot', [{ do: 'loosen', what: of(cream), g: 10 }], 'empty', /no liquid/],
  ['chill upwards', [add(1000), { do: 'chill', celsius: 40 }], 'already-colder', /40 °C.*15 °C/],
  ['hold for ever', [add(1000), { do: 'hold', hours: 400 }], 'time-out-of-range', /400\.0 h.*168 h/],
  [
    'hold at a loss of all',
    [add(1000), { do: 'hold', hours: 1, lossPerHour: 1 }],
    'loss-out-of-range',
    /100\.00 %/,
  ],
  [
    'deglaze with nothing',
    [add(1000), { do: 'deglaze', what: of(cream), g: 0 }],
    'nothing-added',
    /more than 0 g/,
  ],
])('to %s is refused with number and limit', (_, steps, code, words) => {
  const r = run(...steps);
  expect(r.refused?.trouble.code).toBe(code);
  expect(r.refused?.trouble.message).toMatch(words);
  expect(r.refused?.trouble.numbers).toBeDefined();
});
