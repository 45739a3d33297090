import fc from 'fast-check';
import { stuffOf } from '../../kitchen-file';
import { WATER, type Stuff } from '../../larder';
import type { PotRun } from '../../pot';
import { adopted, CONSTANTS, referenceLarder } from '../../reference';
import { hob, of, round, stuff } from '../../testing/stuff';
import { runPot, type PotStep } from '..';

/* What passes between pieces and liquid, each case with its sum on paper (docs/model.md, "Passing"). */
const run = (...steps: PotStep[]): PotRun =>
  runPot({ vessel: round(40, 40, 40, 1), hob: hob(), steps }, CONSTANTS);
const add = (what: Stuff, g: number): PotStep => ({ do: 'add', what: of(what), g });
const simmer = (hours: number): PotStep => ({ do: 'cook', heat: 'simmer', hours, lid: 'on' });
const last = (r: PotRun) => {
  const row = r.rows[r.rows.length - 1];
  if (!row || r.refused) throw new Error(r.refused?.trouble.message ?? 'no row');
  return row;
};
const fromLarder = (name: string): Stuff => {
  const row = [...referenceLarder().values()].find((r) => r.name === name);
  const read = row && stuffOf(adopted(row, row.id, '2026-01-01', '2026-01-01T00:00:00.000Z'));
  if (!read?.ok) throw new Error(`${name} is not in the larder`);
  return read.value;
};
/** Share of a piece's raw weight that is left of it after some hours in plenty of water. */
const leftOf = (name: string, hours: number): number => {
  const r = run(add(WATER, 12_000), add(fromLarder(name), 1000), simmer(hours));
  return last(r).piecesG / 1000;
};

describe('what passes between pieces and liquid', () => {
  test('lean meat simmered three hours weighs about what the larder says, and most of it is gone after one', () => {
    // Larder: 58 %; juice 0.7 h, so 95 % of it in three hours, and gelatin and fat besides.
    expect(leftOf('Beef shin, boneless', 3)).toBeGreaterThan(0.55);
    expect(leftOf('Beef shin, boneless', 3)).toBeLessThan(0.64);
    expect(leftOf('Beef shin, boneless', 1)).toBeLessThan(0.8);
    expect(leftOf('Beef shin, boneless', 1)).toBeGreaterThan(leftOf('Beef shin, boneless', 3));
  });

  test('fish has shrunk in a quarter of an hour, mussels have given their liquor as they open', () => {
    expect(leftOf('White fish fillet, skinless', 0.25)).toBeLessThan(0.87);
    expect(leftOf('Mussel, live', 4 / 60)).toBeLessThan(0.74);
  });

  test('below 50 °C meat gives no juice at all', () => {
    const meat = stuff('Meat', 'piece', { water: 0.7 }, { juice: 0.3, juiceHalfLifeH: 0.5 });
    const r = run(add(WATER, 5000), add(meat, 1000), { do: 'bring', celsius: 49 }, { do: 'hold', hours: 2 });
    expect(last(r).piecesG).toBeCloseTo(1000, 9);
    const hot = run(
      add(WATER, 5000),
      add(meat, 1000),
      { do: 'bring', celsius: 90 },
      { do: 'hold', hours: 0.5 },
    );
    expect(last(hot).piecesG).toBeCloseTo(1000 - 150, 6);
  });

  test('juice takes the salt along that is dissolved in it', () => {
    const ham = stuff('Ham', 'piece', { water: 0.6, salt: 0.06 }, { juice: 0.3, juiceHalfLifeH: 1e-9 });
    // Half of the water leaves with half of the salt at once; with no time for more to pass.
    const r = run(add(ham, 1000), { do: 'cook', heat: 'simmer', hours: 1e-6, lid: 'on' });
    expect(r.product?.liquid.salt).toBeCloseTo(30, 1);
  });

  test('spinach gives most of its water within two minutes, mushrooms take longer', () => {
    const given = (name: string) => {
      const thing = fromLarder(name);
      const r = run(add(WATER, 10_000), add(thing, 1000), simmer(2 / 60));
      return (1000 - last(r).piecesG) / (thing.givesWater * 1000);
    };
    expect(given('Spinach, baby leaf')).toBeGreaterThan(0.75);
    expect(given('White button mushroom')).toBeLessThan(0.4);
  });

  test('mushrooms browned by 45 % do not weep their water a second time', () => {
    const mushroom = fromLarder('White button mushroom');
    const r = run(add(mushroom, 1000), { do: 'brown', vapour: 0.45, fatRunOff: 0, hours: 0 });
    const cooked = run(
      add(mushroom, 1000),
      { do: 'brown', vapour: 0.45, fatRunOff: 0, hours: 0 },
      add(WATER, 3000),
      simmer(1),
    );
    expect(last(r).piecesG).toBeCloseTo(550, 9);
    expect(last(cooked).piecesG).toBeGreaterThan(530);
  });

  test('fat that runs off in the tray does not come out in the pot again', () => {
    const duck = stuff('Duck', 'piece', { water: 0.55, fat: 0.25 }, { renderedFat: 0.18 });
    const both = run(
      add(duck, 6500),
      { do: 'brown', vapour: 0.1, fatRunOff: 0.1, hours: 0 },
      add(WATER, 6000),
      simmer(12),
    );
    const tray = both.rows[1]?.lost['fat run off'] ?? 0;
    const pot = both.product?.liquid.freeFat ?? 0;
    expect(tray).toBeCloseTo(650, 9);
    expect(tray + pot).toBeCloseTo(6500 * 0.18, 0);
  });

  test('grain stops when it is full, and goes on filling while it stands', () => {
    const barley = stuff('Barley', 'piece', { water: 0.1, starch: 0.6 }, { takesWater: 2.5 });
    const full = run(add(WATER, 9000), add(barley, 1000), simmer(6));
    expect(last(full).piecesG).toBeCloseTo(3500, 3);
    const stood = run(add(WATER, 9000), add(barley, 1000), simmer(0.15), {
      do: 'chill',
      celsius: 4,
      hours: 0.15,
      covered: true,
    });
    // Half in the first 0.15 h, half of the rest in the next.
    expect(stood.rows[2]?.piecesG).toBeCloseTo(1000 + 1250, 6);
    expect(last(stood).piecesG).toBeCloseTo(1000 + 1250 + 625, 6);
  });

  test('salt goes in as well as out, until both are equally salty', () => {
    const potato = stuff('Potato', 'piece', { water: 0.8, starch: 0.16 });
    const brine = stuff('Brine', 'liquid', { water: 0.98, salt: 0.02 });
    const r = run(
      add(brine, 2000),
      add(potato, 1000),
      { do: 'bring', celsius: 90 },
      {
        do: 'cook',
        heat: 'bare simmer',
        hours: 12,
        lid: 'on',
      },
    );
    const piece = r.product?.pieces[0]?.parts;
    const liquid = r.product?.liquid;
    const inPiece = (piece?.salt ?? 0) / (piece?.water ?? 1);
    // What boils away meanwhile keeps the liquid a little ahead.
    expect(inPiece / ((liquid?.salt ?? 0) / (liquid?.water ?? 1))).toBeGreaterThan(0.95);
    expect((piece?.salt ?? 0) + (liquid?.salt ?? 0)).toBeCloseTo(40, 9);
    expect(piece?.salt).toBeGreaterThan(11);
  });

  test('salt moves towards a balance and never past it, from either side', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.08, noNaN: true }),
        fc.double({ min: 0, max: 0.08, noNaN: true }),
        fc.double({ min: 0.01, max: 3, noNaN: true }),
        (inside, outside, hours) => {
          const piece = stuff('Piece', 'piece', { water: 0.7, salt: inside });
          const brine = stuff('Brine', 'liquid', { water: 1 - outside, salt: outside });
          const r = run(add(brine, 3000), add(piece, 1000), {
            do: 'cook',
            heat: 'simmer',
            hours,
            lid: 'on',
          });
          const p = r.product?.pieces[0]?.parts ?? { salt: NaN, water: NaN };
          const l = r.product?.liquid ?? { salt: NaN, water: NaN };
          // What steams away under the lid meanwhile keeps the liquid a hair ahead.
          const before = inside / 0.7 - outside / (1 - outside);
          const after = p.salt / p.water - l.salt / l.water;
          if (Math.abs(before) > 0.01 && Math.abs(after) > 0.003)
            expect(Math.sign(after)).toBe(Math.sign(before));
          expect(Math.abs(after)).toBeLessThanOrEqual(Math.abs(before) + 0.003);
          expect(p.salt + l.salt).toBeCloseTo(1000 * inside + 3000 * outside, 8);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('dissolved gelatin fades in a long hot night: half in 18 h at 95 °C, and nothing of its weight', () => {
    const jus = stuff('Jus', 'liquid', { water: 0.9, gelatin: 0.1 });
    const c = { ...CONSTANTS, heats: { ...CONSTANTS.heats, simmer: { rate: 0, celsius: 95 } } };
    const at95 = runPot({ vessel: round(40, 40, 40, 1), hob: hob(), steps: [add(jus, 1000), simmer(18)] }, c);
    expect(at95.product?.liquid.gelatin).toBeCloseTo(50, 6);
    expect(at95.product?.g).toBeCloseTo(1000, 6);
    const c85 = { ...CONSTANTS, heats: { ...CONSTANTS.heats, simmer: { rate: 0, celsius: 85 } } };
    const at85 = runPot(
      { vessel: round(40, 40, 40, 1), hob: hob(), steps: [add(jus, 1000), simmer(18)] },
      c85,
    );
    expect(at85.product?.liquid.gelatin).toBeCloseTo(100 / Math.SQRT2, 6);
  });
});

describe('a piece in two halves gives what it gives whole', () => {
  test('whatever it holds', () => {
    const meat = fromLarder('Pork shoulder, boneless');
    const pot = (...pieces: PotStep[]) => run(add(WATER, 4000), ...pieces, simmer(1.5));
    const whole = pot(add(meat, 1000));
    const halves = pot(add(meat, 400), add(meat, 600));
    expect(last(halves).g).toBeCloseTo(last(whole).g, 7);
    expect(last(halves).saltPct).toBeCloseTo(last(whole).saltPct, 9);
    expect(last(halves).piecesG).toBeCloseTo(last(whole).piecesG, 7);
  });
});
