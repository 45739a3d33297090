import fc from 'fast-check';
import { costKitchen, costOfProduct } from '../../costing';
import { CONSTANTS } from '../../reference';
import { historyFrom, stateFrom } from '../../kitchen-state';
import { demoKitchen } from '../../testing/demo';
import { flawsOfChoices, stepsInForce } from '../in-force';
import type { KitchenFile, WrittenRecipe } from '../schema';

const file = demoKitchen();
const id = (n: number): string => `01890000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const perL = (of: KitchenFile, recipe: string): number | null =>
  costOfProduct(
    costKitchen(stateFrom(of), of.referenceDay, CONSTANTS, historyFrom(of, of.referenceDay)),
    recipe,
  ).perL;
const withRecipe = (next: WrittenRecipe): KitchenFile => ({
  ...file,
  recipes: file.recipes.map((r) => (r.id === next.id ? next : r)),
});
const recipe = file.recipes.find((r) => r.name === 'Trout velouté') as WrittenRecipe;

test('lines that are switched off make the same pot as a sheet without them', () => {
  fc.assert(
    fc.property(fc.subarray([...recipe.steps.keys()]), (off) => {
      const marked = {
        ...recipe,
        steps: recipe.steps.map((s, i) => (off.includes(i) ? { ...s, off: true as const } : s)),
      };
      const without = { ...recipe, steps: recipe.steps.filter((_, i) => !off.includes(i)) };
      expect(stepsInForce(marked)).toEqual(without.steps);
      expect(perL(withRecipe(marked), recipe.id)).toBe(perL(withRecipe(without), recipe.id));
    }),
    { numRuns: 8 },
  );
});

test('of two ways the house’s is made, and the other when it is taken', () => {
  const choice = {
    id: id(1),
    name: 'salt',
    ways: [
      { id: id(2), name: 'early' },
      { id: id(3), name: 'late' },
    ],
    house: id(2),
  };
  const [first, ...rest] = recipe.steps;
  if (!first) throw new Error('no steps');
  const both: WrittenRecipe = {
    ...recipe,
    choices: [choice],
    steps: [{ ...first, way: id(2) }, { ...first, id: id(9), way: id(3), note: 'the other way' }, ...rest],
  };
  expect(flawsOfChoices(both, '')).toEqual([]);
  expect(stepsInForce(both).map((s) => s.id)).toEqual(recipe.steps.map((s) => s.id));
  expect(stepsInForce({ ...both, choices: [{ ...choice, house: id(3) }] })[0]).toMatchObject({ id: id(9) });
  expect(perL(withRecipe(both), recipe.id)).toBe(perL(file, recipe.id));
});

test('a way that is not there, a house’s way that is none, an id twice: each said', () => {
  const way = { id: id(2), name: 'early' };
  const bad: WrittenRecipe = {
    ...recipe,
    choices: [{ id: id(1), name: 'salt', ways: [way, way], house: id(7) }],
    steps: recipe.steps.map((s) => ({ ...s, way: id(8) })),
  };
  const codes = flawsOfChoices(bad, 'recipes[0]').map((t) => t.code);
  expect(new Set(codes)).toEqual(new Set(['id-twice', 'unknown-way']));
  expect(codes.filter((c) => c === 'unknown-way')).toHaveLength(recipe.steps.length + 1);
});
