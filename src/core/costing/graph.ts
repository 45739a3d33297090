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
}

/** Thrown when a program asks for a node that is not there, or builds a graph out of order. */
export class GraphError extends Error {}

export class CostGraph {
  private readonly place = new Map<string, number>();
  private readonly value: Float64Array;
  /** How many gaps a node's cost has, its own and those of all it lives from; a source without price has one. */
  private readonly gap: Float64Array;
  private readonly dependents: number[][];

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
    const dirty = new Uint8Array(this.nodes.length);
    const changed: number[] = [];
    let waiting = 0;
    let lowest = this.nodes.length;
    const mark = (i: number): void => {
      for (const d of this.dependents[i] as number[]) {
        if (dirty[d]) continue;
        dirty[d] = 1;
        waiting += 1;
        lowest = Math.min(lowest, d);
      }
    };
    for (const [key, price] of prices) {
      const i = this.at(key);
      const node = this.nodes[i] as GraphNode;
      if (node.from.length > 0) throw new GraphError(`${key} has no price of its own`);
      const gap = node.gaps + (price === null ? 1 : 0);
      if (this.value[i] === (price ?? 0) && this.gap[i] === gap) continue;
      this.value[i] = price ?? 0;
      this.gap[i] = gap;
      changed.push(i);
      mark(i);
    }
    // Upwards from the lowest place, so that a node is reached after everything it is made of.
    for (let i = lowest; waiting > 0; i += 1) {
      if (!dirty[i]) continue;
      waiting -= 1;
      if (!this.recompute(i)) continue;
      changed.push(i);
      mark(i);
    }
    return changed.sort((a, b) => a - b).map((i) => (this.nodes[i] as GraphNode).key);
  }
}
