import {
  inOrder,
  mannerIn,
  standingPlate,
  withUsualLoss,
  type KitchenFile,
  type WrittenPlate,
  type WrittenRecipe,
} from '../kitchen-file';
import {
  historyFrom,
  historyMerged,
  mergeTargets,
  ownConstants,
  stateFrom,
  withoutMerged,
  type History,
  type KitchenState,
} from '../kitchen-state';
import type { CostGraph } from '../graph';
import {
  graphAfter,
  graphChanges,
  graphOf,
  layerPrices,
  type GraphParts,
  type Layer,
  type PlateTakes,
} from '../layers';
import { sourcePrices } from '../knife';
import type { Matter, ProcessConstants, Product } from '../pot';
import { workSupplies, type KeptSupplies, type Supply } from '../prices';
import {
  cookAll,
  reuseIfEqual,
  lastBatchesOf,
  matterOn,
  areDependenciesSame,
  shelfOf,
  trackDependencies,
  type CachedMatter,
  type CachedPots,
  type Dependency,
  type RecipeCosting,
} from '../shelf';
import type { Outcome } from '../trouble';
import { matterOf, type Shelf } from '../verbs';
import { runToEnd, type Work } from '../work';
import { soldShare, portionsUsed } from './served';

export interface PlateLine {
  readonly written: WrittenPlate['lines'][number];
  /** What stands on the plate by what it says: one portion of it. */
  readonly resolved: Outcome<{ what: Matter; g: number }>;
  /** How many such portions one plate that is sold uses up (`portionsUsed`). */
  readonly times: number;
}

export interface PlateCosting {
  /** As it stands: a size of another plate with what it follows. */
  readonly plate: WrittenPlate;
  readonly lines: readonly PlateLine[];
}

/** A whole kitchen costed on a day: physics once, then a graph that answers every price. */
export interface KitchenCosting {
  /** What stands in the kitchen, other spellings followed. */
  readonly state: KitchenState;
  /** Other spellings of ingredients: what was merged, with the id of what it counts as. */
  readonly spellings: readonly { readonly id: string; readonly name: string }[];
  /** The ingredient that one counts as: itself, or what it was merged into. */
  readonly countsAs: (ingredientId: string) => string;
  readonly day: string;
  readonly shelf: Shelf;
  readonly supplies: ReadonlyMap<string, Supply>;
  readonly recipes: ReadonlyMap<string, RecipeCosting>;
  readonly plates: ReadonlyMap<string, PlateCosting>;
  /** Of the ingredients; of another layer by its name. */
  readonly graph: CostGraph;
  readonly layer: (layer: Layer) => CostGraph;
  readonly workings: Workings;
}

/** What a costing was worked out with, for the next one of the same kitchen: it begins where this one ended. */
export interface Workings {
  readonly written: readonly WrittenRecipe[];
  readonly matter: CachedMatter;
  readonly pots: CachedPots;
  readonly supplies: KeptSupplies;
  readonly plates: ReadonlyMap<string, KeptPlate>;
  readonly parts: GraphParts;
  readonly graphs: ReadonlyMap<Layer, CostGraph>;
}

interface KeptPlate {
  readonly costing: PlateCosting;
  readonly takes: PlateTakes;
  readonly looks: readonly Dependency[];
}

/**
 * Costs a kitchen with the prices and yields in force on `day`, today's recipes and plates.
 * @param past what the past says of prices on that day
 * @param before workings of an earlier costing: what has not changed since is taken over, and the result is the same
 */
export const costKitchen = (...of: Parameters<typeof costingKitchen>): KitchenCosting =>
  runToEnd(costingKitchen(...of));

/** The same a part at a time, none of them longer than a pot takes: for a server that has others to answer. */
export function* costingKitchen(
  written: KitchenState,
  day: string,
  shipped: ProcessConstants,
  past: History,
  before?: Workings,
): Work<KitchenCosting> {
  const state = withoutMerged(written);
  const constants = ownConstants(state.kitchen, shipped);
  const { supplies, kept } = yield* workSupplies(state, day, historyMerged(written, past), before?.supplies);
  yield;
  const recipes = new Map<string, RecipeCosting>();
  const lefts = new Map<string, Product>();
  const matter = matterOn(state, day, before?.matter);
  const shelf = shelfOf(matter, recipes, new Map(state.recipes.map((r) => [r.id, r])), lefts);
  const asBefore = before !== undefined && sameThings(state.recipes, before.written);
  const order = asBefore ? before.parts.order : inOrder(state.recipes).order;
  const cooking = { recipes: state.recipes, order, constants, shelf, cooked: recipes, lefts };
  yield;
  const pots = yield* cookAll({ ...cooking, before: before?.pots });
  const keptPlates = platesOn(state, shelf, before?.plates);
  yield;
  const plates = new Map([...keptPlates].map(([id, { costing }]) => [id, costing]));
  const parts = {
    supplies,
    order,
    recipes,
    plates: new Map([...keptPlates].map(([id, { takes }]) => [id, takes])),
    lastBatches: reuseIfEqual(lastBatchesOf(recipes, lefts), before?.parts.lastBatches),
  };
  yield;
  const { graphs, layer } = graphsOf(state, parts, before);
  const into = mergeTargets(written);
  const spellings = written.ingredients
    .filter((i) => i.mergedInto !== undefined)
    .map((i) => ({ id: into(i.id), name: i.name }));
  const graph = layer('ingredients');
  const workings = {
    written: state.recipes,
    matter,
    pots,
    supplies: kept,
    plates: keptPlates,
    parts,
    graphs,
  };
  return { state, spellings, countsAs: into, day, shelf, supplies, recipes, plates, graph, layer, workings };
}

/** The graph of each layer, made when it is first asked for: out of the one before while it has the same nodes. */
function graphsOf(state: KitchenState, parts: GraphParts, before: Workings | undefined) {
  const changes = before && graphChanges(parts, before.parts);
  const graphs = new Map<Layer, CostGraph>();
  const layer = (name: Layer): CostGraph => {
    const known = graphs.get(name);
    if (known) return known;
    const had = before?.graphs.get(name);
    const was = had && changes && graphAfter(name, parts, had, changes);
    const made = was ?? graphOf(name, parts);
    graphs.set(name, made);
    const moved = was
      ? [...parts.supplies.values()].filter((s) => s !== before?.parts.supplies.get(s.ingredient.id))
      : parts.supplies.values();
    made.set([...sourcePrices(moved), ...layerPrices(state)].filter(([key]) => made.has(key)));
    return made;
  };
  return { graphs, layer };
}

/** A whole kitchen file costed on a day, with the past that stands in it: as corrected since, or as it was known by an instant. */
export const costFile = (
  file: KitchenFile,
  day: string,
  constants: ProcessConstants,
  knownBy?: string,
): KitchenCosting => costKitchen(stateFrom(file), day, constants, historyFrom(file, day, knownBy));

const sameThings = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((x, i) => x === b[i]);

/** All plates as they stand, with their lines looked up. */
function platesOn(
  state: KitchenState,
  shelf: Shelf,
  before: ReadonlyMap<string, KeptPlate> | undefined,
): ReadonlyMap<string, KeptPlate> {
  const manner = mannerIn(state);
  const written = new Map(state.plates.map((p) => [p.id, p]));
  return new Map(
    state.plates.map((plate) => {
      const parent = plate.follows && written.get(plate.follows.plate);
      const stands = withUsualLoss(standingPlate(plate, parent, manner), state.kitchen.rules?.serviceLoss);
      const kept = plateOn(stands, shelf, before?.get(plate.id));
      // What it follows has been put away: nobody can say what stands on it.
      return [plate.id, plate.follows && !parent ? orphaned(kept) : kept];
    }),
  );
}

const orphaned = (kept: KeptPlate): KeptPlate => ({
  ...kept,
  takes: { ...kept.takes, takes: [...kept.takes.takes, undefined] },
});

/** A plate with its lines looked up; the one before while nothing it looked at is another. */
function plateOn(plate: WrittenPlate, on: Shelf, before: KeptPlate | undefined): KeptPlate {
  if (before?.costing.plate === plate && areDependenciesSame(before.looks, on)) return before;
  const { shelf, looks } = trackDependencies(on);
  const lines = plate.lines.map((line) => ({
    written: line,
    resolved: matterOf(line.of, line.amount, shelf),
    times: portionsUsed(line, plate),
  }));
  const { hands } = plate;
  const takes: PlateTakes = {
    takes: lines.map(takenOf),
    handsHours: hands ? hands.minutes / 60 / hands.plates / soldShare(plate) : 0,
  };
  return { costing: { plate, lines }, takes, looks };
}

const takenOf = ({ written, resolved, times }: PlateLine): PlateTakes['takes'][number] =>
  resolved.ok
    ? {
        supply: resolved.value.what.supply,
        g: resolved.value.g * times,
        ...(written.packaging ? { packs: true } : {}),
      }
    : undefined;
