import fc from 'fast-check';
import { alcoholOn, carriedIn, costByLayer, costFile, costKitchen, costOfPlate, gapsOf } from '..';
import {
  mannerIn,
  standingPlate,
  writtenOver,
  type KitchenFile,
  type WrittenFollows,
  type WrittenPlate,
} from '../../kitchen-file';
import { historyFrom, stateFrom } from '../../kitchen-state';
import { CONSTANTS } from '../../reference';
import { SMALL, smallKitchen } from '../../testing/small-kitchen';

const DAY = '2026-03-14';
const SIZE = '019cabd9-0000-7000-8000-000000000041';
const LEEK_LINE = '019cabd9-0000-7000-8000-000000000051';
const SAUCE_LINE = '019cabd9-0000-7000-8000-000000000052';

/** The small kitchen with a size of its plate. */
const sized = (follows: Partial<WrittenFollows>, own: Partial<WrittenPlate> = {}): KitchenFile =>
  smallKitchen((k) => {
    const [plate] = k.plates;
    Object.assign(plate?.lines[0] ?? {}, { id: LEEK_LINE });
    Object.assign(plate?.lines[1] ?? {}, { id: SAUCE_LINE });
    k.plates.push({
      id: SIZE,
      name: 'Small dish',
      menuPrice: '5.50',
      lines: [],
      follows: { plate: SMALL.plate, size: 0.5, ...follows },
      ...own,
    } as never);
  });
const costed = (...of: Parameters<typeof sized>) => costFile(sized(...of), DAY, CONSTANTS);

test('half of a dish costs half of it, and keeps its tax and target', () => {
  const costing = costed({});
  expect(costOfPlate(costing, SIZE).cost).toBeCloseTo(
    (costOfPlate(costing, SMALL.plate).cost ?? NaN) / 2,
    12,
  );
  expect(costing.plates.get(SIZE)?.plate).toMatchObject({ taxPct: 10, targetFoodCostPct: 30 });
  expect(costOfPlate(costing, SIZE).netPrice).toBeCloseTo(5, 12);
});

test('what it says otherwise stands, what it leaves out is not there, what it adds is its own', () => {
  const but = [
    { line: LEEK_LINE, out: true as const },
    { line: SAUCE_LINE, amount: '80 g', overfillPct: 5 },
  ];
  const costing = costed({ but }, { lines: [{ of: { ingredient: SMALL.salt }, amount: '2 g' }] });
  const lines = costing.plates
    .get(SIZE)
    ?.plate.lines.map(({ amount, overfillPct }) => ({ amount, overfillPct }));
  expect(lines).toEqual([{ amount: '80 g', overfillPct: 5 }, { amount: '2 g' }]);
});

test('any lines that are wanted of a size are what then stands on it', () => {
  const file = sized({});
  const [parent, size] = file.plates as [WrittenPlate, WrittenPlate];
  const manner = mannerIn(file);
  const own = { id: '019cabd9-0000-7000-8000-000000000053', of: { ingredient: SMALL.salt }, amount: '3 g' };
  const line = (id: string, of: WrittenPlate['lines'][number]['of']) =>
    fc.record(
      {
        id: fc.constant(id),
        of: fc.constant(of),
        amount: fc.constantFrom('10 g', '50 g', '100 g', '1/2 kg'),
        overfillPct: fc.constantFrom(0, 5),
        takenPct: fc.constantFrom(60, 100),
      },
      { requiredKeys: ['id', 'of', 'amount'] },
    );
  const wanted = fc.record({
    leek: fc.option(line(LEEK_LINE, { ingredient: SMALL.leek })),
    sauce: fc.option(line(SAUCE_LINE, { product: SMALL.sauce })),
    own: fc.boolean(),
  });
  fc.assert(
    fc.property(wanted, (of) => {
      const lines = [of.leek, of.sauce, of.own ? own : null].flatMap((l) => l ?? []);
      const stands = standingPlate(writtenOver(size, parent, lines, manner), parent, manner);
      const plain = (list: readonly WrittenPlate['lines'][number][]) =>
        list.map((l) => [l.id, l.amount, l.overfillPct ?? 0, l.takenPct ?? 100]);
      expect(plain(stands.lines)).toEqual(plain(lines));
    }),
    { numRuns: 60 },
  );
});

test('a dish that changes takes its size along, and nothing else is worked out again', () => {
  const file = sized({});
  const before = costKitchen(stateFrom(file), DAY, CONSTANTS, historyFrom(file, DAY));
  const plates = file.plates.map((p) =>
    p.id === SMALL.plate ? { ...p, lines: p.lines.map((l) => ({ ...l, amount: '200 g' })) } : p,
  );
  const state = { ...before.state, plates };
  const after = costKitchen(state, DAY, CONSTANTS, historyFrom(file, DAY), before.workings);
  expect(costOfPlate(after, SIZE).cost).toBeCloseTo((costOfPlate(before, SIZE).cost ?? NaN) * 2, 12);
  // Its plate put away, it is not known what stands on it; brought back, it is as it was.
  const gone = { ...state, plates: plates.filter((p) => p.id === SIZE) };
  const without = costKitchen(gone, DAY, CONSTANTS, historyFrom(file, DAY), after.workings);
  expect(costOfPlate(without, SIZE).cost).toBeNull();
  expect(gapsOf(without, `plate:${SIZE}`).map((t) => t.code)).toEqual(['follows-gone']);
  const back = costKitchen(before.state, DAY, CONSTANTS, historyFrom(file, DAY), without.workings);
  expect(costOfPlate(back, SIZE).cost).toBe(costOfPlate(before, SIZE).cost);
});

test('a size of a size, of itself and of nothing are refused by name', () => {
  const of = (plate: string): string[] => {
    try {
      smallKitchen((k) => {
        const size = { id: SIZE, name: 'Small dish', lines: [], follows: { plate: SMALL.plate, size: 0.5 } };
        k.plates.push(size as never);
        k.plates.push({
          ...size,
          id: SIZE.replace(/41$/, '42'),
          name: 'Tiny',
          follows: { plate, size: 0.5 },
        } as never);
      });
    } catch (error) {
      return (error as Error).message.split('\n');
    }
    return [];
  };
  expect(of(SMALL.plate)).toEqual([]);
  expect(of(SIZE).join()).toContain('Small dish is a size of another dish itself');
  expect(of(SIZE.replace(/41$/, '42')).join()).toContain('cannot be a size of itself');
  expect(of(SIZE.replace(/41$/, '43')).join()).toContain('There is no plate');
});

test('hands and packaging of a dish stand in their layers, shared by what is put together at once and sold', () => {
  const plain = costByLayer(
    costFile(
      smallKitchen((k) => (k.kitchen.wagePerHour = '18.00')),
      DAY,
      CONSTANTS,
    ),
    `plate:${SMALL.plate}`,
  );
  const file = smallKitchen((k) => {
    k.kitchen.wagePerHour = '18.00';
    Object.assign(k.plates[0] ?? {}, { hands: { minutes: 20, plates: 8 }, serviceLossPct: 20 });
    k.plates[0]?.lines.push({ of: { ingredient: SMALL.salt }, amount: '250 g', packaging: true });
  });
  const costing = costFile(file, DAY, CONSTANTS);
  const packed = costByLayer(costing, `plate:${SMALL.plate}`);
  // By hand: salt at 1.00 a kilo, 20 minutes at 18.00 for 8 plates, four fifths of them sold.
  expect(packed.packaging).toBeCloseTo(0.25 / 0.8, 12);
  expect(packed.ingredients).toBeCloseTo((plain.ingredients ?? NaN) / 0.8, 12);
  expect(packed.hands).toBeCloseTo(((plain.hands ?? NaN) + 6 / 8) / 0.8, 12);
  const { lines, packaging, cost } = costOfPlate(costing, SMALL.plate);
  expect(lines.reduce<number>((a, b) => a + (b ?? NaN), 0)).toBeCloseTo(cost ?? NaN, 12);
  expect(packaging.at(-1)).toBeCloseTo(packed.packaging ?? NaN, 12);
  // What is not eaten carries nothing.
  expect(carriedIn(costing).get(`plate:${SMALL.plate}`)?.unread.has(SMALL.salt)).toBe(
    carriedIn(costFile(smallKitchen(), DAY, CONSTANTS))
      .get(`plate:${SMALL.plate}`)
      ?.unread.has(SMALL.salt),
  );
});

test('what a house usually loses where a dish is served so counts for it, and not where it says so itself', () => {
  const costOf = (own: object, serviceLoss?: object): number => {
    const file = smallKitchen((k) => {
      Object.assign(k.plates[0] ?? {}, own);
      Object.assign(k.kitchen, serviceLoss ? { rules: { serviceLoss } } : {});
    });
    return costOfPlate(costFile(file, DAY, CONSTANTS), SMALL.plate).cost ?? NaN;
  };
  const plain = costOf({});
  expect(costOf({ service: 'banquet' }, { banquet: 20 })).toBeCloseTo(plain / 0.8, 12);
  expect(costOf({ service: 'staff' }, { banquet: 20 })).toBeCloseTo(plain, 12);
  expect(costOf({}, { banquet: 20 })).toBeCloseTo(plain, 12);
  expect(costOf({ service: 'banquet', serviceLossPct: 50 }, { banquet: 20 })).toBeCloseTo(plain / 0.5, 12);
  expect(costOf({ service: 'banquet', serviceLossPct: 0 }, { banquet: 20 })).toBeCloseTo(plain, 12);
});

test('a whole batch in a dish is all that its pot makes', () => {
  const file = smallKitchen((k) => {
    Object.assign(k.plates[0]?.lines[1] ?? {}, { amount: '1 batch' });
  });
  const costing = costFile(file, DAY, CONSTANTS);
  const made = costing.recipes.get(SMALL.sauce)?.run.product?.g ?? NaN;
  const [, sauce] = costing.plates.get(SMALL.plate)?.lines ?? [];
  expect(sauce?.resolved.ok && sauce.resolved.value.g).toBeCloseTo(made, 9);
});

test('alcohol in a dish is told by what it came with, and never called none', () => {
  const file = smallKitchen((k) => {
    for (const [i, name] of ['Red wine', 'Port'].entries())
      k.ingredients.push({
        id: `019cabd9-0000-7000-8000-00000000006${i}`,
        name,
        role: 'liquid',
        composition: { water: 80, ethanolVolPct: 12 },
        yields: k.ingredients[0]?.yields.map((y) => ({
          ...y,
          usablePct: 100,
          stockTrimPct: 0,
          byProducts: [],
        })),
      } as never);
    k.recipes[0]?.steps.push(
      { do: 'add', of: { ingredient: '019cabd9-0000-7000-8000-000000000060' }, amount: '300 g' },
      { do: 'cook', heat: 'simmer', time: '30 min', lid: 'off' },
      { do: 'add', of: { ingredient: '019cabd9-0000-7000-8000-000000000061' }, amount: '100 g' },
    );
    k.plates[0]?.lines.push({ of: { ingredient: '019cabd9-0000-7000-8000-000000000061' }, amount: '10 g' });
  });
  const costing = costFile(file, DAY, CONSTANTS);
  const left = alcoholOn(costing, SMALL.plate);
  expect(left.map((a) => `${a.of} in ${a.on}`).sort()).toEqual([
    'Port in Port',
    'Port in Sauce',
    'Red wine in Sauce',
  ]);
  // Ten grams of port bring what a tenth of the hundred in the pot did; of the wine 35 % at most are left after half an hour.
  const g = (of: string, on: string): number => left.find((a) => a.of === of && a.on === on)?.g ?? NaN;
  const wine = costing.recipes.get(SMALL.stock)?.run.product?.liquid.sources ?? [];
  expect(g('Port', 'Port')).toBeCloseTo((wine.find((s) => s.of === 'Port')?.added ?? NaN) / 10, 9);
  const share = g('Red wine', 'Sauce') / (3 * g('Port', 'Sauce'));
  expect(share).toBeLessThanOrEqual(0.35 + 1e-9);
  expect(share).toBeGreaterThan(0.05);
  expect(alcoholOn(costFile(smallKitchen(), DAY, CONSTANTS), SMALL.plate)).toEqual([]);
});
