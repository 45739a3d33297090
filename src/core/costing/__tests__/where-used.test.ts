import { costFile } from '..';
import { whereUsed } from '../where-used';
import { CONSTANTS } from '../../reference';
import { demoKitchen } from '../../testing/demo';
import { SMALL, smallKitchen } from '../../testing/small-kitchen';

const DAY = '2026-03-14';
const small = costFile(smallKitchen(), DAY, CONSTANTS);
const file = demoKitchen();
const demo = costFile(file, file.referenceDay, CONSTANTS);

test('an ingredient is used by whom it goes into, its trim too, with grams and money by hand', () => {
  const leek = whereUsed(small, 'ingredient', SMALL.leek);
  expect(leek?.direct.map((u) => [u.is, u.name, u.g, u.batches])).toEqual([
    ['pot', 'Stock', 400, 2],
    ['plate', 'Dish', 100, undefined],
  ]);
  expect(leek?.plates.map((p) => p.name)).toEqual(['Dish']);
});

test('what a dish holds of everything bought is the dish, to the last cent', () => {
  // Every ingredient by itself, summed over all: nothing is counted twice and nothing is left out. Where something is credited at
  // a set value, or is what a last batch left, a part of the cost is no ingredient's.
  const { nodes } = demo.graph;
  const set = new Uint8Array(nodes.length);
  for (const [i, node] of nodes.entries())
    if (node.follows !== undefined || (node.plus ?? 0) !== 0 || node.from.some(([j]) => set[j])) set[i] = 1;
  let exact = 0;
  for (const { id } of file.plates) {
    if (set[demo.graph.placeOf(`plate:${id}`)]) continue;
    const sum = file.ingredients.reduce(
      (n, i) => n + (whereUsed(demo, 'ingredient', i.id)?.plates.find((p) => p.id === id)?.money ?? 0),
      0,
    );
    expect(sum).toBeCloseTo(demo.graph.cost(`plate:${id}`) ?? NaN, 9);
    exact += 1;
  }
  expect(exact).toBeGreaterThan(3);
});

test('ten per cent on an ingredient moves each dish by a tenth of what stands there of it', () => {
  const butter = file.ingredients.find((i) => i.name === 'Butter')?.id ?? '';
  const used = whereUsed(demo, 'ingredient', butter);
  const graph = demo.graph.fork();
  graph.set([[`usable:${butter}`, (graph.cost(`usable:${butter}`) ?? NaN) * 1.1]]);
  expect(used?.plates.length).toBeGreaterThan(3);
  for (const p of used?.plates ?? [])
    expect((graph.cost(`plate:${p.id}`) ?? NaN) - (demo.graph.cost(`plate:${p.id}`) ?? NaN)).toBeCloseTo(
      (p.money ?? NaN) * 0.1,
      9,
    );
});

test('a supplier’s things are those that are costed from it; the others are named', () => {
  for (const { id } of file.suppliers) {
    const used = whereUsed(demo, 'supplier', id);
    const own = file.articles.filter((a) => a.supplier === id);
    if (own.length > 0) expect((used?.direct.length ?? 0) + (used?.elsewhere.length ?? 0)).toBeGreaterThan(0);
  }
});

test('a pot is used by its daughters in litres, a vessel by what is cooked in it, and nothing by nobody', () => {
  const stock = whereUsed(small, 'recipe', SMALL.stock);
  expect(stock?.direct.map((u) => [u.name, u.g])).toEqual([['Sauce', 2000]]);
  expect(stock?.direct[0]?.ml).toBeGreaterThan(1900);
  expect(whereUsed(small, 'vessel', SMALL.pot)?.direct.map((u) => u.name)).toEqual(['Stock', 'Sauce']);
  expect(whereUsed(small, 'ingredient', 'nobody')).toBeUndefined();
});
