import demo from '../../../../demo/kestrel-weir.json';
import { demoKitchen } from '../../testing/demo';
import { inOrder, loopSentence, readKitchen, readKitchenText, shiftTo, usesOf, type KitchenFile } from '..';
import { shiftDay } from '../../day';

type Loose = { [key: string]: Loose } & Loose[];
/** The demo with one thing made wrong, and what is then said of it. */
function mistakes(spoil: (file: Loose) => void): { path: string; message: string }[] {
  const file = structuredClone(demo) as unknown as Loose;
  spoil(file);
  const read = readKitchen(file);
  return read.ok ? [] : read.mistakes.map(({ path, message }) => ({ path, message }));
}
const set = (target: Loose | undefined, key: string, value: unknown): void => {
  (target as unknown as Record<string, unknown>)[key] = value;
};

describe('reading a kitchen file', () => {
  test('the demo kitchen is without a mistake', () => expect(mistakes(() => undefined)).toEqual([]));

  test.each<[string, (f: Loose) => void, string, RegExp]>([
    [
      'a yield of 0',
      (f) => set(f.ingredients?.[3]?.yields?.[0], 'usablePct', 0),
      'ingredients[3].yields[0].usablePct',
      /0 % cannot be/,
    ],
    [
      'a yield of 130',
      (f) => set(f.ingredients?.[3]?.yields?.[0], 'usablePct', 130),
      'ingredients[3].yields[0].usablePct',
      /130 %.*100 %/,
    ],
    [
      'a price in words',
      (f) => set(f.articles?.[0]?.quotes?.[0], 'price', 'twenty'),
      'articles[0].quotes[0].price',
      /not a price/,
    ],
    [
      'a negative price',
      (f) => set(f.articles?.[0]?.quotes?.[0], 'price', '-3.00'),
      'articles[0].quotes[0].price',
      /not a price/,
    ],
    [
      'a day that is none',
      (f) => set(f.articles?.[0]?.quotes?.[0], 'on', '2026-02-30'),
      'articles[0].quotes[0].on',
      /calendar/,
    ],
    [
      'a kept test without a weight',
      (f) => set(f.tests?.[0], 'start', ''),
      'tests[0].start',
      /weight is missing/,
    ],
    [
      'parts that outweigh the start',
      (f) => set(f.tests?.[0], 'start', '4 kg'),
      'tests[0].parts',
      /4\.79 kg, 19\.8 % more than the start of 4\.00 kg/,
    ],
    [
      'a by-product that says nothing of coming off',
      (f) =>
        set(
          f.ingredients?.find((i) => String(i.name) === 'Crab shells, picked'),
          'comesOff',
          undefined,
        ),
      'ingredients[38].yields[0].byProducts[0].ingredient',
      /does not say that it comes off Brown crab, live/,
    ],
    [
      'a thing that comes off itself',
      (f) => {
        const trout = f.ingredients?.find((i) => String(i.name) === 'River trout, whole');
        const frames = f.ingredients?.find((i) => String(i.name) === 'Frames off whole trout');
        set(trout, 'comesOff', { ingredient: frames?.id });
      },
      'ingredients[5].comesOff',
      /River trout, whole would come off itself/,
    ],
    [
      'waste without a reason',
      (f) => set(f.wastes?.[0], 'reason', ' '),
      'wastes[0].reason',
      /needs a reason/,
    ],
    [
      'a test by nobody',
      (f) => set(f.tests?.[0], 'by', '019cabd9-0000-7000-8000-000000000000'),
      'tests[0].by',
      /no person with the id/,
    ],
    ['an empty pack', (f) => set(f.articles?.[0], 'pack', '0 kg'), 'articles[0].pack', /0 g/],
    ['a pack without a unit', (f) => set(f.articles?.[0], 'pack', '10'), 'articles[0].pack', /no unit/],
    ['a missing name', (f) => set(f.recipes?.[0], 'name', ' '), 'recipes[0].name', /name is missing/],
    ['a misspelt field', (f) => set(f.recipes?.[0], 'vesel', 'x'), 'recipes[0]', /vesel/],
    [
      'a verb nobody knows',
      (f) => set(f.recipes?.[0]?.steps?.[0], 'do', 'flambé'),
      'recipes[0].steps[0].do',
      /./,
    ],
    [
      'fat kept that never ran off',
      (f) =>
        set(f.recipes?.[0]?.steps?.[2], 'fatRunOff', undefined) ??
        set(f.recipes?.[0]?.steps?.[2], 'fatKept', true),
      'recipes[0].steps[2].fatRunOff',
      /step 3: no fat runs off/,
    ],
    [
      'fat that stays and goes on as well',
      (f) => {
        set(f.recipes?.[0]?.steps?.[2], 'fatKept', true);
        set(f.recipes?.[0]?.steps?.[2], 'as', 'venison fat');
      },
      'recipes[0].steps[2].fatRunOff',
      /cannot stay in the pot and go on as “venison fat”/,
    ],
    [
      'a last batch of a recipe that is not there',
      (f) => set(f.recipes?.[0]?.steps?.[3]?.of, 'lastBatchOf', '019cabd8-0000-7000-8000-000000000009'),
      'recipes[0].steps[3].of.lastBatchOf',
      /no recipe with the id/,
    ],
    [
      'a jar that is not there',
      (f) => {
        const passata = [...(f.recipes ?? [])].find((r) => (r.name as unknown) === 'Pepper passata');
        set([...(passata?.steps ?? [])].at(-1), 'container', '019cabd8-0000-7000-8000-000000000009');
      },
      'recipes[16].steps[9].container',
      /no ingredient with the id/,
    ],
    [
      'a wrong lid',
      (f) => set(f.recipes?.[0]?.steps?.[5], 'lid', 'sideways'),
      'recipes[0].steps[5].lid',
      /off.*ajar/,
    ],
    [
      'a vessel that is not there',
      (f) => set(f.recipes?.[0], 'vessel', '019cabd9-ffff-7fff-bfff-ffffffffffff'),
      'recipes[0].vessel',
      /no vessel/,
    ],
    [
      'an ingredient that is not there',
      (f) => set(f.plates?.[0]?.lines?.[0]?.of, 'ingredient', '019cabd9-ffff-7fff-bfff-ffffffffffff'),
      'plates[0].lines[0].of.ingredient',
      /no ingredient/,
    ],
    [
      'an id twice',
      (f) => set(f.recipes?.[1], 'id', (f.recipes?.[0] as unknown as { id: string }).id),
      'recipes[1].id',
      /already used at recipes\[0\]/,
    ],
    [
      'a name twice',
      (f) => set(f.recipes?.[1], 'name', 'VENISON bones'),
      'recipes[1].name',
      /already used at ingredients/,
    ],
    [
      'parts over the whole',
      (f) => set(f.ingredients?.[0]?.composition, 'fat', 99),
      'ingredients[0].composition',
      /at most 100/,
    ],
    [
      'more gelatin than protein',
      (f) => set(f.ingredients?.[0]?.composition, 'water', 94),
      'ingredients[0].gelatin',
      /gelatin/,
    ],
    ['a zone that is none', (f) => set(f.kitchen, 'zone', 'Europe/Atlantis'), 'kitchen.zone', /time zone/],
    ['a locale that is none', (f) => set(f.kitchen, 'locale', 'not a locale'), 'kitchen.locale', /locale/],
    ['a currency that is none', (f) => set(f.kitchen, 'currency', 'XQZ'), 'kitchen.currency', /currency/],
    [
      'a bell in a name',
      (f) => set(f.recipes?.[0], 'name', 'So\u0007up'),
      'recipes[0].name',
      /control character/,
    ],
    [
      'half a letter in a name',
      (f) => set(f.recipes?.[0], 'name', 'So\ud800up'),
      'recipes[0].name',
      /half a letter/,
    ],
    ['a newer format', (f) => set(f, 'version', 3), 'version', /newer version \(3\).*up to version 2/],
  ])('%s', (_, spoil, path, words) => {
    const found = mistakes(spoil);
    expect(found.map((m) => m.path)).toContain(path);
    expect(found.find((m) => m.path === path)?.message).toMatch(words);
  });

  test('every mistake is told at once', () => {
    const found = mistakes((f) => {
      set(f.articles?.[0]?.quotes?.[0], 'price', 'x');
      set(f.recipes?.[0], 'name', '');
      set(f.ingredients?.[2], 'role', 'gas');
    });
    expect(found.map((m) => m.path).sort()).toEqual([
      'articles[0].quotes[0].price',
      'ingredients[2].role',
      'recipes[0].name',
    ]);
  });

  test('a loop of recipes is named', () => {
    const found = mistakes((f) => {
      const [stock, base] = [f.recipes?.[0], f.recipes?.[1]];
      (stock?.steps as unknown as unknown[]).push({
        do: 'add',
        of: { product: (base as unknown as { id: string }).id },
        amount: '1 l',
      });
    });
    expect(found).toEqual([
      {
        path: 'recipes[0]',
        message:
          'A recipe cannot be made from itself: Venison bone stock uses Reduced game base, which uses Venison bone stock.',
      },
    ]);
  });

  test('what is not JSON is said to be none, a byte order mark does not matter', () => {
    expect(readKitchenText('{').ok).toBe(false);
    expect(readKitchenText('[]').ok).toBe(false);
    expect(readKitchenText(`\uFEFF${JSON.stringify(demo)}`).ok).toBe(true);
  });
});

describe('order, loops and days', () => {
  test('every recipe comes after all it uses', () => {
    const file = demoKitchen();
    const { order, loops } = inOrder([...file.recipes].reverse());
    expect(loops).toEqual([]);
    expect(new Set(order).size).toBe(file.recipes.length);
    for (const r of file.recipes)
      for (const used of usesOf(r)) expect(order.indexOf(used)).toBeLessThan(order.indexOf(r.id));
  });
  test('a recipe that uses itself is a loop too', () => {
    const self: KitchenFile['recipes'][number] = {
      ...(demoKitchen().recipes[0] as KitchenFile['recipes'][number]),
      steps: [],
    };
    self.steps.push({ do: 'add', of: { product: self.id }, amount: '1 l' });
    expect(inOrder([self]).loops).toEqual([[self.id, self.id]]);
    expect(loopSentence(['A', 'A'])).toBe('A recipe cannot be made from itself: A uses A.');
  });
  test('a shifted kitchen keeps every distance between its days, and shifting back gives it again', () => {
    const file = demoKitchen();
    const later = shiftTo(file, '2031-12-25');
    expect(later.referenceDay).toBe('2031-12-25');
    expect(shiftTo(later, file.referenceDay)).toEqual(file);
    expect(shiftDay('2024-02-28', 2)).toBe('2024-03-01');
  });
});
