import fc from 'fast-check';
import { cases } from '../../testing/cases';
import { CONSTANTS } from '../../reference';
import { demoKitchen } from '../../testing/demo';
import { costFile } from '..';
import { CostGraph } from '../../graph';
import { LAYERS, type Layer } from '../../layers';
import { whyCost, type Why } from '../../why';

const file = demoKitchen();
const costing = costFile(file, file.referenceDay, CONSTANTS);
const said = (why: Why): string => [why.title, why.detail ?? '', ...why.rows.map(said)].join('\n');

/** Sources of a layer: what has a price of its own. */
const sourcesOf = (layer: Layer): string[] =>
  costing
    .layer(layer)
    .nodes.filter((n) => n.from.length === 0 && n.plus === undefined && n.follows === undefined)
    .map((n) => n.key);

describe('the whole demo in every layer', () => {
  test.each(LAYERS)('%s: any sequence of prices leaves what a new graph would say', (layer) => {
    const { nodes } = costing.layer(layer);
    const sources = sourcesOf(layer);
    const price = fc.oneof(
      { weight: 6, arbitrary: fc.double({ min: 0, max: 0.2, noNaN: true }) },
      { weight: 1, arbitrary: fc.constant(null) },
    );
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...sources), price), { minLength: 1, maxLength: 12 }),
        (changes) => {
          const stepwise = new CostGraph(nodes);
          const known = new Map<string, number | null>(sources.map((s) => [s, 0.01]));
          stepwise.set(known);
          for (const [key, value] of changes) {
            stepwise.set([[key, value]]);
            known.set(key, value);
          }
          const rebuilt = new CostGraph(nodes);
          rebuilt.set(known);
          for (const { key } of nodes) {
            const [a, b] = [stepwise.cost(key), rebuilt.cost(key)];
            if (a === null || b === null) expect([key, a]).toEqual([key, b]);
            else expect(Math.abs(a - b)).toBeLessThanOrEqual(1e-9 * Math.max(1, Math.abs(b)));
          }
        },
      ),
      { numRuns: cases(60) },
    );
  });

  test('twice the price of everything is twice the cost, but for what is at a set value', () => {
    for (const layer of LAYERS) {
      const { nodes } = costing.layer(layer);
      const at = (price: number): CostGraph => {
        const graph = new CostGraph(nodes);
        graph.set(sourcesOf(layer).map((s) => [s, price]));
        return graph;
      };
      const [none, once, twice] = [at(0), at(1), at(2)];
      // Credits take away more than there is where everything is free: those have no cost then.
      for (const { key } of nodes) {
        const [n, a, b] = [none.cost(key), once.cost(key), twice.cost(key)];
        if (n === null || a === null || b === null) continue;
        expect(b - a).toBeCloseTo(a - n, 6);
      }
    }
  });

  test('only what is made from a price is named when it moves', () => {
    const graph = new CostGraph(costing.graph.nodes);
    graph.set(sourcesOf('ingredients').map((s) => [s, 0.01]));
    const bones = file.ingredients.find((i) => i.name === 'Venison bones')?.id ?? '';
    const moved = graph.set([[`usable:${bones}`, 0.02]]);
    const names = new Map(file.recipes.map((r) => [`product:${r.id}`, r.name]));
    const recipes = moved.flatMap((key) => names.get(key) ?? []);
    // The wash, the gravy from it, and back through its last batch: all of the venison and nothing else.
    for (const name of ['Venison bone stock', 'Reduced game base', 'Juniper sauce'])
      expect(recipes).toContain(name);
    for (const name of ['Trout-frame fumet', 'Mutton broth', 'White roux'])
      expect(recipes).not.toContain(name);
  });
});

describe('why a last batch costs what it does', () => {
  const money = (n: number): string => n.toFixed(2);
  const stock = file.recipes.find((r) => r.name === 'Venison bone stock')!;
  const second = file.recipes.find((r) => r.name === 'Second venison stock')!;

  test('is said at the line, and asked further at that sheet: two that feed each other end', () => {
    const why = said(whyCost(costing, `product:${stock.id}`, money));
    expect(why).toContain('last batch of Second venison stock');
    expect(why).toContain('at what a batch of it costs, batch after batch');
    expect(whyCost(costing, `last:${second.id}`, money)).toMatchObject({
      goTo: `recipe:${second.id}`,
      rows: [],
    });
  });

  test('at a fixed value it says the value', () => {
    const valued = demoKitchen();
    const own = valued.recipes.find((r) => r.id === stock.id)!;
    own.steps = own.steps.map((s) =>
      'of' in s && 'lastBatchOf' in s.of ? { ...s, of: { ...s.of, perLitre: '0.75' } } : s,
    );
    const k = costFile(valued, valued.referenceDay, CONSTANTS);
    expect(said(whyCost(k, `product:${stock.id}`, money))).toContain('at a fixed value of 0.75 per litre');
    const per = whyCost(k, `last:${second.id}@0.75`, money).money!;
    const product = k.recipes.get(second.id)!.run.product!;
    expect((per * product.g) / product.ml).toBeCloseTo(0.75, 6);
  });
});
