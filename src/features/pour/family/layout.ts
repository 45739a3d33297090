import dagre from '@dagrejs/dagre';
import type { Family, Tie } from '@/core/costing';

/** Size of one box on the map, px. */
export const BOX = { width: 188, height: 66 };
const GAP = { between: 14, ranks: 96 };
/** Width of the lines, px: of the least and of the most that is carried. */
const LINE = { least: 1.5, most: 22 };

/** Where each of a family stands on the map. */
export type FamilyPlaces = ReadonlyMap<string, { readonly x: number; readonly y: number }>;

/**
 * Lays a family out from left to right: what comes off at the bench, mothers, daughters, and all plates in one row at the end.
 * What a last batch left is passed over: it would turn the order round.
 */
export function familyLayout({ relatives, ties }: Family, box = BOX): FamilyPlaces {
  const graph = new dagre.graphlib.Graph();
  graph.setGraph({ rankdir: 'LR', nodesep: GAP.between, ranksep: GAP.ranks, marginx: 8, marginy: 8 });
  graph.setDefaultEdgeLabel(() => ({}));
  const depths = depthsOf(ties);
  const plates = new Set(relatives.filter((r) => r.is === 'plate').map((r) => r.id));
  const end = 1 + Math.max(0, ...relatives.map((r) => (plates.has(r.id) ? 0 : (depths.get(r.id) ?? 0))));
  for (const { id } of relatives) graph.setNode(id, { ...box });
  for (const { from, to, last } of ties)
    if (!last) graph.setEdge(from, to, { minlen: plates.has(to) ? end - (depths.get(from) ?? 0) : 1 });
  dagre.layout(graph);
  return new Map(
    relatives.map(({ id }) => {
      const { x, y } = graph.node(id) as { x: number; y: number };
      return [id, { x: x - box.width / 2, y: y - box.height / 2 }];
    }),
  );
}

/** How many stand before each, along the longest way. */
function depthsOf(ties: readonly Tie[]): ReadonlyMap<string, number> {
  const up = new Map<string, string[]>();
  for (const { from, to, last } of ties) if (!last) up.set(to, [...(up.get(to) ?? []), from]);
  const depths = new Map<string, number>();
  const depthOf = (id: string): number => {
    const known = depths.get(id);
    if (known !== undefined) return known;
    const depth = Math.max(-1, ...(up.get(id) ?? []).map(depthOf)) + 1;
    depths.set(id, depth);
    return depth;
  };
  for (const { from, to } of ties) [from, to].forEach(depthOf);
  return depths;
}

/** How wide a line is: by the root of what it carries, so that a spoonful beside a pot of stock can still be seen. */
export const lineWidth = (ml: number, most: number): number =>
  LINE.least + (LINE.most - LINE.least) * Math.sqrt(Math.min(1, most > 0 ? ml / most : 0));

/** How dark a cost is drawn, 0 to 1: by its order of size between the least and the most there are. */
export function tintOf(costs: readonly (number | null)[]): (cost: number | null) => number | undefined {
  const known = costs.filter((c): c is number => c !== null && c > 0);
  const [least, most] = [Math.log(Math.min(...known)), Math.log(Math.max(...known))];
  return (cost) =>
    cost === null
      ? undefined
      : cost <= 0 || most - least < 1e-9
        ? 0
        : Math.min(1, Math.max(0, (Math.log(cost) - least) / (most - least)));
}

/** What is folded away: all that is made from nothing but folded ones. */
export function hiddenBy(family: Family, folded: ReadonlySet<string>): ReadonlySet<string> {
  const up = new Map<string, string[]>();
  for (const { from, to, last } of family.ties) if (!last) up.set(to, [...(up.get(to) ?? []), from]);
  const hidden = new Map<string, boolean>();
  const isHidden = (id: string): boolean => {
    const known = hidden.get(id);
    if (known !== undefined) return known;
    hidden.set(id, false);
    const mothers = up.get(id) ?? [];
    const is = mothers.length > 0 && mothers.every((m) => folded.has(m) || isHidden(m));
    hidden.set(id, is);
    return is;
  };
  return new Set(family.relatives.filter((r) => isHidden(r.id)).map((r) => r.id));
}
