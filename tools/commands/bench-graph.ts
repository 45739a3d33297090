import { CostGraph, type GraphNode } from '@/core/graph';
import { Stop } from '../stop';
import type { Line } from './bench-pot';

/** The shape of a kitchen's graph: usable parts and trims, then recipes of six lines, two of them of earlier recipes. */
function graphOfSize(recipes: number): GraphNode[] {
  const sources = recipes * 2;
  const nodes: GraphNode[] = Array.from({ length: sources }, (_, i) => ({
    key: `usable:${i}`,
    from: [],
    gaps: 0,
  }));
  let state = 7;
  const next = (below: number): number => {
    state = (Math.imul(state, 1_103_515_245) + 12_345) & 0x7fffffff;
    return state % below;
  };
  for (let i = 0; i < recipes; i += 1) {
    const from: [number, number][] = Array.from({ length: 4 }, () => [next(sources), 0.05 + next(100) / 500]);
    if (i > 10) for (let k = 0; k < 2; k += 1) from.push([sources + next(i), 0.1 + next(100) / 500]);
    nodes.push({ key: `product:${i}`, from: from.sort((a, b) => a[0] - b[0]), gaps: 0 });
  }
  return nodes;
}

/** What the graph is held against: nothing but flat arrays, places instead of keys, no gaps and nothing that follows. */
class Plain {
  readonly value: Float64Array;
  private readonly first: Uint32Array;
  private readonly from: Uint32Array;
  private readonly weight: Float64Array;
  private readonly firstUp: Uint32Array;
  private readonly up: Uint32Array;
  private readonly dirty: Uint8Array;
  constructor(nodes: readonly GraphNode[]) {
    const n = nodes.length;
    const edges = nodes.reduce((sum, node) => sum + node.from.length, 0);
    [this.value, this.dirty] = [new Float64Array(n), new Uint8Array(n)];
    [this.first, this.from, this.weight] = [
      new Uint32Array(n + 1),
      new Uint32Array(edges),
      new Float64Array(edges),
    ];
    [this.firstUp, this.up] = [new Uint32Array(n + 2), new Uint32Array(edges)];
    let at = 0;
    for (let i = 0; i < n; i += 1) {
      for (const [j, w] of (nodes[i] as GraphNode).from) {
        [this.from[at], this.weight[at]] = [j, w];
        this.firstUp[j + 2]! += 1;
        at += 1;
      }
      this.first[i + 1] = at;
    }
    for (let i = 2; i <= n; i += 1) this.firstUp[i]! += this.firstUp[i - 1]!;
    for (let i = 0; i < n; i += 1)
      for (let e = this.first[i]!; e < this.first[i + 1]!; e += 1)
        this.up[this.firstUp[this.from[e]! + 1]!++] = i;
  }
  set(place: number, price: number): number {
    const { value, first, from, weight, firstUp, up, dirty } = this;
    let [waiting, i, moved] = [0, place, 1];
    value[place] = price;
    const mark = (of: number): void => {
      for (let e = firstUp[of]!; e < firstUp[of + 1]!; e += 1)
        if (dirty[up[e]!] === 0) [dirty[up[e]!], waiting] = [1, waiting + 1];
    };
    for (mark(place); waiting > 0; i += 1) {
      if (dirty[i] === 0) continue;
      [dirty[i], waiting, moved] = [0, waiting - 1, moved + 1];
      let sum = 0;
      for (let e = first[i]!; e < first[i + 1]!; e += 1) sum += weight[e]! * value[from[e]!]!;
      value[i] = sum;
      mark(i);
    }
    return moved;
  }
}

/** Median µs of one of many prices, each set to one figure and back. */
function onePrice(sources: number, set: (source: number, price: number) => unknown): number {
  const times: number[] = [];
  for (let round = 0; round < 3; round += 1)
    for (let k = 0; k < 400; k += 1) {
      const source = (k * 7919) % sources;
      const start = performance.now();
      set(source, 2 + round);
      if (round > 0) times.push(performance.now() - start);
    }
  return times.sort((a, b) => a - b)[Math.floor(times.length / 2)] as number;
}

/** `halfpot bench graph`: building the graph and moving one price, against plain typed arrays in the same run. */
export function benchGraph(median: (work: () => unknown, runs: number) => number, line: Line): void {
  for (const recipes of [200, 2000, 10_000]) {
    const nodes = graphOfSize(recipes);
    const sources = recipes * 2;
    const [graph, plain] = [new CostGraph(nodes), new Plain(nodes)];
    const built = [median(() => new CostGraph(nodes), 30), median(() => new Plain(nodes), 30)] as const;
    const moved = [
      onePrice(sources, (i, p) => graph.set([[`usable:${i}`, p]])),
      onePrice(sources, (i, p) => plain.set(i, p)),
    ] as const;
    for (const [i, { key }] of nodes.entries())
      if (graph.cost(key) !== plain.value[i]) throw new Stop(`${key} costs another in the graph.`);
    const times = (ours: number, theirs: number): string =>
      `${(ours / theirs).toFixed(1)} times plain arrays; aim: 3`;
    line(`${recipes} recipes, ${nodes.length} nodes: built`, built[0], times(...built));
    line(`${recipes} recipes: one price moved`, moved[0], times(...moved));
  }
}
