/**
 * Cost is affine in the prices: once the physics is known, a product's cost per gram is a weighted
 * sum of what went in. The graph keeps those weights and follows a changed price to what lives from it.
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

export class CostGraph {
  private readonly place = new Map<string, number>();
  private readonly value: Float64Array;
  /** How many gaps a node's cost has, its own and those of all it lives from; a source without price has one. */
  private readonly gap: Float64Array;
  private readonly dependents: number[][];
  /** Places of nodes that follow another, with the place of that one. */
  private readonly followers: (readonly [number, number])[];

  /** Nodes stand after everything they are the sum of. */
  constructor(readonly nodes: readonly GraphNode[]) {
    this.value = new Float64Array(nodes.length);
    this.gap = new Float64Array(nodes.length);
    this.dependents = nodes.map(() => []);
    for (const [i, node] of nodes.entries()) {
      if (this.place.has(node.key)) throw new GraphError(`${node.key} stands twice`);
      this.place.set(node.key, i);
      for (const [j] of node.from) {
        if (!(j < i)) throw new GraphError(`${node.key} stands before what it is made of`);
        this.dependents[j]?.push(i);
      }
    }
    this.followers = nodes.flatMap(({ follows }, i) =>
      follows === undefined ? [] : [[i, this.at(follows)] as const],
    );
    for (let i = 0; i < nodes.length; i += 1) this.recompute(i);
  }

  private recompute(i: number): boolean {
    const node = this.nodes[i] as GraphNode;
    if (node.from.length === 0 && node.gaps === 0 && node.plus === undefined) return false;
    let value =
      node.from.length === 0 && node.plus === undefined ? (this.value[i] as number) : (node.plus ?? 0);
    let gap = node.gaps;
    for (const [j, weight] of node.from) {
      value += weight * (this.value[j] as number);
      gap += this.gap[j] as number;
    }
    // A hair below 0 is rounding.
    if (node.notBelow0 && value < -1e-9) gap += 1;
    const changed = value !== this.value[i] || gap !== this.gap[i];
    this.value[i] = value;
    this.gap[i] = gap;
    return changed;
  }

  has(key: string): boolean {
    return this.place.has(key);
  }

  private at(key: string): number {
    const i = this.place.get(key);
    if (i === undefined) throw new GraphError(`${key} is not in the graph`);
    return i;
  }

  /** Cost per gram (per plate for a plate), or null while anything it lives from is unknown. */
  cost(key: string): number | null {
    const i = this.at(key);
    return this.gap[i] === 0 ? (this.value[i] as number) : null;
  }

  /**
   * Sets the prices of sources (null: unknown) and brings everything that lives from them up to date,
   * each node once, stopping where nothing changed.
   * @returns the keys whose cost changed, sources included, in graph order
   */
  set(prices: Iterable<readonly [string, number | null]>): string[] {
    const before = new Map<number, readonly [number, number]>();
    const wanted: [number, number, number][] = [];
    for (const [key, price] of prices) {
      const i = this.at(key);
      const node = this.nodes[i] as GraphNode;
      if (node.from.length > 0 || node.follows !== undefined)
        throw new GraphError(`${key} has no price of its own`);
      wanted.push([i, price ?? 0, node.gaps + (price === null ? 1 : 0)]);
    }
    this.propagate(wanted, before);
    if (this.followers.length > 0) this.settle(before);
    return [...before]
      .filter(([i, [value, gap]]) => this.value[i] !== value || this.gap[i] !== gap)
      .map(([i]) => i)
      .sort((a, b) => a - b)
      .map((i) => (this.nodes[i] as GraphNode).key);
  }

  /** Gives sources their values and gaps, and follows them up; what stood there before is noted. */
  private propagate(
    sources: readonly (readonly [place: number, value: number, gap: number])[],
    before: Map<number, readonly [number, number]>,
  ): void {
    const dirty = new Uint8Array(this.nodes.length);
    let waiting = 0;
    let lowest = this.nodes.length;
    const changed = (i: number, value: number, gap: number): void => {
      if (!before.has(i)) before.set(i, [value, gap]);
      for (const d of this.dependents[i] as number[]) {
        if (dirty[d]) continue;
        dirty[d] = 1;
        waiting += 1;
        lowest = Math.min(lowest, d);
      }
    };
    for (const [i, value, gap] of sources) {
      const [oldValue, oldGap] = [this.value[i] as number, this.gap[i] as number];
      if (oldValue === value && oldGap === gap) continue;
      this.value[i] = value;
      this.gap[i] = gap;
      changed(i, oldValue, oldGap);
    }
    // Upwards from the lowest place, so that a node is reached after everything it is made of.
    for (let i = lowest; waiting > 0; i += 1) {
      if (!dirty[i]) continue;
      waiting -= 1;
      const [value, gap] = [this.value[i] as number, this.gap[i] as number];
      if (this.recompute(i)) changed(i, value, gap);
    }
  }

  /**
   * Lets what follows come to rest: each round is one batch after the other. A gap is taken for none until the node
   * followed has one, or two batches could keep each other unknown for ever.
   */
  private settle(before: Map<number, readonly [number, number]>): void {
    this.propagate(
      this.followers.map(([i]) => [i, this.value[i] as number, 0]),
      before,
    );
    for (let round = 0; round < MOST_ROUNDS; round += 1) {
      const moved = this.followers.flatMap(([i, to]): [number, number, number][] => {
        const [value, gap] = [this.value[to] as number, (this.gap[to] as number) > 0 ? 1 : 0];
        const still = Math.abs(value - (this.value[i] as number)) <= 1e-13 * Math.abs(value) + 1e-18;
        return still && gap === this.gap[i] ? [] : [[i, value, gap]];
      });
      if (moved.length === 0) return;
      this.propagate(moved, before);
    }
    // Batches that take more of the last than they make never come to rest: nobody can say what they cost.
    this.propagate(
      this.followers.map(([i]) => [i, 0, 1]),
      before,
    );
  }
}
