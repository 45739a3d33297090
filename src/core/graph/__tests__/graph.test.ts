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

  test('with some nodes made of something else it says what a graph of those nodes says, and the one before is left alone', () => {
    const other = fc.tuple(
      fc.nat(30),
      fc.array(fc.tuple(fc.nat(1000), fc.double({ min: 0, max: 5, noNaN: true })), { maxLength: 6 }),
      fc.nat(1),
      fc.option(fc.double({ min: -2, max: 5, noNaN: true }), { nil: undefined }),
    );
    fc.assert(
      fc.property(
        randomGraph,
        fc.array(price, { minLength: 12, maxLength: 12 }),
        fc.array(fc.array(other, { maxLength: 4 }), { minLength: 1, maxLength: 4 }),
        (first, prices, rounds) => {
          const sources = first.filter((n) => n.from.length === 0).map((n) => n.key);
          const priced = sources.map((key, i) => [key, prices[i % prices.length] ?? null] as const);
          let nodes = first;
          let graph = new CostGraph(nodes);
          graph.set(priced);
          for (const round of rounds) {
            const before = nodes.map((n) => graph.cost(n.key));
            const changed = round.map(([which, from, gaps, plus]): [number, GraphNode] => {
              const i = sources.length + (which % (nodes.length - sources.length));
              const edges = from.map(([j, w]) => [j % i, w] as const);
              return [
                i,
                { key: (nodes[i] as GraphNode).key, from: edges, gaps, plus, notBelow0: which % 3 === 0 },
              ];
            });
            const next = nodes.slice();
            for (const [i, node] of changed) next[i] = node;
            const after = graph.with(changed.map(([, node]) => node));
            const rebuilt = new CostGraph(next);
            rebuilt.set(priced);
            expect(next.map((n) => after.cost(n.key))).toEqual(next.map((n) => rebuilt.cost(n.key)));
            expect(nodes.map((n) => graph.cost(n.key))).toEqual(before);
            // And prices go on moving what they move.
            for (const key of sources) {
              expect(after.set([[key, 3]])).toEqual(rebuilt.set([[key, 3]]));
              after.set([[key, null]]);
              rebuilt.set([[key, null]]);
            }
            after.set(priced);
            [nodes, graph] = [next, after];
          }
        },
      ),
      { numRuns: cases(300) },
    );
    const graph = new CostGraph([
      { key: 's', from: [], gaps: 0 },
      { key: 'n', from: [[0, 1]], gaps: 0 },
    ]);
    expect(() => graph.with([{ key: 'n', from: [[1, 1]], gaps: 0 }])).toThrow(GraphError);
    expect(() => graph.with([{ key: 'x', from: [], gaps: 0 }])).toThrow(GraphError);
    expect(() => graph.with([{ key: 'n', from: [], gaps: 0, follows: 's' }])).toThrow(GraphError);
  });

  test('a part above some sources says what the whole says, while only those move', () => {
    fc.assert(
      fc.property(
        randomGraph,
        fc.array(price, { minLength: 12, maxLength: 12 }),
        fc.uniqueArray(fc.nat(11), { minLength: 1, maxLength: 4 }),
        fc.array(fc.tuple(fc.nat(20), price), { maxLength: 8 }),
        (nodes, prices, which, changes) => {
          const sources = nodes.filter((n) => n.from.length === 0 && n.gaps === 0).map((n) => n.key);
          if (sources.length === 0) return;
          const graph = new CostGraph(nodes);
          graph.set(sources.map((key, i) => [key, prices[i % prices.length] ?? null]));
          const chosen = [...new Set(which.map((i) => sources[i % sources.length] as string))];
          const part = new CostGraph(graph.partAbove(chosen));
          part.set(chosen.map((key) => [key, graph.cost(key)]));
          for (const [i, p] of changes) {
            const key = chosen[i % chosen.length] as string;
            const moved = graph.set([[key, p]]);
            part.set([[key, p]]);
            // Nothing moves in the whole that is not in the part.
            for (const other of moved) expect(part.has(other)).toBe(true);
          }
          // And of that only what one of them is made from.
          const top = (nodes[nodes.length - 1] as GraphNode).key;
          const below = new CostGraph(graph.partAbove(chosen, [top]));
          below.set(chosen.filter((key) => below.has(key)).map((key) => [key, graph.cost(key)] as const));
          expect(below.nodes.length).toBeLessThanOrEqual(part.nodes.length);
          expect(below.has(top)).toBe(part.has(top));
          for (const some of [part, below])
            for (const { key } of some.nodes) {
              const [whole, here] = [graph.cost(key), some.cost(key)];
              if (whole === null || here === null) expect(here).toBe(whole);
              else expect(here).toBeCloseTo(whole, 9);
            }
        },
      ),
      { numRuns: cases(300) },
    );
  });

  test('a part takes along what follows, and what is made from that', () => {
    const nodes: GraphNode[] = [
      { key: 'bones', from: [], gaps: 0 },
      { key: 'salt', from: [], gaps: 0 },
      { key: 'last', from: [], gaps: 0, follows: 'stock' },
      {
        key: 'sauce',
        from: [
          [1, 1],
          [2, 0.5],
        ],
        gaps: 0,
      },
      {
        key: 'stock',
        from: [
          [0, 1],
          [2, 0.2],
        ],
        gaps: 0,
      },
    ];
    const graph = new CostGraph(nodes);
    graph.set([
      ['bones', 4],
      ['salt', 1],
    ]);
    expect(graph.partAbove(['bones']).map((n) => n.key)).toEqual(['bones', 'last', 'sauce', 'stock']);
    const part = new CostGraph(graph.partAbove(['bones']));
    part.set([['bones', 8]]);
    graph.set([['bones', 8]]);
    for (const key of ['stock', 'sauce', 'last'])
      expect(part.cost(key)).toBeCloseTo(graph.cost(key) ?? NaN, 9);
    expect(graph.partAbove(['salt']).map((n) => n.key)).toEqual(['salt', 'sauce']);
  });

  test('an unknown price is never 0: everything that is made from it is unknown, and nothing else', () => {
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
