import { CONSTANTS } from '../../reference';
import { WATER } from '../../larder';
import { hob, of, round, stuff } from '../../testing/stuff';
import { cautionFor, runPot, type PotRun, type PotStep } from '..';

const bones = stuff(
  'Bones',
  'piece',
  { water: 0.5, fat: 0.08 },
  { gelatinPool: 0.04, gelatinHalfLifeH: 3, retention: 100, packing: 0.55 },
);
const broth = stuff('Broth', 'liquid', { water: 0.95, salt: 0.005, gelatin: 0.01 });
const salt = stuff('Salt', 'liquid', { salt: 1 });
const pot = (...steps: PotStep[]): PotRun =>
  runPot({ vessel: round(28, 28, 20, 0.85), hob: hob(3), steps }, CONSTANTS);
const add = (g: number, what = broth): PotStep => ({ do: 'add', what: of(what), g });
const reduce = (to: Extract<PotStep, { do: 'reduce' }>['to']): PotStep => ({
  do: 'reduce',
  heat: 'brisk boil',
  lid: 'off',
  to,
});

/* Each: what is tried, its code, and the figures the sentence must carry. */
const cases: readonly (readonly [string, PotStep[], string, RegExp])[] = [
  ['more than the brim', [add(20000)], 'runs-over', /run over: .* l in the 28 cm pot, which holds 12\.3 l/],
  [
    'reduce to more than there is',
    [add(4000), reduce({ until: 'ml', value: 9000 })],
    'reduce-to-more',
    /9\.0 l: there are only 3\.9 l/,
  ],
  [
    'reduce to nothing',
    [add(4000), reduce({ until: 'share', value: 0 })],
    'share-out-of-range',
    /0 %: .* above 0 and less than 100 %/,
  ],
  [
    'reduce to more body than there ever can be',
    [add(4000), reduce({ until: 'gelatin', value: 60 })],
    'out-of-reach',
    /60\.00 % gelatin: even boiled dry .* \d+\.\d+ %/,
  ],
  [
    'reduce to a salt it already has',
    [add(4000), reduce({ until: 'salt', value: 0.2 })],
    'already-there',
    /0\.20 % salt: the pot already stands at 0\.50 %/,
  ],
  [
    'reduce to a dip above the level',
    [add(4000), reduce({ until: 'dip', value: 2 })],
    'already-there',
    /dip of 2\.0 cm.*\d+\.\d cm from the rim/,
  ],
  ['reduce an empty pot', [reduce({ until: 'share', value: 0.5 })], 'nothing-to-reduce', /no liquid/],
  ['brown nothing', [{ do: 'brown', vapour: 0.2, fatRunOff: 0, hours: 0 }], 'nothing-to-brown', /no pieces/],
  [
    'brown off more water than they hold',
    [add(1000, bones), { do: 'brown', vapour: 0.6, fatRunOff: 0, hours: 0 }],
    'brown-too-far',
    /600 g of vapour but hold only 500 g/,
  ],
  [
    'pour off more fat than they hold',
    [add(1000, bones), { do: 'brown', vapour: 0.1, fatRunOff: 0.2, hours: 0 }],
    'too-little-fat',
    /200 g but holds only 80 g/,
  ],
  [
    'brown everything away',
    [add(1000, bones), { do: 'brown', vapour: 1.2, fatRunOff: 0, hours: 0 }],
    'brown-out-of-range',
    /120 %/,
  ],
  [
    'skim more than there is',
    [add(1000), { do: 'skim', ml: 2000, from: 'body' }],
    'skim-too-much',
    /2\.0 l: there are only 0\.99 l/,
  ],
  [
    'strain an empty pot',
    [{ do: 'strain', pressed: false, through: 'cloth' }],
    'nothing-to-strain',
    /no liquid/,
  ],
  [
    'cover nothing',
    [add(1000), { do: 'water', to: { by: 'cover', value: 3 } }],
    'nothing-to-cover',
    /no bones or vegetables/,
  ],
  [
    'cover above the rim',
    [add(6000, bones), { do: 'water', to: { by: 'cover', value: 9 } }],
    'over-rim',
    /9\.0 cm would stand at \d+\.\d cm; .* 20\.0 cm high/,
  ],
  [
    'water to below the level',
    [add(6000), { do: 'water', to: { by: 'level', value: 2 } }],
    'already-higher',
    /2\.0 cm; the pot already stands at 9\.\d cm/,
  ],
  [
    'season below what is there',
    [add(1000), { do: 'season to', what: of(salt), saltPct: 0.3 }],
    'already-saltier',
    /0\.30 % salt: the pot already holds 0\.50 %/,
  ],
  [
    'season with water',
    [add(1000), { do: 'season to', what: of(WATER), saltPct: 0.9 }],
    'not-salty-enough',
    /0\.00 % salt/,
  ],
  [
    'thicken with bones',
    [add(1000), { do: 'thicken', what: of(bones), g: 100 }],
    'stays-a-piece',
    /stays a piece/,
  ],
  ['boil above boiling', [add(1000), { do: 'bring', celsius: 130 }], 'bring-out-of-range', /130 °C.*100 °C/],
  [
    'simmer for a fortnight',
    [add(1000), { do: 'cook', heat: 'simmer', hours: 336, lid: 'on' }],
    'time-out-of-range',
    /336\.0 h.*168 h/,
  ],
  ['add nothing', [add(0)], 'nothing-added', /more than 0 g/],
  [
    'a portion larger than the pot',
    [add(1000), { do: 'portion', ml: 5000, overfill: 0 }],
    'portion-too-large',
    /5000 ml: there are only \d+ ml/,
  ],
  [
    'go on after portioning',
    [add(1000), { do: 'portion', ml: 100, overfill: 0 }, add(100)],
    'after-portion',
    /last step/,
  ],
];

describe('what cannot be is refused in a sentence with the number and the limit', () => {
  test.each(cases)('%s', (_, steps, code, words) => {
    const { refused, product, rows } = pot(...steps);
    expect(refused?.trouble.code).toBe(code);
    expect(refused?.trouble.message).toMatch(words);
    expect(refused?.step).toBe(steps.findIndex((_s, i) => i >= rows.length));
    expect(product).toBeUndefined();
  });

  test('a refused reduction leaves the pot as it was', () => {
    const r = pot(add(4000), reduce({ until: 'gelatin', value: 60 }));
    expect(r.rows).toHaveLength(1);
    expect(r.rows[0]?.lost).toEqual({});
  });
});

describe('what can be done but should be known', () => {
  const codes = (r: PotRun, i: number): string[] => (r.rows[i]?.warnings ?? []).map((w) => w.code);

  test('a pot above its maximum fill, and the filling that left no room for it', () => {
    const r = pot({ do: 'water', to: { by: 'ml', value: 9500 } }, add(2000, bones));
    expect(codes(r, 1)).toContain('over-max-fill');
    expect(codes(r, 0)).toEqual(['no-room-ahead']);
    expect(r.rows[0]?.warnings[0]?.message).toMatch(/step 2.*fill \d/);
  });

  test('pieces out of the liquid, too much salt, browning in water', () => {
    expect(
      codes(
        pot(
          add(3000, bones),
          { do: 'water', to: { by: 'ml', value: 500 } },
          { do: 'cook', heat: 'bare simmer', hours: 0.1, lid: 'on' },
        ),
        2,
      ),
    ).toContain('not-covered');
    expect(codes(pot(add(1000), add(20, salt)), 1)).toContain('oversalted');
    expect(
      codes(pot(add(1000, bones), add(1000), { do: 'brown', vapour: 0.1, fatRunOff: 0, hours: 0 }), 2),
    ).toContain('water-stops-browning');
    expect(codes(pot(add(1000), { do: 'cook', heat: 'simmer', hours: 0.1, lid: 'off' }), 1)).toEqual([]);
  });

  test('unread lines are passed over and counted', () => {
    const r = pot(
      add(1000),
      { do: 'unread', said: '2 kgg bonez', why: { code: 'x', path: '', message: 'x' } },
      add(500),
    );
    expect(r.unread.map((u) => u.step)).toEqual([1]);
    expect(r.rows).toHaveLength(3);
    expect(r.product?.g).toBeCloseTo(1500, 9);
  });

  test('a caution stands where the step can hurt somebody, and nowhere else', () => {
    const r = pot(
      add(9500),
      { do: 'cook', heat: 'simmer', hours: 0.1, lid: 'on' },
      { do: 'strain', pressed: false, through: 'cloth' },
      { do: 'defat', by: 'cold' },
    );
    expect(cautionFor(r.rows[2]!, r.rows[1])).toMatch(/two people.*Local food code/);
    expect(cautionFor(r.rows[3]!, r.rows[2])).toMatch(/shallow/);
    expect(cautionFor(r.rows[0]!, undefined)).toBeUndefined();
  });
});
