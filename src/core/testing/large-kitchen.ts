import type { KitchenFile } from '../kitchen-file';
import { adopted, referenceLarder } from '../reference';
import { demoKitchen } from './demo';

/** How large a kitchen is to be. */
export interface Size {
  readonly ingredients: number;
  readonly recipes: number;
  readonly plates: number;
}
/** A house of thousands: what a screen and an edit are measured on. */
export const THOUSANDS: Size = { ingredients: 5000, recipes: 2000, plates: 500 };
/** A house of sixty plates. */
export const SIXTY: Size = { ingredients: 400, recipes: 150, plates: 60 };

type Step = KitchenFile['recipes'][number]['steps'][number];

/** The same id for the same number, in every run. */
const idOf = (kind: number, n: number): string =>
  `019d${String(kind).padStart(4, '0')}-${n.toString(16).padStart(4, '0')}-7000-8000-${String(n).padStart(12, '0')}`;

/** Numbers between 0 and 1 that look like chance and are the same in every run (mulberry32, public domain). */
function chance(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/**
 * A kitchen of any size on the demo's stove, the same for the same seed: a tenth of its recipes are stocks, over half are
 * sauces of one of them, the rest are made from a sauce and a stock; plates take ingredients and sauces. Everything has a price.
 */
export function largeKitchen(size: Size, seed = 1): KitchenFile {
  const file = demoKitchen();
  const next = chance(seed);
  const oneOf = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)] as T;
  const own = larderOf(file, size.ingredients);
  const solids = own.filter((i) => i.role === 'piece').map((i) => i.id);
  const liquids = own
    .filter((i) => i.role === 'liquid' && i.composition.ethanolVolPct === undefined)
    .map((i) => i.id);
  const sauces = recipesOf(file, size.recipes, next, solids, liquids);
  platesOf(
    file,
    size.plates,
    () => oneOf(solids),
    () => oneOf(sauces),
  );
  return file;
}

/** Stocks, sauces and what is finished from both; says which of them are sauces. */
function recipesOf(
  file: KitchenFile,
  many: number,
  next: () => number,
  solids: readonly string[],
  liquids: readonly string[],
): readonly string[] {
  const oneOf = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)] as T;
  const vessel = (name: string): string => file.vessels.find((v) => v.name === name)?.id ?? '';
  const hob = file.hobs[0]?.id ?? '';
  let steps = 0;
  const withIds = (list: readonly object[]): Step[] =>
    list.map((step) => ({ id: idOf(5, (steps += 1)), ...step }) as Step);
  const some = (of: readonly string[], many: number, grams: number): object[] =>
    Array.from({ length: many }, () => ({
      do: 'add',
      of: { ingredient: oneOf(of) },
      amount: `${Math.round(grams * (0.5 + next()))} g`,
    }));
  const stocks: string[] = [];
  const sauces: string[] = [];
  const stock = (): object[] => [
    ...some(solids, 4, 1200),
    { do: 'water', amount: '12 l' },
    { do: 'cook', heat: 'bare simmer', time: `${2 + Math.floor(next() * 4)} h`, lid: 'off' },
    ...some(solids, 3, 300),
    { do: 'cook', heat: 'bare simmer', time: '45 min', lid: 'off' },
    { do: 'strain', pressed: false, through: 'cone sieve' },
  ];
  const sauce = (mothers: readonly string[]): object[] => [
    ...mothers.map((product) => ({ do: 'add', of: { product }, amount: '900 ml' })),
    ...some(solids, 2, 90),
    ...some(liquids, 2, 60),
    { do: 'cook', heat: 'simmer', time: `${20 + Math.floor(next() * 40)} min`, lid: 'off' },
    { do: 'strain', pressed: true, through: 'cone sieve' },
  ];
  for (let i = file.recipes.length; i < many; i += 1) {
    const id = idOf(3, i);
    const tier = i % 10 === 0 || stocks.length === 0 ? 0 : i % 10 < 7 || sauces.length === 0 ? 1 : 2;
    const [list, name] = [
      [stock(), 'Stock'],
      [sauce([oneOf(stocks.length === 0 ? [''] : stocks)]), 'Sauce'],
      [
        sauce([oneOf(stocks.length === 0 ? [''] : stocks), oneOf(sauces.length === 0 ? [''] : sauces)]),
        'Finish',
      ],
    ][tier] as [object[], string];
    (tier === 0 ? stocks : sauces).push(id);
    file.recipes.push({
      id,
      name: `${name} ${i}`,
      vessel: vessel(tier === 0 ? 'Stockpot 36 l' : 'Saucepan 24 cm'),
      hob,
      batchesAWeek: 1 + (i % 4),
      steps: withIds(list),
    });
  }
  return sauces;
}

/** Plates of three ingredients and a sauce each. */
function platesOf(file: KitchenFile, many: number, solid: () => string, sauce: () => string): void {
  for (let i = file.plates.length; i < many; i += 1)
    file.plates.push({
      id: idOf(4, i),
      name: `Dish ${i}`,
      menuPrice: '24.00',
      taxPct: 10,
      targetFoodCostPct: 30,
      lines: [
        ...[1, 2, 3].map((k) => ({
          id: idOf(6, i * 8 + k),
          of: { ingredient: solid() },
          amount: '120 g',
        })),
        { id: idOf(6, i * 8), of: { product: sauce() }, amount: '60 ml' },
      ],
    });
}

/** Fills the larder up from the starting points, each bought by the five kilos; says what is there then. */
function larderOf(file: KitchenFile, many: number): KitchenFile['ingredients'] {
  const rows = [...referenceLarder().values()];
  const at = `${file.referenceDay}T08:00:00.000Z`;
  for (let i = file.ingredients.length; i < many; i += 1) {
    const row = rows[i % rows.length] as (typeof rows)[number];
    const name = `${row.name} ${i}`;
    file.ingredients.push({ ...adopted(row, idOf(1, i), '2026-01-01', at), name });
    file.articles.push({
      id: idOf(2, i),
      supplier: file.suppliers[0]?.id ?? '',
      ingredient: idOf(1, i),
      name,
      code: `B${i}`,
      pack: '5 kg',
      weighings: [],
      quotes: [{ on: '2026-01-01', recordedAt: at, price: (5 + (i % 400) / 10).toFixed(2) }],
    });
  }
  return file.ingredients.slice(-Math.max(1, many - 60));
}
