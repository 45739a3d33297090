import fc from 'fast-check';
import type { KitchenFile } from '../../kitchen-file';
import { historyFrom, stateFrom, type History, type KitchenState } from '../../kitchen-state';
import { LAYERS } from '../../layers';
import { CONSTANTS } from '../../reference';
import { cases } from '../../testing/cases';
import { largeKitchen } from '../../testing/large-kitchen';
import { costKitchen, gapsOf, type KitchenCosting } from '..';

/** Small enough to be costed from nothing hundreds of times; the demo's last batches and joint products are in it. */
const BEGIN = largeKitchen({ ingredients: 90, recipes: 40, plates: 14 }, 5);

const MEASURE = '019cad10-0000-7000-8000-00000000beac';
type Edit = (file: KitchenFile, pick: number, amount: number) => KitchenFile;
const at = <T>(list: readonly T[], pick: number): number => pick % Math.max(1, list.length);
const put = <T>(list: readonly T[], i: number, change: (item: T) => T): T[] =>
  list.map((item, j) => (j === i ? change(item) : item));

/** Everything that people do to a kitchen's costs; what is not touched stays the very same object. */
const EDITS: Readonly<Record<string, Edit>> = {
  price: (f, pick, amount) => ({
    ...f,
    articles: put(f.articles, at(f.articles, pick), (a) => ({
      ...a,
      quotes: [
        ...a.quotes,
        { on: f.referenceDay, recordedAt: `${f.referenceDay}T23:00:00.000Z`, price: amount.toFixed(2) },
      ],
    })),
  }),
  'no price': (f, pick) => ({
    ...f,
    articles: put(f.articles, at(f.articles, pick), (a) => ({ ...a, quotes: [] })),
  }),
  yield: (f, pick, amount) => ({
    ...f,
    ingredients: put(f.ingredients, at(f.ingredients, pick), (i) => ({
      ...i,
      yields: i.yields.map((y) => ({
        ...y,
        usablePct: Math.min(90, 40 + amount),
        stockTrimPct: amount / 5,
        byProducts: [],
      })),
    })),
  }),
  // A measure of the house's own is said in some pot, and holds something else from one time to the next.
  measure: (f, pick, amount) => ({
    ...f,
    measures: [{ id: MEASURE, name: 'beaker', amount: `${100 + amount} ml` }],
    recipes: f.recipes.some((r) =>
      r.steps.some((s) => s.do === 'water' && 'amount' in s && s.amount === '2 beaker'),
    )
      ? f.recipes
      : put(f.recipes, at(f.recipes, pick), (r) => ({
          ...r,
          steps: [{ do: 'water' as const, amount: '2 beaker' }, ...r.steps],
        })),
  }),
  hands: (f, _pick, amount) => ({
    ...f,
    kitchen: { ...f.kitchen, hands: { add: { fixedMin: amount } }, sharedHands: { batchMin: amount / 2 } },
  }),
  'cooked test': (f, pick, amount) => ({
    ...f,
    ingredients: put(f.ingredients, at(f.ingredients, pick), (i) => ({
      ...i,
      cooked: [
        ...i.cooked,
        {
          figure: 'retention',
          on: f.referenceDay,
          recordedAt: `${f.referenceDay}T09:00:00.000Z`,
          value: 50 + amount,
          source: 'measured',
        },
      ],
    })),
  }),
  'name of an ingredient': (f, pick) => ({
    ...f,
    ingredients: put(f.ingredients, at(f.ingredients, pick), (i) => ({ ...i, name: `${i.name} ′` })),
  }),
  'a step is left out': (f, pick) => ({
    ...f,
    recipes: put(f.recipes, at(f.recipes, pick), (r) => ({
      ...r,
      steps: r.steps.filter((_, i) => i !== at(r.steps, pick >> 3)),
    })),
  }),
  'a line nobody reads': (f, pick) => ({
    ...f,
    recipes: put(f.recipes, at(f.recipes, pick), (r) => ({
      ...r,
      steps: [...r.steps.slice(0, 1), { do: 'unread' as const, said: 'a pinch' }, ...r.steps.slice(1)],
    })),
  }),
  'an amount': (f, pick, amount) => ({
    ...f,
    recipes: put(f.recipes, at(f.recipes, pick), (r) => ({
      ...r,
      steps: r.steps.map((s) => (s.do === 'add' ? { ...s, amount: `${Math.round(50 + amount * 20)} g` } : s)),
    })),
  }),
  'name of a recipe': (f, pick) => ({
    ...f,
    recipes: put(f.recipes, at(f.recipes, pick), (r) => ({ ...r, name: `${r.name} ′` })),
  }),
  'batches of a recipe': (f, pick, amount) => ({
    ...f,
    recipes: put(f.recipes, at(f.recipes, pick), (r) => ({ ...r, batchesAWeek: amount })),
  }),
  'the first step written again, the same': (f, pick) => ({
    ...f,
    recipes: put(f.recipes, at(f.recipes, pick), (r) => ({ ...r, steps: structuredClone(r.steps) })),
  }),
  'a product parts, or no longer does': (f, pick) => ({
    ...f,
    recipes: put(f.recipes, at(f.recipes, pick), (r) => ({
      ...r,
      steps: [
        ...r.steps.filter((s) => s.do !== 'draw off'),
        ...(pick % 3 === 0
          ? []
          : [
              {
                do: 'draw off' as const,
                amount: '50 ml',
                liquidOnly: false,
                as: `tasting ${pick % 2}`,
                cost: { by: 'weight' as const },
              },
            ]),
      ],
    })),
  }),
  vessel: (f, pick, amount) => ({
    ...f,
    vessels: put(f.vessels, at(f.vessels, pick), (v) => ({ ...v, heightCm: v.heightCm + amount / 10 })),
  }),
  'a dish’s line': (f, pick, amount) => ({
    ...f,
    plates: put(f.plates, at(f.plates, pick), (p) => ({
      ...p,
      lines: put(p.lines, 0, (l) => ({ ...l, amount: `${Math.round(20 + amount)} g` })),
    })),
  }),
  'trim school': (f, pick) => ({
    ...f,
    kitchen: {
      ...f.kitchen,
      trim: { ...f.kitchen.trim, school: (['free', 'value', 'weight'] as const)[pick % 3]! },
    },
  }),
  wage: (f, _pick, amount) => ({
    ...f,
    kitchen: {
      ...f.kitchen,
      wagePerHour: amount.toFixed(2),
      energyPerKwh: { electricity: '0.31', gas: '0.12' },
    },
  }),
  'packs charged whole': (f, pick) => ({
    ...f,
    ingredients: put(f.ingredients, at(f.ingredients, pick), (i) => ({
      ...i,
      partPack: i.partPack === 'whole' ? 'part' : 'whole',
    })),
  }),
  merged: (f, pick) => {
    const free = f.ingredients.filter(
      (i) => i.mergedInto === undefined && !i.comesOff && i.yields.every((y) => y.byProducts.length === 0),
    );
    const [one, other] = [free[at(free, pick)], free[at(free, pick + 7)]];
    if (
      !one ||
      !other ||
      one === other ||
      f.ingredients.some((i) => i.mergedInto === one.id || i.comesOff?.ingredient === one.id)
    )
      return f;
    return { ...f, ingredients: f.ingredients.map((i) => (i === one ? { ...i, mergedInto: other.id } : i)) };
  },
  'taken apart': (f) => ({
    ...f,
    ingredients: f.ingredients.map((i) => (i.mergedInto === undefined ? i : { ...i, mergedInto: undefined })),
  }),
};

const articles = new WeakMap<object, KitchenState['articles'][number]>();
/** What stands in a kitchen, the articles too the same objects while they are. */
function stateOf(file: KitchenFile): KitchenState {
  const state = stateFrom(file);
  for (const [i, article] of state.articles.entries()) {
    const of = file.articles[i] as object;
    if (!articles.has(of)) articles.set(of, article);
  }
  return { ...state, articles: file.articles.map((a) => articles.get(a) as (typeof state.articles)[number]) };
}

/** The past of a kitchen, whose parts are the same objects as before wherever nothing has happened to them. */
function historyOf(
  file: KitchenFile,
  before?: { readonly file: KitchenFile; readonly history: History },
): History {
  const fresh = historyFrom(file, file.referenceDay);
  const same = new Set(before?.file.articles);
  const untouched = new Set(file.articles.filter((a) => same.has(a)).map((a) => a.id));
  if (!before) return fresh;
  return {
    // Nobody counts anything here.
    counted: before.history.counted,
    article: (id) => (untouched.has(id) ? before.history : fresh).article(id),
  };
}

/** Everything a costing says: each node in each layer, why a cost is not whole, and the litres of every pot. */
function told(k: KitchenCosting) {
  return {
    costs: LAYERS.map((layer) => {
      const graph = k.layer(layer);
      return graph.nodes.map(({ key }) => [key, graph.cost(key)]);
    }),
    gaps: k.graph.nodes
      .filter(({ key }) => k.graph.cost(key) === null)
      .map(({ key }) => [key, gapsOf(k, key)]),
    pots: [...k.recipes].map(([id, { recipe, run }]) => [
      id,
      recipe.name,
      run.product?.ml,
      run.rows.length,
      run.unread,
      run.refused,
    ]),
    plates: [...k.plates].map(([id, { lines }]) => [
      id,
      lines.map(({ resolved }) => (resolved.ok ? resolved.value.g : resolved.trouble)),
    ]),
  };
}

const near = (a: unknown, b: unknown): boolean =>
  typeof a === 'number' && typeof b === 'number'
    ? Math.abs(a - b) <= 1e-9 * Math.max(1, Math.abs(a))
    : Array.isArray(a) && Array.isArray(b)
      ? a.length === b.length && a.every((x, i) => near(x, b[i]))
      : typeof a === 'object' && a !== null && typeof b === 'object' && b !== null
        ? near(Object.entries(a), Object.entries(b))
        : a === b;

describe('a kitchen costed again', () => {
  const rebuilt = (file: KitchenFile) =>
    costKitchen(stateFrom(file), file.referenceDay, CONSTANTS, historyFrom(file, file.referenceDay));

  test('after any edits is what a costing from nothing says: every figure, every layer, every sentence', () => {
    const edit = fc.tuple(
      fc.constantFrom(...Object.keys(EDITS)),
      fc.nat(1000),
      fc.double({ min: 1, max: 90, noNaN: true }),
    );
    fc.assert(
      fc.property(fc.array(edit, { minLength: 1, maxLength: 8 }), (edits) => {
        let file = BEGIN;
        let history = historyOf(file);
        let costing = costKitchen(stateOf(file), file.referenceDay, CONSTANTS, history);
        for (const [name, pick, amount] of edits) {
          const next = (EDITS[name] as Edit)(file, pick, amount);
          history = historyOf(next, { file, history });
          file = next;
          // Each layer is looked at on the way, so that its graph is one that is handed on.
          told(costing);
          costing = costKitchen(stateOf(file), file.referenceDay, CONSTANTS, history, costing.workings);
        }
        const [now, fromNothing] = [told(costing), told(rebuilt(file))];
        for (const part of ['costs', 'gaps', 'pots', 'plates'] as const)
          if (!near(now[part], fromNothing[part])) expect(now[part]).toEqual(fromNothing[part]);
      }),
      { numRuns: cases(25) },
    );
  });

  const kept = (name: keyof typeof EDITS, pick: number) => {
    const history = historyOf(BEGIN);
    const before = costKitchen(stateOf(BEGIN), BEGIN.referenceDay, CONSTANTS, history);
    const file = (EDITS[name] as Edit)(BEGIN, pick, 33);
    const after = costKitchen(
      stateOf(file),
      BEGIN.referenceDay,
      CONSTANTS,
      historyOf(file, { file: BEGIN, history }),
      before.workings,
    );
    const again = BEGIN.recipes.filter((r) => after.recipes.get(r.id)?.run !== before.recipes.get(r.id)?.run);
    const moved = [...after.supplies].filter(([id, s]) => before.supplies.get(id) !== s);
    return { before, after, again: again.map((r) => r.name), moved: moved.map(([, s]) => s.ingredient.name) };
  };

  test('a price and a yield run no pot, and work out no other ingredient', () => {
    const price = kept('price', 60);
    expect([price.again, price.moved]).toEqual([
      [],
      [BEGIN.ingredients.find((i) => i.id === BEGIN.articles[60]?.ingredient)?.name],
    ]);
    expect(price.after.graph.nodes).toBe(price.before.graph.nodes);
    expect(kept('yield', 70).again).toEqual([]);
    expect(kept('batches of a recipe', 30).again).toEqual([]);
    expect(kept('the first step written again, the same', 30).again).toEqual([]);
  });

  test('an edit of a sheet runs that pot and what is made from it, and not what only stands beside it', () => {
    const at30 = BEGIN.recipes.findIndex((r) => r.name === 'Stock 30');
    const { again } = kept('an amount', at30);
    expect(again).toContain('Stock 30');
    expect(again.length).toBeLessThan(12);
    for (const name of again.slice(1)) expect(name).toMatch(/^(Sauce|Finish) \d+$/);
  });

  test('a product that parts where none did is a node of its own', () => {
    const { before, after } = kept('a product parts, or no longer does', 1);
    const keys = (of: KitchenCosting): string[] =>
      of.graph.nodes.flatMap(({ key }) => (key.endsWith('#tasting 1') ? [key] : []));
    expect([keys(before).length, keys(after).length]).toEqual([0, 1]);
  });

  test('what the one before says is untouched by the one after', () => {
    const history = historyOf(BEGIN);
    const before = costKitchen(stateOf(BEGIN), BEGIN.referenceDay, CONSTANTS, history);
    const was = structuredClone(told(before));
    const file = (EDITS.price as Edit)(BEGIN, 3, 77);
    costKitchen(
      stateOf(file),
      BEGIN.referenceDay,
      CONSTANTS,
      historyOf(file, { file: BEGIN, history }),
      before.workings,
    );
    expect(told(before)).toEqual(was);
  });
});
