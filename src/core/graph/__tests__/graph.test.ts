import fc from 'fast-check';
import { cases } from '../../testing/cases';
import { CostGraph, GraphError, type GraphNode } from '..';

/** Layers of sums over earlier nodes, some with gaps of their own. */
const randomGraph = fc
  .tuple(
    fc.integer({ min: 2, max: 10 }),
    fc.array(
      fc.array(fc.tuple(fc.nat(1000), fc.double({ min: 0, max: 5, noNaN: true })), {
        minLength: 1,
        maxLength: 5,
      }),
      { minLength: 1, maxLength: 25 },
    ),
    fc.array(fc.nat(12), { maxLength: 3 }),
  )
  .map(([sources, sums, gaps]): GraphNode[] => {
    const nodes: GraphNode[] = Array.from({ length: sources }, (_, i) => ({
      key: `s${i}`,
      from: [],
      gaps: 0,
    }));
    for (const [i, from] of sums.entries())
      nodes.push({
        key: `n${i}`,
        from: from.map(([j, w]) => [j % nodes.length, w] as const),
        gaps: gaps.includes(i) ? 1 : 0,
      });
    return nodes;
  });
const price = fc.option(fc.double({ min: 0, max: 100, noNaN: true }), { freq: 6 });

describe('the cost graph', () => {
  test('incremental is full: any sequence of prices leaves what a new graph would say, and names what moved', () => {
    fc.assert(
      fc.property(
        randomGraph,
        fc.array(fc.tuple(fc.nat(20), price), { minLength: 1, maxLength: 20 }),
        (nodes, changes) => {
          const sources = nodes.filter((n) => n.from.length === 0).map((n) => n.key);
          const graph = new CostGraph(nodes);
          const now = new Map<string, number | null>(sources.map((s) => [s, 0]));
          for (const [which, p] of changes) {
            const key = sources[which % sources.length] as string;
            const before = new Map(nodes.map((n) => [n.key, graph.cost(n.key)]));
            now.set(key, p);
            const moved = new Set(graph.set([[key, p]]));
            const full = new CostGraph(nodes);
            full.set(now);
            for (const n of nodes) {
              expect(graph.cost(n.key)).toBe(full.cost(n.key));
              if (before.get(n.key) !== graph.cost(n.key)) expect(moved).toContain(n.key);
            }
          }
        },
      ),
      { numRuns: cases(400) },
    );
  });

  test('an unknown price is never 0: everything that lives from it is unknown, and nothing else', () => {
    const graph = new CostGraph([
      { key: 'a', from: [], gaps: 0 },
      { key: 'b', from: [], gaps: 0 },
      {
        key: 'ab',
        from: [
          [0, 1],
          [1, 2],
        ],
        gaps: 0,
      },
      { key: 'bb', from: [[1, 1]], gaps: 0 },
      { key: 'unread', from: [[1, 1]], gaps: 1 },
    ]);
    graph.set([
      ['a', 3],
      ['b', 4],
    ]);
    expect([graph.cost('ab'), graph.cost('bb'), graph.cost('unread')]).toEqual([11, 4, null]);
    expect(graph.set([['a', null]])).toEqual(['a', 'ab']);
    expect([graph.cost('a'), graph.cost('ab'), graph.cost('bb')]).toEqual([null, null, 4]);
    expect(graph.set([['a', null]])).toEqual([]);
  });

  test('a graph out of order, a key twice, a sum given a price: the program’s mistakes', () => {
    expect(
      () =>
        new CostGraph([
          { key: 'a', from: [[1, 1]], gaps: 0 },
          { key: 'b', from: [], gaps: 0 },
        ]),
    ).toThrow(GraphError);
    expect(
      () =>
        new CostGraph([
          { key: 'a', from: [], gaps: 0 },
          { key: 'a', from: [], gaps: 0 },
        ]),
    ).toThrow(GraphError);
    const graph = new CostGraph([
      { key: 'a', from: [], gaps: 0 },
      { key: 'b', from: [[0, 1]], gaps: 0 },
    ]);
    expect(() => graph.set([['b', 1]])).toThrow(GraphError);
    expect(() => graph.cost('c')).toThrow(GraphError);
  });
});
