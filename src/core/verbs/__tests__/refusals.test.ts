import { CONSTANTS } from '../../reference';
import { WATER } from '../../larder';
import { hob, of, round, stuff } from '../../testing/stuff';
import type { PotRun } from '../../pot';
import { cautionFor, runPot, type PotStep } from '..';

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
    'a boil under a layer of fat',
    [add(4000), { do: 'cook', heat: 'hard boil', hours: 1, lid: 'off', underFat: true }],
    'fat-layer-broken',
    /above 96 °C the layer breaks; hard boil is 100 °C/,
  ],
  ['skim nothing', [add(4000), { do: 'skim', ml: 0, from: 'body' }], 'nothing-skimmed', /0 ml was asked/],
  ['take the fat off an empty pot', [{ do: 'defat', by: 'jug' }], 'nothing-to-defat', /no liquid/],
  ['portions of nothing', [add(4000), { do: 'portion', ml: 0, overfill: 0 }], 'portion-out-of-range', /0 ml/],
  [
    'portions ladled to three times their size',
    [add(4000), { do: 'portion', ml: 100, overfill: 2 }],
    'overfill-out-of-range',
    /200\.00 % over cannot be: from 0 to 100 %/,
  ],
  [
    'portions that pour nothing',
    [add(4000), { do: 'portion', ml: 100, overfill: -1 }],
    'overfill-out-of-range',
    /-100\.00 %/,
  ],
  [
    'a fortnight of hands in one step',
    [{ do: 'add', what: of(broth), g: 4000, hands: 336 }],
    'hands-out-of-range',
    /336\.0 h of labour cannot be: from 0 to 168 h/,
  ],
  [
    'reduce to no salt at all',
    [add(4000), reduce({ until: 'salt', value: 0 })],
    'target-out-of-range',
    /above 0; it says 0/,
  ],
  [
    'split into the vessel at work',
    [
      add(4000),
      {
        do: 'split',
        part: { by: 'share', value: 0.5 },
        liquidOnly: false,
        vessel: round(28, 28, 20),
        hob: hob(),
      },
    ],
    'vessel-in-use',
    /28 cm pot: the pot stands in it already/,
  ],
  [
    'split off more than there is',
    [
      add(1000),
      {
        do: 'split',
        part: { by: 'ml', value: 5000 },
        liquidOnly: false,
        vessel: round(20, 20, 20),
        hob: hob(),
      },
    ],
    'splits-too-much',
    /5\.0 l: .*less than the 0\.99 l|5\.0 l: .*less than the \d/,
  ],
  [
    'split all of it off',
    [
      add(1000),
      {
        do: 'split',
        part: { by: 'share', value: 1 },
        liquidOnly: false,
        vessel: round(20, 20, 20),
        hob: hob(),
      },
    ],
    'share-out-of-range',
    /100\.00 %: above 0 and below 100 %/,
  ],
  [
    'split into a vessel too small for it',
    [
      add(4000),
      {
        do: 'split',
        part: { by: 'share', value: 0.5 },
        liquidOnly: false,
        vessel: round(10, 10, 5),
        hob: hob(),
      },
    ],
    'runs-over',
    /10 cm pot holds 0\.39 l/,
  ],
  [
    'turn to a vessel nothing stands in',
    [add(4000), { do: 'turn to', vessel: round(20, 20, 20) }],
    'not-aside',
    /20 cm pot: nothing of this pot/,
  ],
  [
    'combine with the vessel at work',
    [add(4000), { do: 'combine', vessel: round(28, 28, 20) }],
    'not-aside',
    /it is the one at work/,
  ],
  [
    'pour into a vessel in which some stands aside',
    [
      add(4000),
      {
        do: 'split',
        part: { by: 'ml', value: 500 },
        liquidOnly: false,
        vessel: round(20, 20, 20),
        hob: hob(),
      },
      { do: 'into', vessel: round(20, 20, 20), hob: hob() },
    ],
    'vessel-in-use',
    /0\.50 l of this pot stand in it: combine/,
  ],
  [
    'portion what stands in two vessels',
    [
      add(4000),
      {
        do: 'split',
        part: { by: 'ml', value: 500 },
        liquidOnly: false,
        vessel: round(20, 20, 20),
        hob: hob(),
      },
      { do: 'portion', ml: 100, overfill: 0 },
    ],
    'stands-aside',
    /0\.50 l stand in the 20 cm pot: combine/,
  ],
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
    expect(r.rows[0]?.warnings[0]?.message).toMatch(/step 2.*above the maximum fill/);
  });

  test('the filling that leaves no room is the last one large enough, whatever it filled with', () => {
    const r = pot(add(500, WATER), add(8500), add(300, WATER), add(2000, bones));
    expect([0, 1, 2, 3].map((i) => codes(r, i))).toEqual([[], ['no-room-ahead'], [], ['over-max-fill']]);
    // Filled so much less, the last row stands at the maximum and not above it.
    const poured = (r.rows[1]?.ml ?? 0) - (r.rows[0]?.ml ?? 0);
    const filled = (over: number): PotRun =>
      pot(
        add(500, WATER),
        add(8500 * (1 - ((r.rows[1]?.warnings[0]?.cure.value ?? 0) * over) / poured)),
        add(300, WATER),
        add(2000, bones),
      );
    expect(codes(filled(1.01), 3)).toEqual([]);
    expect(codes(filled(0.99), 3)).toEqual(['over-max-fill']);
  });

  test('heat counts: what fits cold and rises above the line hot is told at its filling', () => {
    const cooked = (g: number) => pot(add(g, WATER), { do: 'cook', heat: 'simmer', hours: 0.1, lid: 'on' });
    expect(codes(cooked(10_200), 0)).toEqual(['no-room-ahead']);
    expect(codes(cooked(9_900), 0)).toEqual([]);
  });

  test('pieces out of an open liquid are told; under a lid, or where hardly anything is wet, they are not', () => {
    const short = (ml: number, lid: 'on' | 'off') =>
      codes(
        pot(
          add(3000, bones),
          { do: 'water', to: { by: 'ml', value: ml } },
          { do: 'cook', heat: 'bare simmer', hours: 0.1, lid },
        ),
        2,
      );
    expect(short(1500, 'off')).toContain('not-covered');
    expect(short(1500, 'on')).not.toContain('not-covered');
    expect(short(100, 'off')).not.toContain('not-covered');
    expect(short(6000, 'off')).not.toContain('not-covered');
  });

  test('topping up by what the cure says covers the heap', () => {
    const steps: PotStep[] = [
      add(3000, bones),
      { do: 'water', to: { by: 'ml', value: 2000 } },
      { do: 'cook', heat: 'bare simmer', hours: 0.1, lid: 'off' },
    ];
    const row = pot(...steps).rows[2];
    const cure = row?.warnings.find((w) => w.code === 'not-covered')?.cure;
    // In a straight pot level goes with volume: what is missing is the same share of both.
    expect((row?.levelCm ?? 0) * (1 + (cure?.value ?? 0) / (row?.standingMl ?? 1))).toBeCloseTo(
      row?.heapCm ?? 0,
      6,
    );
  });

  test('too much salt is told once, where it begins, and not where a later step thins it', () => {
    const loosened = pot(add(1000), add(20, salt), add(500), add(3000, WATER));
    expect(loosened.rows.flatMap((r) => r.warnings)).toEqual([]);
    const salted = pot(add(1000), add(20, salt), add(100));
    expect(codes(salted, 1)).toEqual(['oversalted']);
    expect(codes(salted, 2)).toEqual([]);
    // The cure, done, brings it to the limit exactly: unsalted liquid in, or salt left out.
    const cure = salted.rows[1]?.warnings[0]?.cure;
    expect(cure?.do).toBe('loosen');
    const seasoned = pot(add(1000), { do: 'season', what: of(salt), g: 20 });
    const out = seasoned.rows[1]?.warnings[0]?.cure;
    expect(out?.do).toBe('leave salt out');
    const mended = pot(add(1000), { do: 'season', what: of(salt), g: 20 - (out?.value ?? 0) });
    expect(mended.rows[1]?.saltPct).toBeCloseTo(CONSTANTS.oversaltedPct, 9);
  });

  test('bones that boil, a pot that boils dry, a burner too weak for its heat', () => {
    const boiled = (heat: 'hard boil' | 'bare simmer', hours: number) =>
      codes(pot(add(500, bones), add(3000, WATER), { do: 'cook', heat, hours, lid: 'off' }), 2);
    expect(boiled('hard boil', 1)).toContain('boiled-with-bones');
    expect(boiled('hard boil', 0.1)).not.toContain('boiled-with-bones');
    expect(boiled('bare simmer', 1)).not.toContain('boiled-with-bones');
    const dry = pot(add(500, WATER), { do: 'cook', heat: 'simmer', hours: 2, lid: 'off' });
    // 11 kg/(m² h) from 0.0616 m²: 0.5 kg are gone after 44 min.
    expect(dry.rows[1]?.warnings[0]).toMatchObject({ code: 'boils-dry', value: 2 });
    expect(dry.rows[1]?.warnings[0]?.limit).toBeCloseTo(45 / 60, 1);
    const weak = runPot(
      {
        vessel: round(50, 50, 30),
        hob: hob(1),
        steps: [add(8000, WATER), { do: 'cook', heat: 'hard boil', hours: 0.2, lid: 'off' }],
      },
      CONSTANTS,
    );
    // 40 kg/(m² h) over 0.196 m² against 1 kW ÷ 0.627 kWh/kg.
    expect(weak.rows[1]?.warnings[0]).toMatchObject({ code: 'burner-limits' });
    expect(weak.rows[1]?.warnings[0]?.value).toBeCloseTo(40 * 0.19635, 2);
    expect(weak.rows[1]?.warnings[0]?.limit).toBeCloseTo(3600 / 2257, 4);
  });

  test('every warning says what cures it, with a number', () => {
    const found = [
      pot({ do: 'water', to: { by: 'ml', value: 9500 } }, add(2000, bones)),
      pot(add(1000), add(20, salt)),
      pot(add(1000, bones), add(1000), { do: 'brown', vapour: 0.1, fatRunOff: 0, hours: 0 }),
      pot(add(4000), {
        do: 'split',
        part: { by: 'ml', value: 500 },
        liquidOnly: false,
        vessel: round(20, 20, 15),
        hob: hob(),
      }),
    ].flatMap((r) => r.rows.flatMap((row) => row.warnings));
    expect(new Set(found.map((w) => w.code))).toEqual(
      new Set(['over-max-fill', 'no-room-ahead', 'oversalted', 'water-stops-browning', 'stands-aside']),
    );
    for (const w of found) {
      expect(w.message).toMatch(/\d/);
      expect(w.cure.message).toMatch(/^[A-Z0-9].*\.$/);
      expect(w.cure.value).toBeGreaterThan(0);
    }
  });

  test('browning in water', () => {
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
