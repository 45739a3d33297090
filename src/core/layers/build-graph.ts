import equal from 'fast-deep-equal/es6/index.js';
import { FUELS, type PotRun } from '../pot';
import { CostGraph, GraphError, type GraphNode } from '../graph';
import type { OpenPack } from '../larder';
import type { Supply } from '../prices';
import type { LastBatch, RecipeCosting } from '../shelf';
import { isMade, keysOf, productOf } from '../supply';
import { ownCostOf, type OwnCost } from './layer-money';
import { energyKey, LABOUR, type Layer } from './layers';
import { partingsOf, type Parting } from './parting';

/** What a plate is put together of. */
export interface PlateTakes {
  /** A supply and its grams, line by line, and whether it is packaging; undefined for one that could not be looked up. */
  readonly takes: readonly (
    { readonly supply: string; readonly g: number; readonly packs?: boolean } | undefined
  )[];
  /** Hours of hands that one plate takes. */
  readonly handsHours: number;
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
    for (const { ingredient } of parts.supplies.values())
      for (const key of keysOf(ingredient)) put({ key, from: [], gaps: 0 });
  if (layer === 'energy') for (const fuel of FUELS) put({ key: energyKey(fuel), from: [], gaps: 0 });
  if (layer === 'hands') put({ key: LABOUR, from: [], gaps: 0 });
  for (const { key, follows, perG } of parts.lastBatches)
    put(
      perG === undefined
        ? { key, from: [], gaps: 0, follows }
        : { key, from: [], gaps: 0, plus: layer === 'ingredients' ? perG : 0 },
    );
  const at = (key: string): number => {
    const found = place.get(key);
    if (found === undefined) throw new GraphError(`${key} is used before it is known`);
    return found;
  };
  for (const id of parts.order) for (const node of recipeNodes(id, layer, parts, at)) put(node);
  for (const [id, plate] of parts.plates) put(plateNode(id, plate, layer, at));
  return new CostGraph(nodes, place);
}

/** Where a node stands, by its key. */
type At = (key: string) => number;

const placed = (weights: Weights, at: At): [number, number][] =>
  weights.map(([key, w]): [number, number] => [at(key), w]).sort((x, y) => x[0] - y[0]);

function* recipeNodes(id: string, layer: Layer, parts: GraphParts, at: At): Generator<GraphNode> {
  const opensOf = (of: string): OpenPack | undefined => parts.supplies.get(of)?.opens;
  const { run } = parts.recipes.get(id) as RecipeCosting;
  for (const { before, own, ...node } of draftsOf(id, run, layer, opensOf))
    yield { ...node, from: [...placed(before, at), ...placed(own, at)] };
}

function plateNode(id: string, { takes, handsHours }: PlateTakes, layer: Layer, at: At): GraphNode {
  const known = takes.flatMap((line) => line ?? []);
  // Of the layers beside the ingredients a plate has what is made brings along, and what it adds itself.
  const own = known.filter(({ supply, packs = false }) =>
    packs ? layer === 'packaging' : layer === 'ingredients' || isMade(supply),
  );
  const hands = layer === 'hands' && handsHours > 0 ? [{ supply: LABOUR, g: handsHours, row: 0 }] : [];
  const from = placed(weighed([...own.map((o) => ({ ...o, row: 0 })), ...hands], 1), at);
  return { key: `plate:${id}`, from, gaps: takes.length - known.length };
}

/** What has changed between two kitchens whose graphs have the same nodes: what those are the sum of may be another. */
export interface GraphChanges {
  readonly recipes: readonly string[];
  readonly plates: readonly string[];
}

/** What has changed in what graphs are made of; undefined where other nodes stand there, or in another order. */
export function graphChanges(now: GraphParts, was: GraphParts): GraphChanges | undefined {
  const sameShell =
    (now.order === was.order || equal(now.order, was.order)) &&
    equal(now.lastBatches, was.lastBatches) &&
    sameKeys(now.plates, was.plates) &&
    sameSupplies(now.supplies, was.supplies);
  if (!sameShell) return undefined;
  const recipes = now.order.filter((id) => now.recipes.get(id)?.run !== was.recipes.get(id)?.run);
  const runOf = (of: GraphParts, id: string): PotRun => (of.recipes.get(id) as RecipeCosting).run;
  const sameParts = recipes.every((id) =>
    equal(partingsOf(runOf(now, id).rows).map(partNames), partingsOf(runOf(was, id).rows).map(partNames)),
  );
  if (!sameParts) return undefined;
  return {
    recipes,
    plates: [...now.plates.keys()].filter((id) => now.plates.get(id) !== was.plates.get(id)),
  };
}

const partNames = ({ parts }: Parting): string[] => parts.map((p) => p.name);

/** The graph of a layer out of the one before it: only what has changed is laid again. */
export function graphAfter(
  layer: Layer,
  parts: GraphParts,
  before: CostGraph,
  { recipes, plates }: GraphChanges,
): CostGraph {
  const at = (key: string): number => before.placeOf(key);
  return before.with([
    ...recipes.flatMap((id) => [...recipeNodes(id, layer, parts, at)]),
    ...plates.map((id) => plateNode(id, parts.plates.get(id) as PlateTakes, layer, at)),
  ]);
}

const sameKeys = (a: GraphParts['plates'], b: GraphParts['plates']): boolean =>
  a.size === b.size && equal([...a.keys()], [...b.keys()]);

/** Whether supplies stand in the same order and open the same packs: the rest of them are prices. */
function sameSupplies(a: GraphParts['supplies'], b: GraphParts['supplies']): boolean {
  if (a === b) return true;
  if (a.size !== b.size) return false;
  const before = b.values();
  for (const now of a.values()) {
    const was = before.next().value as Supply;
    if (now !== was && (now.ingredient.id !== was.ingredient.id || !equal(now.opens, was.opens)))
      return false;
  }
  return true;
}

/** So much of each key, none of them twice. */
type Weights = readonly (readonly [string, number])[];

function weighed(amounts: readonly OwnCost[], per: number): Weights {
  const sums = new Map<string, number>();
  for (const { supply, g } of amounts)
    if (supply !== 'free') sums.set(supply, (sums.get(supply) ?? 0) + g / per);
  return [...sums];
}

/** A node of a recipe by keys instead of places: the same in whatever graph it comes to stand. */
interface Draft extends Omit<GraphNode, 'from'> {
  /** What there was at the stage before. */
  readonly before: Weights;
  readonly own: Weights;
}

/** What was drafted for a run, and the packs that it opens: another run is another object, another pack another draft. */
interface Drafted {
  readonly opens: readonly (readonly [string, OpenPack | undefined])[];
  readonly drafts: readonly Draft[];
}
const drafted = new WeakMap<PotRun, Map<Layer, Drafted>>();

/** The nodes of one recipe in a layer, worked out once for each run of its pot. */
function draftsOf(
  id: string,
  run: PotRun,
  layer: Layer,
  opensOf: (id: string) => OpenPack | undefined,
): readonly Draft[] {
  const known = drafted.get(run) ?? new Map<Layer, Drafted>();
  drafted.set(run, known);
  const was = known.get(layer);
  if (was?.opens.every(([of, pack]) => samePack(pack, opensOf(of)))) return was.drafts;
  const opens = new Map<string, OpenPack | undefined>();
  const drafts = [
    ...recipeDrafts(id, run, layer, (of) => {
      const pack = opensOf(of);
      opens.set(of, pack);
      return pack;
    }),
  ];
  known.set(layer, { opens: [...opens], drafts });
  return drafts;
}

const samePack = (a: OpenPack | undefined, b: OpenPack | undefined): boolean => a === b || equal(a, b);

/** Nodes of one recipe: a stage for each point at which products part, those products, and what stays to the end. */
function* recipeDrafts(
  id: string,
  run: PotRun,
  layer: Layer,
  opensOf: (id: string) => OpenPack | undefined,
): Generator<Draft> {
  const own = ownCostOf(run, layer, opensOf);
  const between = (after: number, to: number): OwnCost[] => own.filter(({ row }) => row > after && row <= to);
  let before: Weights = [];
  let done = -1;
  for (const [k, { row, parts }] of partingsOf(run.rows).entries()) {
    const stage = `stage:${id}/${k}`;
    yield {
      // What there is to share at this point, credits off; each part then takes its share of that.
      key: stage,
      before,
      own: weighed(between(done, row), 1),
      gaps: gapsUpTo(run, parts),
      plus: layer === 'ingredients' ? -parts.reduce((sum, p) => sum + (p.credit ?? 0), 0) : 0,
      notBelow0: true,
    };
    for (const p of parts)
      yield p.credit === undefined
        ? { key: productOf(id, p.name), before: [[stage, p.share / p.g]], own: [], gaps: 0 }
        : {
            key: productOf(id, p.name),
            before: [],
            own: [],
            gaps: 0,
            plus: layer === 'ingredients' ? p.credit / p.g : 0,
          };
    before = [[stage, 1 - parts.reduce((sum, p) => sum + p.share, 0)]];
    done = row;
  }
  const g = run.product?.g ?? 1;
  yield {
    key: productOf(id),
    before: before.map(([stage, w]) => [stage, w / g] as const),
    own: weighed(between(done, run.rows.length), g),
    gaps: run.unread.length + (run.product ? 0 : 1),
  };
}

const gapsUpTo = (run: PotRun, parts: Parting['parts']): number =>
  run.unread.filter((u) => u.step <= (parts[0]?.row ?? 0)).length;

/**
 * What is made of some pots costs in a layer, without a graph: for pots that are run again and again, each time otherwise.
 * @param runs each after what it is made from
 * @param price of a source or of what was made elsewhere: currency a g, kWh or hour; null where it is not known
 * @returns currency a g of every product and stage, null where something it is made from is not known
 */
export function costsThrough(
  runs: Iterable<readonly [string, PotRun]>,
  layer: Layer,
  price: (key: string) => number | null,
  opensOf: (id: string) => OpenPack | undefined,
): Map<string, number | null> {
  const costs = new Map<string, number | null>();
  const costOf = (key: string): number | null => {
    const made = costs.get(key);
    return made === undefined ? price(key) : made;
  };
  for (const [id, run] of runs)
    for (const { key, before, own, gaps, plus = 0, notBelow0 } of recipeDrafts(id, run, layer, opensOf)) {
      let sum: number | null = gaps > 0 ? null : plus;
      for (const [of, w] of [...before, ...own]) {
        const cost = costOf(of);
        sum = sum === null || cost === null ? null : sum + w * cost;
      }
      costs.set(key, sum !== null && notBelow0 ? Math.max(0, sum) : sum);
    }
  return costs;
}
