import fc from 'fast-check';
import { cases } from '../../testing/cases';
import { moneyStaying, partsCost, rowCosts, runningBook } from '../../layers';
import { CONSTANTS } from '../../reference';
import { anyPot, workingPot } from '../../testing/random-pot';
import { hob, of, round, stuff } from '../../testing/stuff';
import {
  capacityMl,
  dipAt,
  levelAt,
  liquidG,
  liquidMl,
  LOSSES,
  maxFillMl,
  openAreaM2,
  volumeAt,
  wettedAreaM2,
  type PotRun,
} from '../../pot';
import { runPot, VERBS, type Pot, type PotStep } from '..';

const run = (pot: Pot): PotRun => runPot(pot, CONSTANTS);
/** g in all vessels at the end. */
const g = (r: PotRun): number => {
  const last = r.rows[r.rows.length - 1];
  return last ? last.g + last.piecesG + last.aside.g : 0;
};
const inputsUpTo = (r: PotRun): number =>
  r.inputs.slice(0, r.rows[r.rows.length - 1]?.inputsSoFar ?? 0).reduce((sum, i) => sum + i.g, 0);
const parted = (r: PotRun): number =>
  r.rows.reduce((sum, row) => sum + row.parted.reduce((all, j) => all + j.product.g, 0), 0);
/** Losses that a later step can bring back. */
const BACK = ['left in the sieve', 'held in solids'];
const lost = (r: PotRun): number =>
  r.rows.reduce((sum, row) => sum + LOSSES.reduce((s, loss) => s + (row.lost[loss] ?? 0), 0), 0);

/** Every run says its seed when it fails; many pots each time, other ones each day the suite runs. */
const many = { numRuns: cases(4000), endOnFailure: true };

describe('mass is never lost', () => {
  test('what came in is what is there, what parted and what is booked as lost, after every random pot', () => {
    fc.assert(
      fc.property(anyPot(40), (pot) => {
        const r = run(pot);
        const came = inputsUpTo(r);
        expect(Math.abs(came - g(r) - lost(r) - parted(r))).toBeLessThanOrEqual(1e-9 * Math.max(1, came));
      }),
      many,
    );
  });

  test('random pots do every verb there is, and stand in several vessels', () => {
    const done = new Map<string, number>();
    let aside = 0;
    for (const pot of fc.sample(workingPot(40), { numRuns: 2000, seed: 20260314 }))
      for (const row of run(pot).rows) {
        done.set(row.do, (done.get(row.do) ?? 0) + 1);
        if (row.aside.vessels.length > 0 && row.do === 'cook') aside += 1;
      }
    const never = Object.keys(VERBS).filter((verb) => (done.get(verb) ?? 0) < 5);
    expect(never).toEqual([]);
    expect(aside).toBeGreaterThan(50);
  });

  test('nothing is ever negative, above the brim, or not a number', () => {
    fc.assert(
      fc.property(anyPot(), (pot) => {
        const { rows, refused } = run(pot);
        // A refusal is a sentence with its figures, never the end of a sum that went wrong.
        if (refused) {
          expect(refused.trouble.message).not.toMatch(/NaN|Infinity|undefined/);
          expect(Object.values(refused.trouble.numbers ?? {}).every(Number.isFinite)).toBe(true);
        }
        const wrong = rows.flatMap((row) => {
          const { ml, g: liquid, piecesG, levelCm, saltPct, gelatinPct, ethanolPct, body } = row;
          const figures = [ml, liquid, piecesG, levelCm, saltPct, gelatinPct, ethanolPct, body];
          const sound =
            figures.every((x) => x >= 0) &&
            row.dipCm >= -1e-6 &&
            row.shares.every(({ share, loss }) => share <= 1 && share >= (BACK.includes(loss) ? -1 : 0));
          // One look at each pot: thousands of rows are looked at in a run.
          return sound ? [] : [row];
        });
        expect(wrong).toEqual([]);
      }),
      many,
    );
  });

  test('a product carries exactly what the pot holds at the end', () => {
    fc.assert(
      fc.property(anyPot(), (pot) => {
        const r = run(pot);
        fc.pre(r.product !== undefined);
        expect(r.product?.g).toBeCloseTo(g(r), 6);
        const last = r.rows[r.rows.length - 1];
        if ((last?.aside.g ?? 0) > 0) return;
        expect(liquidG((r.product as NonNullable<PotRun['product']>).liquid)).toBeCloseTo(last?.g ?? 0, 6);
      }),
      { numRuns: cases(300), endOnFailure: true },
    );
  });
});

describe('money is never lost', () => {
  test('the running book adds up for every random pot and any prices', () => {
    fc.assert(
      fc.property(
        anyPot(),
        fc.array(fc.double({ min: 0, max: 500, noNaN: true }), { minLength: 25, maxLength: 25 }),
        (pot, prices) => {
          const r = run(pot);
          const costs = r.inputs.map((_, i) => prices[i % prices.length] as number);
          const sum = (of: object): number => Object.values(of).reduce((a: number, b: number) => a + b, 0);
          const parts = partsCost(r.rows, costs);
          const book = runningBook(r, costs, parts);
          const all = sum(book.lost) + sum(book.parted) + book.left;
          expect(Math.abs(all - book.spent)).toBeLessThan(1e-9 * Math.max(1, book.spent));
          // What the product absorbs and what the parts carry away is every cent that was spent.
          const money = rowCosts(r.rows, costs, []);
          // Credits above the cost up to there are refused by the kitchen: there is nothing to share then.
          if (money.some((m) => (m.inPot ?? 0) < 0)) return;
          const inPot = money.at(-1)?.inPot ?? 0;
          const staying = moneyStaying(r.rows, costs.slice(0, r.rows.at(-1)?.inputsSoFar));
          expect(Math.abs(sum(staying) - inPot)).toBeLessThan(1e-9 * Math.max(1, book.spent));
          const away = parts.reduce((a, p) => a + p.money, 0);
          const paid = costs.slice(0, r.rows.at(-1)?.inputsSoFar).reduce((a, b) => a + b, 0);
          expect(Math.abs(inPot + away - paid)).toBeLessThan(1e-9 * Math.max(1, paid));
        },
      ),
      { numRuns: cases(3000), endOnFailure: true },
    );
  });
});

describe('laws of the pot', () => {
  const bones = (retention = 110) =>
    stuff(
      'bones',
      'piece',
      { water: 0.5, fat: 0.08 },
      {
        gelatinPool: 0.04,
        gelatinHalfLifeH: 3,
        renderedFat: 0.03,
        retention,
        retentionPressed: retention * 0.8,
        packing: 0.55,
      },
    );
  const stock = (retention: number, pressed: boolean, hours: number): PotRun =>
    run({
      vessel: round(36, 36, 36),
      hob: hob(),
      steps: [
        { do: 'add', what: of(bones(retention)), g: 8000 },
        { do: 'water', to: { by: 'ml', value: 16000 } },
        { do: 'cook', heat: 'bare simmer', hours, lid: 'off' },
        { do: 'strain', pressed, through: 'cone sieve' },
      ],
    });
  const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });

  test('longer open cooking never raises liquid and pieces by mass', () => {
    fc.assert(
      fc.property(anyPot(8), num(0.1, 4), num(0.1, 4), (pot, a, b) => {
        const cooked = (hours: number) =>
          run({ ...pot, steps: [...pot.steps, { do: 'cook', heat: 'simmer', hours, lid: 'off' }] });
        const [short, long] = [cooked(Math.min(a, b)), cooked(Math.max(a, b))];
        fc.pre(!short.refused && !long.refused);
        // In the very minute in which a pot boils dry, grain and air race for the last water: the model
        // lets the grain drink first, and a longer minute is a longer drink.
        fc.pre(!long.rows.at(-1)?.warnings.some((w) => w.code === 'boils-dry'));
        expect(g(long)).toBeLessThanOrEqual(g(short) * (1 + 1e-9) + 1e-9);
      }),
      { numRuns: cases(1000), endOnFailure: true },
    );
  });

  test('pressing never lowers the litres, and more retention never raises them', () => {
    fc.assert(
      fc.property(num(0, 400), num(0, 400), num(0.5, 8), (a, b, hours) => {
        const litres = (r: PotRun): number => r.product?.ml ?? 0;
        expect(litres(stock(a, true, hours))).toBeGreaterThanOrEqual(litres(stock(a, false, hours)) - 1e-9);
        expect(litres(stock(Math.max(a, b), false, hours))).toBeLessThanOrEqual(
          litres(stock(Math.min(a, b), false, hours)) + 1e-9,
        );
      }),
      { numRuns: cases(60) },
    );
  });

  test('a reduction ends exactly on its target, and two halves are a quarter', () => {
    fc.assert(
      fc.property(num(0.15, 0.9), num(500, 5000), (share, start) => {
        const broth = stuff('broth', 'liquid', { water: 0.97, gelatin: 0.01 });
        const pot = (to: PotStep[]): PotRun =>
          run({
            vessel: round(24, 30, 20),
            hob: hob(2),
            steps: [{ do: 'add', what: of(broth), g: start }, ...to],
          });
        const half = (value: number): PotStep => ({
          do: 'reduce',
          heat: 'brisk boil',
          lid: 'off',
          to: { until: 'share', value },
        });
        const once = pot([half(share * share)]);
        const twice = pot([half(share), half(share)]);
        fc.pre(!once.refused && !twice.refused);
        expect(once.product?.ml).toBeCloseTo((once.rows[0]?.ml ?? 0) * share * share, 5);
        expect(twice.product?.ml).toBeCloseTo(once.product?.ml ?? 0, 4);
        expect((twice.rows[1]?.heatHours ?? 0) + (twice.rows[2]?.heatHours ?? 0)).toBeCloseTo(
          once.rows[1]?.heatHours ?? 0,
          3,
        );
      }),
      { numRuns: cases(80) },
    );
  });

  test('a lid never makes more steam, and alcohol never comes back', () => {
    const wine = stuff('wine', 'liquid', { water: 0.885, ethanol: 0.1 });
    const cooked = (lid: 'off' | 'ajar' | 'on', hours: number) =>
      run({
        vessel: round(28, 28, 20),
        hob: hob(),
        steps: [
          { do: 'add', what: of(wine), g: 4000 },
          { do: 'cook', heat: 'simmer', hours, lid },
        ],
      }).rows[1];
    for (const hours of [0.1, 0.5, 1.5]) {
      const [off, ajar, on] = [cooked('off', hours), cooked('ajar', hours), cooked('on', hours)];
      expect(off?.lost.evaporated).toBeGreaterThanOrEqual(ajar?.lost.evaporated ?? Infinity);
      expect(ajar?.lost.evaporated).toBeGreaterThanOrEqual(on?.lost.evaporated ?? Infinity);
      expect(cooked('on', hours + 1)?.ethanolPct).toBeLessThan(on?.ethanolPct ?? 0);
    }
  });

  test('a kept product used whole is the same liquid again', () => {
    const r = stock(110, false, 3);
    const product = r.product as NonNullable<PotRun['product']>;
    const again = run({
      vessel: round(36, 36, 36),
      hob: hob(),
      steps: [
        { do: 'add', what: { is: 'product', supply: 'product:x', name: 'stock', product }, g: product.g },
      ],
    });
    expect(again.product?.ml).toBeCloseTo(product.ml, 8);
    expect(again.rows[0]?.gelatinPct).toBeCloseTo(r.rows[3]?.gelatinPct ?? 0, 10);
    expect(liquidMl((again.product as NonNullable<PotRun['product']>).liquid)).toBeCloseTo(
      liquidMl(product.liquid),
      8,
    );
  });

  test('level and volume are inverse in every vessel; area and wetted wall grow upwards', () => {
    fc.assert(
      fc.property(num(10, 60), num(10, 60), num(5, 60), num(0.01, 0.99), (base, top, height, share) => {
        const v = round(base, top, height);
        const cm = height * share;
        expect(levelAt(v, volumeAt(v, cm))).toBeCloseTo(cm, 6);
        expect(wettedAreaM2(v, cm)).toBeGreaterThan(wettedAreaM2(v, cm / 2));
        if (top > base + 0.01) expect(openAreaM2(v, cm)).toBeGreaterThan(openAreaM2(v, cm / 2));
      }),
    );
  });

  test('a box holds length × width × level, is open over all of it, and wets its floor and four walls', () => {
    fc.assert(
      fc.property(num(10, 80), num(10, 80), num(5, 60), num(0.01, 1), (length, width, height, share) => {
        const box = {
          ...round(1, 1, height, 0.8),
          shape: 'box' as const,
          lengthCm: length,
          widthCm: width,
        };
        const cm = height * share;
        expect(volumeAt(box, cm)).toBeCloseTo(length * width * cm, 6);
        expect(levelAt(box, volumeAt(box, cm))).toBeCloseTo(cm, 9);
        expect(openAreaM2(box, cm)).toBeCloseTo((length * width) / 1e4, 12);
        expect(wettedAreaM2(box, cm)).toBeCloseTo((length * width + 2 * (length + width) * cm) / 1e4, 12);
        expect(capacityMl(box)).toBeCloseTo(length * width * height, 6);
        expect(maxFillMl(box)).toBeCloseTo(length * width * height * 0.8, 6);
        expect(dipAt(box, cm)).toBeCloseTo(height - cm, 12);
        // A square box steams like a straight round pot of the same floor.
        const across = Math.sqrt((length * width * 4) / Math.PI);
        expect(openAreaM2(round(across, across, height), cm)).toBeCloseTo(openAreaM2(box, cm), 9);
      }),
    );
  });

  test('water to a level stands at it, pieces and all, hot or cold; a level that is reached already asks for none', () => {
    for (const celsius of [undefined, 90]) {
      const r = run({
        vessel: round(36, 40, 36),
        hob: hob(5),
        steps: [
          { do: 'add', what: of(bones()), g: 6000 },
          { do: 'water', to: { by: 'ml', value: 5000 } },
          ...(celsius === undefined ? [] : ([{ do: 'bring', celsius }] as const)),
          { do: 'water', to: { by: 'level', value: 20 } },
        ],
      });
      expect(r.refused).toBeUndefined();
      expect(r.rows.at(-1)?.levelCm).toBeCloseTo(20, 6);
      expect(r.inputs.at(-1)?.supply).toBe('free');
    }
    const low = run({
      vessel: round(36, 36, 36),
      hob: hob(5),
      steps: [
        { do: 'add', what: of(bones()), g: 6000 },
        { do: 'water', to: { by: 'ml', value: 15000 } },
        { do: 'water', to: { by: 'level', value: 5 } },
      ],
    });
    expect(low.refused?.trouble.message).toContain('5.0 cm');
  });

  test('water to cover stands where it was asked for, and heating up is energy over power', () => {
    const r = run({
      vessel: round(36, 36, 36),
      hob: hob(5),
      steps: [
        { do: 'add', what: of(bones()), g: 8000 },
        { do: 'water', to: { by: 'cover', value: 3 } },
        { do: 'bring', celsius: 90 },
      ],
    });
    expect(r.rows[1]?.levelCm).toBeCloseTo((r.rows[0]?.heapCm ?? 0) + 3, 6);
    const kj = ((r.rows[1]?.g ?? 0) * 4.186 + 8000 * 3.3) / 1000;
    expect(r.rows[2]?.upHours).toBeCloseTo((kj * (90 - 15)) / 5 / 3600, 9);
  });
});
