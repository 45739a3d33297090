import fc from 'fast-check';
import { cases } from '../../testing/cases';
import { CONSTANTS } from '../../reference';
import { demoKitchen } from '../../testing/demo';
import { shiftTo, type KitchenFile } from '../../kitchen-file';
import { shiftDay } from '../../day';
import { costFile } from '..';
import { historyFrom, stateFrom } from '../../kitchen-state';
import { openedPacks, suppliesOn, type Supply } from '../../prices';
import { whyCost, type Why } from '../../why';

const DAY = '2026-03-14';
const file = demoKitchen();
const idOf = (name: string): string => file.ingredients.find((i) => i.name === name)?.id ?? '';
const priced = (f: KitchenFile, day: string, knownBy?: string): ReadonlyMap<string, Supply> =>
  suppliesOn(stateFrom(f), day, historyFrom(f, day, knownBy));
const perKg = (supplies: ReadonlyMap<string, Supply>, id: string): number | undefined =>
  supplies.get(id)?.price?.perKg.toNumber();
const day = fc.integer({ min: 0, max: 180 }).map((d) => shiftDay('2025-09-15', d));
const someone = fc.constantFrom(...file.ingredients.map((i) => i.id));

describe('prices as of a day', () => {
  test('what was recorded after a day changes nothing of what was known then', () => {
    fc.assert(
      fc.property(day, someone, fc.integer({ min: 1, max: 90 }), (on, id, later) => {
        const copy = structuredClone(file);
        const article = copy.articles.find((a) => a.ingredient === id);
        fc.pre(article !== undefined);
        // Somebody corrects the price of that day, some days later.
        article?.quotes.push({ on, recordedAt: `${shiftDay(on, later)}T10:00:00.000Z`, price: '777.00' });
        const knownBy = `${shiftDay(on, 1)}T00:00:00Z`;
        expect(perKg(priced(copy, on, knownBy), id)).toBe(perKg(priced(file, on, knownBy), id));
      }),
      { numRuns: cases(40) },
    );
  });

  test('what takes effect after a day changes nothing on it', () => {
    fc.assert(
      fc.property(day, fc.integer({ min: 1, max: 60 }), (on, ahead) => {
        const copy = structuredClone(file);
        for (const a of copy.articles)
          a.quotes.push({ on: shiftDay(on, ahead), recordedAt: '2025-09-01T00:00:00.000Z', price: '777.00' });
        const [before, after] = [priced(file, on), priced(copy, on)];
        for (const id of before.keys()) expect(perKg(after, id)).toBe(perKg(before, id));
      }),
      { numRuns: cases(15) },
    );
  });

  test('the demo shifted to another day has the same prices there', () => {
    const moved = shiftTo(file, '2027-01-20');
    const [here, there] = [priced(file, DAY), priced(moved, '2027-01-20')];
    for (const id of here.keys()) expect(perKg(there, id)).toBe(perKg(here, id));
  });
});

describe('bases', () => {
  const withBasis = (name: string, priceBasis: KitchenFile['kitchen']['priceBasis']): KitchenFile => {
    const copy = structuredClone(file);
    for (const i of copy.ingredients) if (i.name === name) i.priceBasis = priceBasis;
    return copy;
  };
  test('the kitchen’s own basis counts where an ingredient has none', () => {
    const copy = structuredClone(file);
    copy.kitchen.priceBasis = { by: 'average', days: 60 };
    expect(priced(copy, DAY).get(idOf('Leek'))?.price?.basis).toEqual({ by: 'average', days: 60 });
    expect(priced(copy, DAY).get(idOf('Salt'))?.price?.basis.by).toBe('fixed');
  });
  test('an average of days on which nothing came falls back, and says so', () => {
    const found = priced(withBasis('Juniper berries', { by: 'average', days: 3 }), DAY).get(
      idOf('Juniper berries'),
    );
    expect(found?.price).toMatchObject({
      basis: { by: 'latest' },
      note: 'Nothing was bought in the last 3 days: the latest price counts.',
    });
  });
  test('a count that no purchase explains is priced by what there is, and says by how much', () => {
    const copy = withBasis('Red wine', { by: 'stock' });
    copy.counts = copy.counts.map((c) =>
      c.ingredient === idOf('Red wine') ? { ...c, amount: '9000 bottles' } : c,
    );
    const found = priced(copy, DAY).get(idOf('Red wine'))?.price;
    expect(found?.basis.by).toBe('stock');
    expect(found?.note).toMatch(/kg more was counted than any purchase explains\./);
  });
  test('a credit note makes the average cheaper, never dearer', () => {
    const without = structuredClone(file);
    without.purchases = without.purchases.filter((p) => p.kind === 'invoice');
    expect(perKg(priced(file, DAY), idOf('Onion'))).toBeLessThanOrEqual(
      perKg(priced(without, DAY), idOf('Onion')) ?? 0,
    );
  });
  test('a fixed price that is for nothing is said, not divided by', () => {
    const found = priced(withBasis('Leek', { by: 'fixed', price: '2.00', per: '0 kg' }), DAY).get(
      idOf('Leek'),
    );
    expect(found?.usablePerKg).toBeUndefined();
    expect(found?.trouble?.message).toBe('“0 kg” holds 0 g: a price is for something.');
  });
});

describe('why, for a price with a past', () => {
  const costing = costFile(file, DAY, CONSTANTS);
  const all = (why: Why): Why[] => [why, ...why.rows.flatMap(all)];
  const asked = (name: string): Why[] => all(whyCost(costing, `usable:${idOf(name)}`, (x) => x.toFixed(2)));
  test('an average opens the purchases it stands on, and they add up to it', () => {
    const average = asked('Onion').find((w) => w.title === 'The average of 28 days, by weight');
    const paid = average?.rows.reduce((sum, r) => sum + (r.money ?? 0), 0) ?? 0;
    const supply = costing.supplies.get(idOf('Onion'))?.price;
    const g = supply?.layers.reduce((sum, l) => sum + l.g, 0) ?? 1;
    expect(average?.rows.length).toBe(supply?.layers.length);
    expect((paid / g) * 1000).toBeCloseTo(average?.money ?? 0, 9);
  });
  test('a pack that was weighed says so, with the day', () => {
    expect(asked('Leek').some((w) => w.detail?.includes('4.86 kg as weighed on 2026-02-10'))).toBe(true);
  });
  test('an estimate from the reference says how far it may be off', () => {
    expect(asked('Celery').some((w) => w.detail?.startsWith('an estimate, likely'))).toBe(true);
  });
  test('a bottle charged whole is told in the sauce', () => {
    const sauce = file.recipes.find((r) => r.name === 'Juniper sauce')?.id ?? '';
    const rows = all(whyCost(costing, `product:${sauce}`, (x) => x.toFixed(2)));
    expect(
      rows.some((w) =>
        /charged as 1 whole pack of 0\.77 kg|charged as 1 whole pack of 773 g/.test(w.detail ?? ''),
      ),
    ).toBe(true);
  });
});

test('packs are opened for everything a pot uses of an ingredient together', () => {
  const pack = { g: 750, usable: 1, charged: 'whole' as const };
  const uses = [
    { supply: 'usable:wine', name: 'Wine', g: 300 },
    { supply: 'usable:wine', name: 'Wine', g: 400 },
    { supply: 'product:stock', name: 'Stock', g: 5000 },
    { supply: 'free', name: 'Water', g: 1000 },
  ];
  expect(openedPacks(uses, (id) => (id === 'wine' ? pack : undefined))).toEqual([
    { supply: 'usable:wine', name: 'Wine', pack, packs: 1, leftG: 50, factor: 750 / 700 },
  ]);
});
