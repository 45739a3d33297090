import equal from 'fast-deep-equal';
import { FUELS, type PotRun } from '../pot';
import { CostGraph, GraphError, type GraphNode } from '../graph';
import type { Supply } from '../prices';
import type { LastBatch, RecipeCosting } from '../shelf';
import { isMade, productOf, trimOf, usableOf } from '../supply';
import { ownOf, type Own } from './layer-money';
import { energyKey, HANDS, type Layer } from './layers';
import { partingsOf, type Parting } from './parting';

/** What stands on a plate: a supply and its grams, line by line; undefined for one that could not be looked up. */
export interface PlateTakes {
  readonly takes: readonly ({ readonly supply: string; readonly g: number } | undefined)[];
}

export interface GraphParts {
  readonly supplies: ReadonlyMap<string, Supply>;
  readonly order: readonly string[];
  readonly recipes: ReadonlyMap<string, RecipeCosting>;
  readonly plates: ReadonlyMap<string, PlateTakes>;
  readonly lastBatches: readonly LastBatch[];
}

/**
 * The graph of a layer. Its nodes are the same in each: what things cost of that layer alone. A set value is all of a thing's
 * cost, so what is credited with one carries nothing of the other layers.
 */
export function graphOf(layer: Layer, parts: GraphParts): CostGraph {
  const nodes: GraphNode[] = [];
  const place = new Map<string, number>();
  const put = (node: GraphNode): void => {
    place.set(node.key, nodes.length);
    nodes.push(node);
  };
  if (layer === 'ingredients' || layer === 'packaging')
    for (const id of parts.supplies.keys()) {
      put({ key: usableOf(id), from: [], gaps: 0 });
      put({ key: trimOf(id), from: [], gaps: 0 });
    }
  if (layer === 'energy') for (const fuel of FUELS) put({ key: energyKey(fuel), from: [], gaps: 0 });
  if (layer === 'hands') put({ key: HANDS, from: [], gaps: 0 });
  for (const { key, follows, perG } of parts.lastBatches)
    put(
      perG === undefined
        ? { key, from: [], gaps: 0, follows }
        : { key, from: [], gaps: 0, plus: layer === 'ingredients' ? perG : 0 },
    );
  const weighed = (amounts: readonly Own[], per: number): [number, number][] => {
    const sums = new Map<number, number>();
    for (const { supply, g } of amounts) {
      if (supply === 'free') continue;
      const at = place.get(supply);
      if (at === undefined) throw new GraphError(`${supply} is used before it is known`);
      sums.set(at, (sums.get(at) ?? 0) + g / per);
    }
    return [...sums].sort((a, b) => a[0] - b[0]);
  };
  for (const id of parts.order)
    for (const node of recipeNodes(
      id,
      parts.recipes.get(id) as RecipeCosting,
      layer,
      parts.supplies,
      weighed,
      place,
    ))
      put(node);
  for (const [id, { takes }] of parts.plates) {
    const known = takes.flatMap((line): Own[] => (line ? [{ ...line, row: 0 }] : []));
    const own = layer === 'ingredients' ? known : known.filter(({ supply }) => isMade(supply));
    put({ key: `plate:${id}`, from: weighed(own, 1), gaps: takes.length - known.length });
  }
  return new CostGraph(nodes);
}

/** Whether two graphs have the same nodes and weights, so that only prices can tell them apart. */
export const sameGraph = (a: GraphParts, b: GraphParts): boolean =>
  (a.order === b.order || equal(a.order, b.order)) &&
  a.order.every((id) => a.recipes.get(id)?.run === b.recipes.get(id)?.run) &&
  equal(a.lastBatches, b.lastBatches) &&
  samePlates(a.plates, b.plates) &&
  a.supplies.size === b.supplies.size &&
  sameSupplies([...a.supplies.values()], [...b.supplies.values()]);

const samePlates = (a: GraphParts['plates'], b: GraphParts['plates']): boolean =>
  a.size === b.size &&
  [...a.keys()].every((id) => a.get(id) === b.get(id)) &&
  equal([...a.keys()], [...b.keys()]);

/** Whether supplies stand in the same order and open the same packs: the rest of them are prices. */
const sameSupplies = (a: readonly Supply[], b: readonly Supply[]): boolean =>
  a.every((s, i) => {
    const was = b[i] as Supply;
    return s === was || (s.ingredient.id === was.ingredient.id && equal(s.opens, was.opens));
  });

/** Nodes of one recipe: a stage for each point at which products part, those products, and what stays to the end. */
function* recipeNodes(
  id: string,
  { run }: RecipeCosting,
  layer: Layer,
  supplies: GraphParts['supplies'],
  weighed: (amounts: readonly Own[], per: number) => [number, number][],
  place: ReadonlyMap<string, number>,
): Generator<GraphNode> {
  const own = ownOf(run, layer, (id) => supplies.get(id)?.opens);
  const between = (after: number, to: number): Own[] => own.filter(({ row }) => row > after && row <= to);
  let before: [number, number][] = [];
  let done = -1;
  for (const [k, { row, parts }] of partingsOf(run.rows).entries()) {
    const key = `stage:${id}/${k}`;
    yield {
      // What there is to share at this point, credits off; each part then takes its share of that.
      key,
      from: [...before, ...weighed(between(done, row), 1)],
      gaps: gapsUpTo(run, parts),
      plus: layer === 'ingredients' ? -parts.reduce((sum, p) => sum + (p.credit ?? 0), 0) : 0,
      notBelow0: true,
    };
    const stage = place.get(key) as number;
    for (const p of parts)
      yield p.credit === undefined
        ? { key: productOf(id, p.name), from: [[stage, p.share / p.g]], gaps: 0 }
        : {
            key: productOf(id, p.name),
            from: [],
            gaps: 0,
            plus: layer === 'ingredients' ? p.credit / p.g : 0,
          };
    before = [[stage, 1 - parts.reduce((sum, p) => sum + p.share, 0)]];
    done = row;
  }
  const g = run.product?.g ?? 1;
  yield {
    key: productOf(id),
    from: [
      ...before.map(([at, w]): [number, number] => [at, w / g]),
      ...weighed(between(done, run.rows.length), g),
    ],
    gaps: run.unread.length + (run.product ? 0 : 1),
  };
}

const gapsUpTo = (run: PotRun, parts: Parting['parts']): number =>
  run.unread.filter((u) => u.step <= (parts[0]?.row ?? 0)).length;
