import { costKitchen } from '../../costing';
import type { KitchenFile, WrittenTrial } from '../../kitchen-file';
import { historyFrom, stateFrom } from '../../kitchen-state';
import { CONSTANTS, groupOf } from '../../reference';
import { demoKitchen } from '../../testing/demo';
import { applyTrials } from '..';

const GONE = '019d20a1-8400-7a10-8b10-5f0a6c1effff';
const file = demoKitchen();
const costed = (of: KitchenFile) =>
  costKitchen(stateFrom(of), of.referenceDay, CONSTANTS, historyFrom(of, of.referenceDay));
const base = costed(file);

const ingredient = (name: string) => file.ingredients.find((i) => i.name === name)!;
const recipe = (name: string) => file.recipes.find((r) => r.name === name)!;
const plate = (name: string) => file.plates.find((p) => p.name === name)!;
const juniper = recipe('Juniper sauce');
const reduce = juniper.steps.find((s) => s.do === 'reduce')!.id!;
const pie = plate('Trout pie');
const line = pie.lines[0]!.id!;

/** The one trial alone: why it does nothing, or that it does something. */
function flaw(trial: WrittenTrial, of = base): string | undefined {
  const { flaws, state, times } = applyTrials(of, [trial]);
  expect(flaws).toHaveLength(1);
  // What does nothing leaves everything as it is.
  if (flaws[0]) expect([state, [...times.values()].every((x) => x === 1)]).toEqual([of.state, true]);
  return flaws[0] && `${flaws[0].code}: ${flaws[0].message}`;
}

const REFUSED: readonly (readonly [string, WrittenTrial, RegExp])[] = [
  ['an ingredient that has gone', { of: 'price', ingredient: GONE, times: 2 }, /^gone: This ingredient has/],
  ['a supplier that has gone', { of: 'supplier', supplier: GONE, times: 2 }, /^gone: This supplier has/],
  [
    'a group of which nothing is bought',
    { of: 'group', group: 'nobody’s group', times: 2 },
    /^no-price: Nothing of it has a price/,
  ],
  ['a yield of nothing that is there', { of: 'yield', ingredient: GONE, usablePct: 80 }, /^gone: This ingre/],
  [
    'a yield beside which the trim is too much',
    { of: 'yield', ingredient: ingredient('Onion').id, usablePct: 95 },
    /Usable 95 % and stock trim 9 % make 104 %/,
  ],
  [
    'a pot that has gone',
    { of: 'line', recipe: GONE, step: reduce, says: 'reduce by half' },
    /^gone: This pot/,
  ],
  [
    'a line that has gone',
    { of: 'line', recipe: juniper.id, step: GONE, says: 'reduce by half' },
    /^gone: This line of Juniper sauce has/,
  ],
  [
    'a line that nobody can read',
    { of: 'line', recipe: juniper.id, step: reduce, says: 'xyzzy the sauce' },
    /^not-understood: /,
  ],
  [
    'a line that would make a pot an ingredient of itself',
    {
      of: 'line',
      recipe: recipe('Trout-frame fumet').id,
      step: recipe('Trout-frame fumet').steps[0]!.id!,
      says: '1 l sorrel sauce',
    },
    /^recipe-loop: .*Trout-frame fumet/,
  ],
  [
    'a portion of a dish that has gone',
    { of: 'portion', plate: GONE, line, amount: '90 g' },
    /^gone: This dish/,
  ],
  [
    'a portion of a line that has gone',
    { of: 'portion', plate: pie.id, line: GONE, amount: '90 g' },
    /^gone: This line of/,
  ],
  ['a portion without an amount', { of: 'portion', plate: pie.id, line, amount: 'some' }, /^[a-z-]+: .*some/],
  ['a price of a dish that has gone', { of: 'menu price', plate: GONE, price: '9.00' }, /^gone: This dish/],
  [
    'something in the place of what has gone',
    { of: 'instead', kind: 'ingredient', from: GONE, to: ingredient('Leek').id },
    /^gone: What is replaced has/,
  ],
  [
    'what has gone in the place of something',
    { of: 'instead', kind: 'ingredient', from: ingredient('Leek').id, to: GONE },
    /^gone: What takes its place has/,
  ],
  [
    'a pot in the place of what it is made of',
    { of: 'instead', kind: 'recipe', from: recipe('Trout-frame fumet').id, to: recipe('Sorrel sauce').id },
    /^recipe-loop: /,
  ],
];

test.each(REFUSED)('%s is told, and does nothing', (_, trial, says) => {
  expect(flaw(trial)).toMatch(says);
});

test('hands and energy that cost nothing can be no dearer, and what nothing takes no other', () => {
  const { wagePerHour: _w, ...free } = file.kitchen;
  const without = costed({ ...file, kitchen: { ...free, energyPerKwh: {} } });
  expect(flaw({ of: 'layer', layer: 'hands', times: 2 }, without)).toMatch(/^no-price: No labour cost/);
  expect(flaw({ of: 'layer', layer: 'energy', times: 2 }, without)).toMatch(/^no-price: No energy price/);
  const spare = { ...ingredient('Leek'), id: GONE, name: 'Nobody’s leek' };
  const more = costed({ ...file, ingredients: [...file.ingredients, spare] });
  expect(flaw({ of: 'instead', kind: 'ingredient', from: GONE, to: ingredient('Leek').id }, more)).toMatch(
    /^unused: Nothing takes Nobody’s leek/,
  );
});

test('of several trials those that do something do it, whatever the others say', () => {
  const { flaws, times } = applyTrials(base, [
    { of: 'price', ingredient: GONE, times: 3 },
    { of: 'price', ingredient: ingredient('Venison bones').id, times: 1.5 },
    { of: 'group', group: groupOf(ingredient('Venison bones')), times: 2 },
    { of: 'menu price', plate: GONE, price: '9.00' },
  ]);
  expect(flaws.map((f) => f?.code)).toEqual(['gone', undefined, undefined, 'gone']);
  expect(times.get(ingredient('Venison bones').id)).toBeCloseTo(3, 12);
});
