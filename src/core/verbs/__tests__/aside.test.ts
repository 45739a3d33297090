import { WATER, type Stuff } from '../../larder';
import { bodyAt, type LedgerRow, type PotRun } from '../../pot';
import { CONSTANTS } from '../../reference';
import { hob, of, round, stuff } from '../../testing/stuff';
import { runPot, type PotStep } from '..';

/* Pieces that are drained, blanched, clarified away, set aside and taken out; each case with its sum on paper. */
const run = (...steps: PotStep[]): PotRun =>
  runPot({ vessel: round(40, 40, 40, 1), hob: hob(), steps }, CONSTANTS);
const add = (what: Stuff, g: number): PotStep => ({ do: 'add', what: of(what), g });
const rowsOf = (r: PotRun): readonly LedgerRow[] => {
  if (r.refused) throw new Error(r.refused.trouble.message);
  return r.rows;
};
const end = (r: PotRun): LedgerRow => rowsOf(r)[r.rows.length - 1] as LedgerRow;
const codes = (row: LedgerRow | undefined): string[] => (row?.warnings ?? []).map((w) => w.code);

const bones = stuff(
  'Veal bones',
  'piece',
  { water: 0.5, salt: 0.01 },
  { gelatinPool: 0.04, gelatinHalfLifeH: 3, retention: 100 },
);
const onion = stuff('Onion', 'piece', { water: 0.9 }, { retention: 50 });
const shin = stuff('Shin', 'piece', { water: 0.7 }, { juice: 0.3, juiceHalfLifeH: 0.5, retention: 50 });
const broth = stuff('Broth', 'liquid', { water: 0.95, rest: 0.03, gelatin: 0.02 });

describe('draining and blanching', () => {
  test('drained pieces keep what they hold unpressed, and the rest is thrown away', () => {
    const r = run(add(bones, 2000), add(WATER, 3000), { do: 'drain' });
    // 100 ml a kilo of 2 kg: 200 ml of 3,005.
    expect(end(r).ml).toBeCloseTo(200, 6);
    expect(end(r).lost['poured away']).toBeCloseTo(3000 - 200 * 0.9982, 6);
    // No money goes with it: what it was bought for is the pieces.
    expect(end(r).shares).toEqual([]);
  });

  test('the liquor of what is drained can go on to another use', () => {
    const r = run(add(onion, 1000), add(broth, 2000), { do: 'drain', as: 'liquor', cost: { by: 'weight' } });
    expect(end(r).parted.map((p) => p.name)).toEqual(['liquor']);
    expect(end(r).lost['poured away'] ?? 0).toBe(0);
  });

  test('blanching covers by 2 cm, boils, and takes salt along; a second blanching finds less', () => {
    const once = run(add(bones, 5000), { do: 'blanch', hours: 0.1 });
    const salt = (r: PotRun): number => r.product?.pieces[0]?.parts.salt ?? NaN;
    expect(salt(once)).toBeLessThan(50);
    expect(salt(once)).toBeGreaterThan(40);
    expect(end(once).ml).toBeCloseTo(500, 6);
    const twice = run(add(bones, 5000), { do: 'blanch', hours: 0.1 }, { do: 'blanch', hours: 0.1 });
    expect(50 - salt(once)).toBeGreaterThan(salt(once) - salt(twice));
  });

  test('what would be thrown away with the water is refused with both amounts', () => {
    const r = run(add(bones, 1000), add(broth, 2000), { do: 'blanch', hours: 0.1 });
    expect(r.refused?.trouble.message).toBe(
      'Blanch: 2.00 kg of liquid stand with the pieces and would be thrown away with the water: drain it off first (up to 250 g are let pass).',
    );
  });

  test('there is nothing to drain without pieces, and nothing to blanch', () => {
    expect(run(add(broth, 1000), { do: 'drain' }).refused?.trouble.code).toBe('nothing-to-keep');
    expect(run(add(broth, 1000), { do: 'blanch', hours: 0.1 }).refused?.trouble.code).toBe(
      'nothing-to-blanch',
    );
  });
});

test('a raft takes itself, the pieces, most of the fat and a share of the stock; the gelatin stays', () => {
  const white = stuff('Egg white', 'liquid', { water: 0.88, rest: 0.12 });
  const fat = stuff('Dripping', 'liquid', { fat: 1 });
  const r = run(add(broth, 4000), add(fat, 40), add(onion, 100), {
    do: 'clarify',
    what: of(white),
    g: 200,
    hours: 0.5,
  });
  const { clarify } = CONSTANTS;
  expect(end(r).piecesG).toBe(0);
  expect(end(r).lost['fat lifted']).toBeCloseTo(40 * clarify.fatCaught, 6);
  // 24 g of its protein and the onion, which has taken up or given nothing but a little salt.
  expect(end(r).lost['solids discarded']).toBeCloseTo(24 + 100, 6);
  const gelatin = r.product?.liquid.gelatin ?? NaN;
  expect(gelatin / (80 * (1 - clarify.held))).toBeGreaterThan(0.97);
  expect(gelatin).toBeLessThanOrEqual(80 * (1 - clarify.held));
});

describe('a tray beside the pot', () => {
  test('what is set aside and comes back is what it was, and nothing has passed meanwhile', () => {
    const straight = run(add(bones, 2000), add(WATER, 3000), add(onion, 500));
    const round = run(add(bones, 2000), add(WATER, 3000), { do: 'set aside' }, add(onion, 500), {
      do: 'return',
    });
    expect(end(round).g).toBeCloseTo(end(straight).g, 9);
    expect(end(round).piecesG).toBeCloseTo(end(straight).piecesG, 9);
    expect(end(round).aside.g).toBeCloseTo(0, 9);
    expect(rowsOf(round)[2]?.aside.trayG).toBeCloseTo(2000 + 200 * 0.9982, 6);
  });

  test('browning only some of it leaves the rest as it is, and a tray is not browned', () => {
    const only = run(add(bones, 1000), add(onion, 1000), {
      do: 'brown',
      pieces: ['Onion'],
      vapour: 0.2,
      fatRunOff: 0,
      hours: 0,
    });
    expect(end(only).lost['browned off']).toBeCloseTo(200, 9);
    const kind = run(add(bones, 1000), add(onion, 500), {
      do: 'brown',
      pieces: 'bones',
      vapour: 0.2,
      fatRunOff: 0,
      hours: 0,
    });
    expect(end(kind).lost['browned off']).toBeCloseTo(200, 9);
    const tray = run(
      add(bones, 1000),
      { do: 'set aside' },
      add(onion, 500),
      { do: 'brown', vapour: 0.2, fatRunOff: 0, hours: 0 },
      { do: 'return' },
    );
    expect(rowsOf(tray)[3]?.lost['browned off']).toBeCloseTo(100, 9);
    expect(end(tray).piecesG).toBeCloseTo(1400, 9);
  });

  test('meat that rests gives juice, and the juice can go back without the meat', () => {
    const r = run(
      add(shin, 1000),
      { do: 'bring', celsius: 90 },
      { do: 'set aside' },
      { do: 'rest', hours: 0.5 },
      { do: 'return', juicesOnly: true },
    );
    // 65 °C is 3/8 of the way from 50 to 90: half an hour counts 11 minutes of a half-life of 30.
    expect(end(r).g).toBeCloseTo(300 * (1 - 2 ** -0.375), 6);
    expect(codes(end(r))).toContain('stands-aside');
  });

  test('picked off the tray: meat back into the pot, bones gone', () => {
    const r = run(
      add(shin, 1000),
      add(WATER, 2000),
      { do: 'set aside', pieces: 'meat' },
      { do: 'pick', share: 0.6, cost: { by: 'weight' } },
    );
    expect(end(r).piecesG).toBeCloseTo(600, 9);
    expect(end(r).lost['solids discarded']).toBeCloseTo(400, 9);
    expect(end(r).aside.g).toBe(0);
    expect(end(r).ml).toBeCloseTo(2000 / 0.9982, 6);
  });

  test('taken out for good they take along what clings, and can still be picked', () => {
    const r = run(add(bones, 1000), add(onion, 500), add(WATER, 3000), { do: 'take out', pieces: 'bones' });
    expect(end(r).piecesG).toBeCloseTo(500, 9);
    expect(end(r).lost['held in solids']).toBeCloseTo(100 * 0.9982, 6);
    expect(end(r).shares).toEqual([
      { loss: 'held in solids', share: expect.closeTo(100 / (3000 / 0.9982), 9) as number },
    ]);
  });

  test('what is not there is said, with what is', () => {
    const trouble = (...steps: PotStep[]) => run(...steps).refused?.trouble.message;
    expect(trouble(add(onion, 500), { do: 'take out', pieces: 'bones' })).toBe(
      'Take out: no bones in the pot, only Onion.',
    );
    expect(trouble(add(onion, 500), { do: 'return' })).toBe(
      'Return: nothing of this pot has been set aside.',
    );
    expect(trouble(add(onion, 500), { do: 'set aside', share: 1.4 })).toBe(
      'Set aside 140.00 %: above 0 and at most 100 %.',
    );
  });
});

describe('splitting and curdling', () => {
  const yolk = stuff('Egg yolk', 'liquid', { water: 0.5, fat: 0.3 }, { fatBound: true, curdlesAt: 82 });
  const butter = stuff('Butter', 'liquid', { water: 0.16, fat: 0.82 });
  const flour = stuff('Flour', 'liquid', { water: 0.12, starch: 0.7 }, { binding: 1 });
  const simmer: PotStep = { do: 'cook', heat: 'simmer', hours: 0.1, lid: 'on' };

  test('yolk curdles in the heat, once, and not where flour guards it', () => {
    const r = run(add(broth, 1000), add(yolk, 80), simmer, simmer);
    expect(rowsOf(r).map((row) => codes(row).includes('curdles'))).toEqual([false, false, true, false]);
    expect(end(run(add(broth, 1000), add(flour, 50), add(yolk, 80), simmer)).warnings).toEqual([]);
    expect(codes(end(run(add(broth, 1000), add(yolk, 80), { do: 'bring', celsius: 80 })))).toEqual([]);
  });

  const thickening = stuff(
    'Egg yolk',
    'liquid',
    { water: 0.51, fat: 0.27 },
    { fatBound: true, curdlesAt: 82, binding: 0.24 },
  );
  const curdlesAt = (celsius: number, ...first: PotStep[]): boolean =>
    rowsOf(run(...first, { do: 'bring', celsius })).some((row) => codes(row).includes('curdles'));

  test('what yolk thickens guards nothing: twelve in half a litre curdle, and sooner than one', () => {
    const twelve = [add(broth, 500), add(thickening, 216)];
    expect([75, 79, 95].map((c) => curdlesAt(c, ...twelve))).toEqual([false, true, true]);
    expect([79, 84].map((c) => curdlesAt(c, add(broth, 500), add(thickening, 18)))).toEqual([false, true]);
    // Nothing but yolk, as in a sabayon.
    expect([66, 69].map((c) => curdlesAt(c, add(thickening, 216)))).toEqual([false, true]);
  });

  test.each([
    [0, 82],
    [20, 90],
  ])('with %i g of flour a litre yolk bears %i °C', (g, bears) => {
    const pot = [add(broth, 1000), ...(g > 0 ? [add(flour, g)] : []), add(thickening, 60)];
    expect([bears - 1, bears + 1].map((c) => curdlesAt(c, ...pot))).toEqual([false, true]);
  });

  test('with as much as 45 g of flour a litre it may boil', () => {
    expect(curdlesAt(99, add(broth, 1000), add(flour, 50), add(thickening, 60))).toBe(false);
  });

  test('mounted butter holds off the heat and lets go when it boils, a butter sauce sooner', () => {
    const mount = (g: number): PotStep => ({ do: 'mount', what: of(butter), g });
    const light = [add(broth, 1000), { do: 'bring', celsius: 70 } as PotStep, mount(100)];
    expect(codes(end(run(...light)))).toEqual([]);
    expect(codes(end(run(...light, { do: 'bring', celsius: 85 })))).toEqual([]);
    expect(codes(end(run(...light, simmer)))).toContain('splits');
    expect(codes(end(run(add(broth, 300), mount(300), { do: 'bring', celsius: 80 })))).toContain('splits');
  });

  test('fat with too little liquid: how much water brings it back', () => {
    const r = run(add(broth, 100), { do: 'mount', what: of(butter), g: 500 });
    const warning = end(r).warnings.find((w) => w.code === 'splits');
    const water = warning?.cure.value ?? NaN;
    const after = run(add(broth, 100), add(WATER, water * 0.9982), { do: 'mount', what: of(butter), g: 500 });
    expect(water).toBeGreaterThan(0);
    expect(end(after).warnings).toEqual([]);
  });
});

test('cold thickens: starch by half, gelatin sets, pulp stays', () => {
  const c = CONSTANTS;
  const none = { starch: 0, gelatin: 0, held: 0, pulp: 0, gelatinPct: 0 };
  expect(bodyAt({ ...none, starch: 1 }, 80, c)).toBe(1);
  expect(bodyAt({ ...none, starch: 1 }, 20, c)).toBeCloseTo(1 + 6 * c.cold.starch, 12);
  expect(bodyAt({ ...none, pulp: 0.6 }, 5, c)).toBe(0.6);
  const jus = { ...none, gelatin: 3 / 8, gelatinPct: 3 };
  expect(bodyAt(jus, 5, c)).toBeCloseTo(3 / c.cold.setPct, 12);
  let before = 0;
  for (let celsius = 90; celsius >= 0; celsius -= 5) {
    const now = bodyAt({ starch: 0.3, gelatin: 0.2, held: 0.2, pulp: 0.1, gelatinPct: 1.6 }, celsius, c);
    expect(now).toBeGreaterThanOrEqual(before);
    before = now;
  }
});

test('where pieces are served, the spoonful has its own salt and fat', () => {
  const r = run(add(WATER, 500), add(stuff('Chard', 'piece', { water: 0.9, salt: 0.01, fat: 0.05 }), 500));
  expect(end(r).saltPct).toBe(0);
  expect(end(r).spoonful).toEqual({
    saltPct: expect.closeTo(0.5, 9) as number,
    fatPct: expect.closeTo(2.5, 9) as number,
  });
});

test('a raft that sets in the heat curdles nothing, and a soup bound with flour does not clear', () => {
  const egg = stuff('Egg', 'liquid', { water: 0.76, rest: 0.24 }, { curdlesAt: 80 });
  const flour = stuff('Flour', 'liquid', { water: 0.12, starch: 0.7 }, { binding: 1 });
  const raft: PotStep = { do: 'clarify', what: of(egg), g: 100, hours: 0.5 };
  expect(end(run(add(broth, 2000), raft)).warnings).toEqual([]);
  // Half a litre with 15 g in it is bound with 30 g a litre.
  expect(run(add(broth, 500), add(flour, 15), raft).refused?.trouble.message).toMatch(
    /^Clarify: it is bound with 30 g of flour or starch a litre; above 14 it does not clear\.$/,
  );
});
