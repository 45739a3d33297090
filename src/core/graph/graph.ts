/**
 * Cost is affine in the prices: once the physics is known, a product's cost per gram is a weighted
 * sum of what went in. The graph keeps those weights and follows a changed price to what is made from it.
 */
export interface GraphNode {
  readonly key: string;
  /** What it is the weighted sum of: [place of an earlier node, weight]. Empty for a source. */
  readonly from: readonly (readonly [number, number])[];
  /** Reasons of its own why its cost is not whole (unread lines, a step that cannot be done). */
  readonly gaps: number;
  /** A part of its cost that no price moves: a set value. */
  readonly plus?: number | undefined;
  /** Whether a cost below 0 is a gap: credits can take away no more than there is. */
  readonly notBelow0?: boolean | undefined;
  /**
   * A later node whose cost this one repeats: what the last batch cost is what this batch costs, once batch after batch cost
   * the same. No edge, so it closes no loop.
   */
  readonly follows?: string | undefined;
}

/** Rounds after which nodes that follow each other must have come to rest. */
const MOST_ROUNDS = 2000;

/** Thrown when a program asks for a node that is not there, or builds a graph out of order. */
export class GraphError extends Error {}

/** What a node is, in bits. */
const SUM = 1;
const NOT_BELOW_0 = 2;
/** Begins at `plus`, not at a price. */
const FIXED = 4;
const FOLLOWS = 8;

/** The first key that has been there before. */
function twice(nodes: readonly GraphNode[]): string {
  const seen = new Set<string>();
  return nodes.find(({ key }) => seen.has(key) || !seen.add(key))?.key ?? '';
}

/**
 * Keys only at the door: inside a node is its place, and what it is the sum of stands in flat arrays, edge after edge. The
 * same arrays serve every change, so that one price costs no more than what it moves.
 */
export class CostGraph {
  private readonly place: ReadonlyMap<string, number>;
  private readonly kind: Uint8Array;
  private readonly plus: Float64Array;
  private readonly ownGaps: Float64Array;
  /** Of node i: edges first[i] to first[i + 1] of `from` and `weight`. */
  private readonly first: Uint32Array;
  private readonly from: Uint32Array;
  private readonly weight: Float64Array;
  /** Of node i: places firstUp[i] to firstUp[i + 1] of `up` are the nodes that it is part of. */
  private readonly firstUp: Uint32Array;
  private readonly up: Uint32Array;
  /** Nodes that follow another, and those others. */
  private readonly followers: number[] = [];
  private readonly followed: number[] = [];
  private readonly value: Float64Array;
  /** How many gaps a node's cost has, its own and those of all it is made from; a source without price has one. */
  private readonly gap: Float64Array;
  /** A bit for each node that is to be worked out again. */
  private readonly dirty: Uint32Array;
  /** What has been touched by the change under way, in order, and what stood there before. */
  private readonly touched: Uint32Array;
  private touchedMany = 0;
  private readonly isTouched: Uint8Array;
  private readonly oldValue: Float64Array;
  private readonly oldGap: Float64Array;

  /**
   * Nodes stand after everything they are the sum of.
   * @param place each node's place by its key, where anyone who has made them knows it already
   * @throws GraphError where one stands before what it is made of, or twice
   */
  constructor(
    readonly nodes: readonly GraphNode[],
    place?: ReadonlyMap<string, number>,
  ) {
    this.place = place ?? new Map(nodes.map((node, i) => [node.key, i]));
    if (this.place.size < nodes.length) throw new GraphError(`${twice(nodes)} stands twice`);
    const n = nodes.length;
    let edges = 0;
    for (const node of nodes) edges += node.from.length;
    this.kind = new Uint8Array(n);
    this.plus = new Float64Array(n);
    this.ownGaps = new Float64Array(n);
    this.first = new Uint32Array(n + 1);
    this.from = new Uint32Array(edges);
    this.weight = new Float64Array(edges);
    this.firstUp = new Uint32Array(n + 2);
    this.up = new Uint32Array(edges);
    this.value = new Float64Array(n);
    this.gap = new Float64Array(n);
    this.dirty = new Uint32Array((n >> 5) + 1);
    this.touched = new Uint32Array(n);
    this.isTouched = new Uint8Array(n);
    this.oldValue = new Float64Array(n);
    this.oldGap = new Float64Array(n);
    for (let i = 0; i < n; i += 1) this.lay(i, nodes[i] as GraphNode);
    this.turnRound();
    for (let i = 0; i < n; i += 1) {
      const follows = nodes[i]?.follows;
      if (follows === undefined) continue;
      this.followers.push(i);
      this.followed.push(this.placeOf(follows));
    }
    for (let i = 0; i < n; i += 1)
      if ((this.kind[i] as number) & SUM) {
        this.gap[i] = this.sumUp(i);
        this.value[i] = this.sum;
      }
  }

  /** Puts a node and its edges into the arrays. */
  private lay(i: number, node: GraphNode): void {
    const { key, from, gaps, plus } = node;
    this.ownGaps[i] = gaps;
    this.plus[i] = plus ?? 0;
    this.kind[i] =
      (from.length > 0 || gaps !== 0 || plus !== undefined ? SUM : 0) |
      (node.notBelow0 ? NOT_BELOW_0 : 0) |
      (from.length > 0 || plus !== undefined ? FIXED : 0) |
      (node.follows === undefined ? 0 : FOLLOWS);
    let at = this.first[i] as number;
    for (let k = 0; k < from.length; k += 1) {
      const edge = from[k] as readonly [number, number];
      const j = edge[0];
      if (!(j < i)) throw new GraphError(`${key} stands before what it is made of`);
      this.from[at] = j;
      this.weight[at] = edge[1];
      at += 1;
    }
    this.first[i + 1] = at;
  }

  /** The edges once more, from below. */
  private turnRound(): void {
    const { first, from, firstUp, up } = this;
    const n = this.nodes.length;
    // Counted two places on, so that filling in moves each count to where it belongs.
    for (let e = 0; e < from.length; e += 1) {
      const j = (from[e] as number) + 2;
      firstUp[j] = (firstUp[j] as number) + 1;
    }
    for (let i = 2; i <= n; i += 1) firstUp[i] = (firstUp[i] as number) + (firstUp[i - 1] as number);
    for (let i = 0; i < n; i += 1)
      for (let e = first[i] as number; e < (first[i + 1] as number); e += 1) {
        const j = (from[e] as number) + 1;
        const at = firstUp[j] as number;
        up[at] = i;
        firstUp[j] = at + 1;
      }
  }

  /** The value that `sumUp` came to. */
  private sum = 0;

  /** Works a node out from what it is the sum of: its value goes to `sum`, its gaps come back. */
  private sumUp(i: number): number {
    const { from, weight, value, gap } = this;
    const kind = this.kind[i] as number;
    const end = this.first[i + 1] as number;
    let sum = (kind & FIXED ? this.plus[i] : value[i]) as number;
    let gaps = this.ownGaps[i] as number;
    for (let e = this.first[i] as number; e < end; e += 1) {
      const j = from[e] as number;
      sum += (weight[e] as number) * (value[j] as number);
      gaps += gap[j] as number;
    }
    this.sum = sum;
    // A hair below 0 is rounding.
    return kind & NOT_BELOW_0 && sum < -1e-9 ? gaps + 1 : gaps;
  }

  /** Gives a node its value, and marks what it is part of where that is another than it had; what stood there is noted. */
  private put(i: number, value: number, gap: number): void {
    const oldValue = this.value[i] as number;
    const oldGap = this.gap[i] as number;
    if (oldValue === value && oldGap === gap) return;
    if (this.isTouched[i] === 0) {
      this.isTouched[i] = 1;
      this.touched[this.touchedMany] = i;
      this.touchedMany += 1;
      this.oldValue[i] = oldValue;
      this.oldGap[i] = oldGap;
    }
    this.value[i] = value;
    this.gap[i] = gap;
    this.markUp(i);
  }

  /** Another graph of the same shape with the prices this one has now; from here each has its own. */
  fork(): CostGraph {
    const n = this.nodes.length;
    return Object.assign(Object.create(CostGraph.prototype) as CostGraph, this, {
      value: this.value.slice(),
      gap: this.gap.slice(),
      dirty: new Uint32Array(this.dirty.length),
      touched: new Uint32Array(n),
      touchedMany: 0,
      isTouched: new Uint8Array(n),
      oldValue: new Float64Array(n),
      oldGap: new Float64Array(n),
    });
  }

  /**
   * Another graph with some nodes made of something else: the same keys at the same places, and the prices this one has now.
   * @param others the nodes that take the place of those with their keys
   * @throws GraphError where one is not in the graph, stands before what it is made of, or follows something else
   */
  with(others: Iterable<GraphNode>): CostGraph {
    const at = new Map([...others].map((node) => [this.placeOf(node.key), node]));
    const made = this.fork();
    if (at.size === 0) return made;
    const nodes = this.nodes.slice();
    let edges = this.from.length;
    for (const [i, node] of at) {
      const was = nodes[i] as GraphNode;
      if (was.follows !== node.follows) throw new GraphError(`${node.key} follows something else`);
      edges += node.from.length - was.from.length;
      nodes[i] = node;
    }
    const n = nodes.length;
    Object.assign(made, {
      nodes,
      kind: this.kind.slice(),
      plus: this.plus.slice(),
      ownGaps: this.ownGaps.slice(),
      first: new Uint32Array(n + 1),
      from: new Uint32Array(edges),
      weight: new Float64Array(edges),
      firstUp: new Uint32Array(n + 2),
      up: new Uint32Array(edges),
    });
    const places = [...at.keys()].sort((a, b) => a - b);
    for (const [k, i] of places.entries()) {
      made.copy(this, k === 0 ? 0 : (places[k - 1] as number) + 1, i);
      made.lay(i, at.get(i) as GraphNode);
    }
    made.copy(this, (places[places.length - 1] as number) + 1, n);
    made.turnRound();
    made.workOut(places);
    return made;
  }

  /** Takes over the edges of the nodes from one place to before another. */
  private copy(of: CostGraph, begin: number, end: number): void {
    const [a, b] = [of.first[begin] as number, of.first[end] as number];
    const at = this.first[begin] as number;
    this.from.set(of.from.subarray(a, b), at);
    this.weight.set(of.weight.subarray(a, b), at);
    for (let i = begin; i < end; i += 1) this.first[i + 1] = (of.first[i + 1] as number) + at - a;
  }

  /** Brings nodes that have just been laid, and what is made from them, up to date. */
  private workOut(places: readonly number[]): void {
    this.begin();
    for (const i of places) {
      const kind = this.kind[i] as number;
      if (!(kind & FIXED)) this.put(i, 0, this.ownGaps[i] as number);
      if (kind & SUM) this.mark(i);
    }
    this.sweep();
    if (this.followers.length > 0) this.settle();
  }

  has(key: string): boolean {
    return this.place.has(key);
  }

  /** Place of a node among the nodes. @throws GraphError where it is not in the graph */
  placeOf(key: string): number {
    const i = this.place.get(key);
    if (i === undefined) throw new GraphError(`${key} is not in the graph`);
    return i;
  }

  /** Cost per gram (per plate for a plate), or null while anything it is made from is unknown. */
  cost(key: string): number | null {
    const i = this.placeOf(key);
    return this.gap[i] === 0 ? (this.value[i] as number) : null;
  }

  /**
   * Sets the prices of sources (null: unknown) and brings everything that is made from them up to date,
   * each node once, stopping where nothing changed.
   * @returns the keys whose cost changed, sources included, in graph order
   * @throws GraphError where one is not a source; nothing is set then
   */
  set(prices: Iterable<readonly [string, number | null]>): string[] {
    const wanted: (readonly [number, number | null])[] = [];
    for (const [key, price] of prices) {
      const i = this.placeOf(key);
      if (this.first[i] !== this.first[i + 1] || (this.kind[i] as number) & FOLLOWS)
        throw new GraphError(`${key} has no price of its own`);
      wanted.push([i, price]);
    }
    this.begin();
    for (const [i, price] of wanted)
      this.put(i, price ?? 0, (this.ownGaps[i] as number) + (price === null ? 1 : 0));
    this.sweep();
    if (this.followers.length > 0) this.settle();
    return this.moved();
  }

  /**
   * The part of the graph that some sources can move: them, and everything that is made from them. What else its nodes are the sum
   * of stands in them as it is now, so that the part says what the whole says while only those sources move.
   * @param tops where only what these are made from is wanted, and they themselves
   */
  partAbove(sources: Iterable<string>, tops?: Iterable<string>): GraphNode[] {
    const kept = new Uint8Array(this.nodes.length);
    const wanted = tops && this.below(tops);
    const queue: number[] = [];
    const keep = (i: number): void => {
      if (kept[i] !== 0 || wanted?.[i] === 0) return;
      kept[i] = 1;
      queue.push(i);
    };
    for (const key of sources) if (this.place.has(key)) keep(this.placeOf(key));
    for (let i = queue.pop(); i !== undefined; i = queue.pop()) {
      for (let e = this.firstUp[i] as number; e < (this.firstUp[i + 1] as number); e += 1)
        keep(this.up[e] as number);
      for (const [k, to] of this.followed.entries()) if (to === i) keep(this.followers[k] as number);
    }
    const place = new Map<number, number>();
    const part: GraphNode[] = [];
    for (let i = 0; i < kept.length; i += 1)
      if (kept[i] !== 0) {
        part.push(this.without(i, place));
        place.set(i, part.length - 1);
      }
    return part;
  }

  /** What some nodes are made from, and they themselves: 1 at the place of each. */
  private below(tops: Iterable<string>): Uint8Array {
    const reached = new Uint8Array(this.nodes.length);
    const queue = [...tops].filter((key) => this.has(key)).map((key) => this.placeOf(key));
    for (let i = queue.pop(); i !== undefined; i = queue.pop()) {
      if (reached[i] !== 0) continue;
      reached[i] = 1;
      for (let e = this.first[i] as number; e < (this.first[i + 1] as number); e += 1)
        queue.push(this.from[e] as number);
      const follows = this.followers.indexOf(i);
      if (follows >= 0) queue.push(this.followed[follows] as number);
    }
    return reached;
  }

  /** A node whose edges to what is not in `place` have become a part of it that no price moves. */
  private without(i: number, place: ReadonlyMap<number, number>): GraphNode {
    const node = this.nodes[i] as GraphNode;
    let [plus, gaps] = [node.plus, node.gaps];
    const from: [number, number][] = [];
    for (const [j, weight] of node.from) {
      const at = place.get(j);
      if (at !== undefined) from.push([at, weight]);
      else {
        plus = (plus ?? 0) + weight * (this.value[j] as number);
        gaps += this.gap[j] as number;
      }
    }
    return { ...node, from, gaps, ...(plus === undefined ? {} : { plus }) };
  }

  private begin(): void {
    for (let k = 0; k < this.touchedMany; k += 1) this.isTouched[this.touched[k] as number] = 0;
    this.touchedMany = 0;
  }

  /** The keys of what is now another than it was, in graph order. */
  private moved(): string[] {
    const keys: string[] = [];
    for (const i of this.touched.subarray(0, this.touchedMany).sort())
      if (this.value[i] !== this.oldValue[i] || this.gap[i] !== this.oldGap[i])
        keys.push((this.nodes[i] as GraphNode).key);
    return keys;
  }

  private markUp(i: number): void {
    const end = this.firstUp[i + 1] as number;
    for (let e = this.firstUp[i] as number; e < end; e += 1) this.mark(this.up[e] as number);
  }

  private mark(i: number): void {
    const word = i >> 5;
    this.dirty[word] = (this.dirty[word] as number) | (1 << (i & 31));
    if (word < this.lowest) this.lowest = word;
  }

  /** Word of `dirty` below which nothing is marked. */
  private lowest = 0;

  /** Upwards from the lowest place, so that a node is reached after everything it is made of. */
  private sweep(): void {
    const { dirty } = this;
    for (let word = this.lowest; word < dirty.length; word += 1)
      while (dirty[word] !== 0) {
        const bit = 31 - Math.clz32((dirty[word] as number) & -(dirty[word] as number));
        dirty[word] = (dirty[word] as number) & ~(1 << bit);
        const i = (word << 5) | bit;
        const gap = this.sumUp(i);
        this.put(i, this.sum, gap);
      }
    this.lowest = dirty.length;
  }

  /**
   * Lets what follows come to rest: each round is one batch after the other. A gap is taken for none until the node
   * followed has one, or two batches could keep each other unknown for ever.
   */
  private settle(): void {
    const { followers, followed, value, gap } = this;
    for (const i of followers) this.put(i, value[i] as number, 0);
    this.sweep();
    for (let round = 0; round < MOST_ROUNDS; round += 1) {
      // What all of them follow is read before any of them moves.
      const next = followed.map((to) => [value[to] as number, (gap[to] as number) > 0 ? 1 : 0] as const);
      let rests = true;
      for (const [k, i] of followers.entries()) {
        const [v, g] = next[k] as readonly [number, number];
        const still = Math.abs(v - (value[i] as number)) <= 1e-13 * Math.abs(v) + 1e-18;
        if (still && g === gap[i]) continue;
        rests = false;
        this.put(i, v, g);
      }
      if (rests) return;
      this.sweep();
    }
    // Batches that take more of the last than they make never come to rest: nobody can say what they cost.
    for (const i of followers) this.put(i, 0, 1);
    this.sweep();
  }
}
