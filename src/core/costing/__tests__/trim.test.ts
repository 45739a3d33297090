import fc from 'fast-check';
import { cases } from '../../testing/cases';
import { CONSTANTS, LEARNING } from '../../reference';
import { demoKitchen } from '../../testing/demo';
import type { KitchenFile } from '../../kitchen-file';
import type { WrittenTest } from '../../bench';
import { costFile, trimFlow } from '..';
import { stateFrom } from '../../kitchen-state';
import { proposalOf, taught, proposalEffects, withProposal, type Proposal } from '../../taught';
import { whyCost, type Why } from '../../why';

const DAY = '2026-03-14';
const AT = '2026-03-14T12:00:00.000Z';
const terms = { pot: CONSTANTS, learning: LEARNING, referenceOf: () => undefined };
const named = (file: Pick<KitchenFile, 'ingredients'>, name: string) => {
  const found = file.ingredients.find((i) => i.name === name);
  if (!found) throw new Error(name);
  return found;
};
const kitchen = (change: (file: KitchenFile) => void = () => undefined) => {
  const file = demoKitchen();
  change(file);
  return costFile(file, DAY, CONSTANTS);
};
const taughtOf = (file: KitchenFile, name: string) =>
  taught(stateFrom(file), named(file, name), file.tests, DAY, terms);
/** A file whose ingredients are as a proposal leaves them. */
const accept = (file: KitchenFile, id: string, p: Proposal): KitchenFile => ({
  ...file,
  ingredients: withProposal(stateFrom(file), id, p, DAY, AT).ingredients,
});
const figure = (file: KitchenFile, name: string, what: string) => {
  const found = taughtOf(file, name).find((t) => t.figure === what);
  if (!found) throw new Error(what);
  return found;
};
const said = (why: Why): string => [why.title, why.detail ?? '', ...why.rows.map(said)].join('\n');

describe('what comes off has a price of its own', () => {
  test.each(['free', 'value', 'weight'] as const)(
    'under %s what is bought of whole trout is paid for by its fillets and its frames',
    (school) => {
      const k = kitchen((f) => void (f.kitchen.trim.school = school));
      const trout = k.supplies.get(named(k.state, 'River trout, whole').id);
      const frames = k.supplies.get(named(k.state, 'Frames off whole trout').id);
      const paid = trout?.price?.perKg.toNumber() ?? NaN;
      const back =
        (trout?.usable ?? NaN) * (trout?.usablePerKg ?? NaN) + 0.3044 * (frames?.comesOff?.perKg ?? NaN);
      expect(back).toBeCloseTo(paid, 9);
      expect(frames?.comesOff?.perKg).toBeCloseTo(
        { free: 0, value: 1.1, weight: paid / (0.5231 + 0.3044) }[school],
        9,
      );
      expect(frames?.usablePerKg).toBeCloseTo((frames?.comesOff?.perKg ?? NaN) / 0.94, 9);
    },
  );

  test('frames and shells that no pot takes carry no money away, and why says who pays', () => {
    const k = kitchen((f) => {
      const off = [named(f, 'Frames off whole trout').id, named(f, 'Crab shells, picked').id];
      for (const r of f.recipes)
        r.steps = r.steps.filter(
          (s) => !('of' in s && 'ingredient' in s.of && off.includes(s.of.ingredient)),
        );
    });
    for (const [name, usable] of [
      ['River trout, whole', 0.5231],
      ['Brown crab, live', 0.32],
    ] as const) {
      const supply = k.supplies.get(named(k.state, name).id);
      expect(supply?.usablePerKg).toBeCloseTo((supply?.price?.perKg.toNumber() ?? NaN) / usable, 9);
    }
    expect(
      said(whyCost(k, `usable:${named(k.state, 'Brown crab, live').id}`, (n) => n.toFixed(2))),
    ).toContain('no pot takes 45 % Crab shells, picked: the usable part carries it');
  });

  test('a dearer fish makes the fumet dearer only where frames share its price', () => {
    const dearer = (f: KitchenFile) =>
      f.purchases.forEach((p) =>
        p.lines.forEach((l) => {
          const article = l.is === 'goods' ? f.articles.find((a) => a.id === l.article) : undefined;
          if (l.is === 'goods' && article?.ingredient === named(f, 'River trout, whole').id)
            l.packPrice = '20.00';
        }),
      );
    const fumet = (k: ReturnType<typeof kitchen>) =>
      k.graph.cost(`product:${k.state.recipes.find((r) => r.name === 'Trout-frame fumet')?.id}`) ?? NaN;
    const weight = (f: KitchenFile) => void (f.kitchen.trim.school = 'weight');
    expect(fumet(kitchen(dearer))).toBeCloseTo(fumet(kitchen()), 12);
    expect(
      fumet(
        kitchen((f) => {
          weight(f);
          dearer(f);
        }),
      ),
    ).toBeGreaterThan(fumet(kitchen(weight)) * 1.1);
  });

  test('why names the fish, its yield and its invoice', () => {
    const k = kitchen();
    const words = said(
      whyCost(k, `usable:${named(k.state, 'Frames off whole trout').id}`, (n) => n.toFixed(2)),
    );
    expect(words).toMatch(/Comes off River trout, whole\nat its set value of 1\.10 per kilo/);
    expect(words).toMatch(/measured, likely 50\.96 to 53\.66 %, since 2025-10-22 · 3 own tests/);
    expect(words).toMatch(/Invoice TH\/1107/);
  });

  test('a set value that the fish cannot bear leaves both without a cost, and says the most it can', () => {
    const k = kitchen(
      (f) =>
        void (named(f, 'Frames off whole trout').comesOff = {
          ingredient: named(f, 'River trout, whole').id,
          setValuePerKg: '60',
          sold: false,
        }),
    );
    const frames = k.supplies.get(named(k.state, 'Frames off whole trout').id);
    expect(k.supplies.get(named(k.state, 'River trout, whole').id)?.trouble?.message).toMatch(
      /Frames off whole trout at 60\.00.*most it can bear is 27\.60/,
    );
    expect(frames?.usablePerKg).toBeUndefined();
    expect(frames?.trouble?.message).toMatch(/comes off River trout, whole, which has no cost/);
  });

  test('a lower yield never lowers the cost of a usable kilo, by-products and all', () => {
    const base = kitchen();
    for (const school of ['free', 'value', 'weight'] as const) {
      const of = (factor: number) =>
        kitchen((f) => {
          f.kitchen.trim.school = school;
          for (const i of f.ingredients) for (const y of i.yields) y.usablePct *= factor;
        }).supplies;
      const [full, less] = [of(1), of(0.85)];
      for (const id of base.supplies.keys())
        expect(less.get(id)?.usablePerKg ?? 0).toBeGreaterThanOrEqual(
          (full.get(id)?.usablePerKg ?? 0) - 1e-9,
        );
    }
  });
});

describe('what tests have taught', () => {
  test('the frozen leeks are flagged, count until a person leaves them out, and are then as if never weighed', () => {
    const file = demoKitchen();
    const leek = figure(file, 'Leek', 'usable');
    const odd = leek.tests.find((t) => t.outlier);
    expect(leek.tests.filter((t) => t.outlier)).toHaveLength(1);
    expect(odd?.value).toBeCloseTo(2.21 / 4.94, 9);
    expect(leek.waits).toBe(true);
    expect(leek.learned?.mean).toBeLessThan(0.6);

    const without = demoKitchen();
    without.tests = without.tests.filter((t) => t.id !== odd?.test.id);
    const leftOut = demoKitchen();
    const written = leftOut.tests.find((t) => t.id === odd?.test.id) as WrittenTest;
    written.leftOut = { at: AT, why: 'a frozen crate' };
    const [a, b] = [figure(leftOut, 'Leek', 'usable'), figure(without, 'Leek', 'usable')];
    expect(a.learned).toEqual(b.learned);
    expect(a.waits).toBe(false);
    expect(a.tests.find((t) => t.not)?.not).toBe('left out');
  });

  test('with every test left out the estimate is what is learned, and the measured figure waits to go back', () => {
    const file = demoKitchen();
    for (const t of file.tests) t.leftOut = { at: AT, why: 'none of them' };
    const leek = figure(file, 'Leek', 'usable');
    expect(leek.learned?.mean).toBe(0.58);
    expect(leek.waits).toBe(true);
    expect(proposalOf(taughtOf(file, 'Leek'))?.yields).toMatchObject({
      usablePct: 58,
      stockTrimPct: 30,
      source: 'estimate',
      low: 48,
      high: 70,
    });
  });

  test('a season or a supplier can be listened to alone', () => {
    const only = (learnFrom: KitchenFile['ingredients'][number]['learnFrom']) => {
      const file = demoKitchen();
      named(file, 'River trout, whole').learnFrom = learnFrom;
      return figure(file, 'River trout, whole', 'usable');
    };
    const [spring, autumn, now, all] = [
      only({ season: 'spring' }),
      only({ season: 'autumn' }),
      only({ season: 'now' }),
      only(undefined),
    ];
    expect(spring.learned?.mean).toBeGreaterThan(0.59);
    expect(autumn.learned?.mean).toBeLessThan(0.53);
    expect(now.learned).toEqual(spring.learned);
    expect(all.tests.filter((t) => t.not === undefined)).toHaveLength(5);
    expect(spring.tests.filter((t) => t.not === 'another season')).toHaveLength(3);
    const elsewhere = only({ supplier: demoKitchen().suppliers.find((s) => s.name !== 'Tarn Hatchery')?.id });
    expect(elsewhere.learned?.mean).toBe(0.55);
    expect(new Set(elsewhere.tests.map((t) => t.not))).toEqual(new Set(['another supplier']));
  });

  test('an accepted figure no longer waits, moves what is made from it and nothing else', () => {
    const file = demoKitchen();
    const trout = named(file, 'River trout, whole');
    const p = proposalOf(taughtOf(file, trout.name));
    if (!p) throw new Error('nothing waits');
    const accepted = accept(file, trout.id, p);
    expect(taughtOf(accepted, trout.name).some((t) => t.waits)).toBe(false);
    const moved = proposalEffects(kitchen(), costFile(accepted, DAY, CONSTANTS));
    expect(moved.map((m) => m.name)).toEqual([
      'River trout, whole',
      'Whole trout off the bone, braised leek',
    ]);
    for (const m of moved) expect(m.after ?? NaN).toBeLessThan(m.before ?? NaN);
    expect(proposalEffects(kitchen(), kitchen())).toEqual([]);
  });

  test('drained bones teach a retention, and the stock has more litres for it', () => {
    const file = demoKitchen();
    const bones = named(file, 'Venison bones');
    const p = proposalOf(taughtOf(file, bones.name));
    expect(p?.cooked.map((c) => c.figure)).toEqual(['browned off', 'fat run off', 'retention']);
    expect(p?.cooked[0]?.value).toBeCloseTo((100 * (8 - 6.48 - 0.09)) / 8, 1);
    const stock = file.recipes.find((r) => r.name === 'Venison bone stock')?.id ?? '';
    const after = costFile(accept(file, bones.id, p ?? { cooked: [] }), DAY, CONSTANTS);
    expect(after.recipes.get(stock)?.run.product?.ml).toBeGreaterThan(
      kitchen().recipes.get(stock)?.run.product?.ml ?? NaN,
    );
    // Before the day it was accepted the old figure holds.
    const earlier = costFile(accept(file, bones.id, p ?? { cooked: [] }), '2026-03-13', CONSTANTS);
    expect(earlier.recipes.get(stock)?.run.product?.ml).toBe(
      costFile(file, '2026-03-13', CONSTANTS).recipes.get(stock)?.run.product?.ml,
    );
  });

  test('no proposal ever makes more than the whole, whatever was weighed', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 99 }), fc.integer({ min: 0, max: 99 })), {
          minLength: 1,
          maxLength: 5,
        }),
        (rows) => {
          const file = demoKitchen();
          const leek = named(file, 'Leek');
          file.tests = rows.map(([usable, off], i): WrittenTest => ({
            id: `019cad10-0000-7000-8000-00000000000${i}`,
            ingredient: leek.id,
            kind: 'trim',
            state: 'kept',
            on: DAY,
            recordedAt: AT,
            season: 'spring',
            start: '100 g',
            parts: [
              { name: '', fate: 'usable', amount: `${usable} g` },
              { name: '', fate: 'stock trim', amount: `${Math.min(off, 100 - usable)} g` },
            ],
          }));
          const y = proposalOf(taughtOf(file, 'Leek'))?.yields;
          if (y) expect(y.usablePct + y.stockTrimPct).toBeLessThanOrEqual(100);
          const p = proposalOf(taughtOf(file, 'Leek'));
          const after = p && costFile(accept(file, leek.id, p), DAY, CONSTANTS).supplies.get(leek.id);
          expect(after?.trouble).toBeUndefined();
        },
      ),
      { numRuns: cases(60) },
    );
  });
});

describe('the flow of trim', () => {
  const week = (k: ReturnType<typeof kitchen>, g: Record<string, number>) =>
    trimFlow(k, (id) => g[k.state.ingredients.find((i) => i.id === id)?.name ?? ''] ?? 0);

  test('what a week’s leeks give stands against what the fumet asks for, at its batches a week', () => {
    const k = kitchen();
    const leek = week(k, { Leek: 10_000 }).find((f) => f.supply === `trim:${named(k.state, 'Leek').id}`);
    expect(leek?.givesG).toBeCloseTo(2800, 6);
    expect(leek?.asks).toMatchObject([
      { name: 'Trout-frame fumet', batches: 2, perBatchG: 700 },
      { name: 'Trim broth', batches: 1, perBatchG: 400 },
    ]);
    expect(leek?.asksG).toBeCloseTo(1800, 6);
    expect(leek?.taken).toBe(1);
    expect(leek?.reallyTaken).toBeCloseTo(1800 / 2800, 6);
    // What nobody takes of 28 % at 0.60 goes back onto 62 %.
    expect((leek?.usableThen ?? NaN) - (leek?.usablePerKg ?? NaN)).toBeCloseTo(
      ((1 - 1800 / 2800) * 0.28 * 0.6) / 0.62,
      9,
    );
  });

  test('a share counted as taken is a share of the price carried away', () => {
    const k = kitchen((f) => void (named(f, 'Leek').trim = { takenPct: 50 }));
    const leek = k.supplies.get(named(k.state, 'Leek').id);
    expect(leek?.usablePerKg).toBeCloseTo(((leek?.price?.perKg.toNumber() ?? NaN) - 0.6 * 0.14) / 0.62, 9);
    expect(week(k, { Leek: 10_000 }).find((f) => f.name === 'Leek, stock trim')?.taken).toBe(0.5);
  });

  test('a by-product is asked for as it comes off, not as it goes in', () => {
    const k = kitchen();
    const frames = week(k, { 'River trout, whole': 10_000 }).find((f) => f.name === 'Frames off whole trout');
    expect(frames?.givesG).toBeCloseTo(3044, 6);
    expect(frames?.asksG).toBeCloseTo((2 * 1400) / 0.94, 6);
    const shells = week(k, { 'Brown crab, live': 9000 }).find((f) => f.name === 'Crab shells, picked');
    expect(shells?.asks).toMatchObject([{ name: 'Crab shell stock', perBatchG: expect.closeTo(3000, 6) }]);
    expect(shells?.givesG).toBeCloseTo(9000 * 0.45, 6);
  });
});
