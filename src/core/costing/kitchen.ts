import { inOrder, type KitchenFile, type WrittenPlate } from '../kitchen-file';
import {
  historyFrom,
  historyMerged,
  mergeTargets,
  stateFrom,
  withoutMerged,
  type History,
  type KitchenState,
} from '../kitchen-state';
import type { CostGraph } from '../graph';
import { graphOf, layerPrices, type Layer } from '../layers';
import { sourcePrices } from '../knife';
import type { Matter, ProcessConstants, Product } from '../pot';
import { suppliesOn, type Supply } from '../prices';
import { cookAll, lastBatchesOf, shelfOf, type RecipeCosting } from '../shelf';
import type { Outcome } from '../trouble';
import { matterOf, type Shelf } from '../verbs';

export interface PlateLine {
  readonly written: WrittenPlate['lines'][number];
  readonly resolved: Outcome<{ what: Matter; g: number }>;
}

export interface PlateCosting {
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
}

/**
 * Costs a kitchen with the prices and yields in force on `day`, today's recipes and plates.
 * @param past what the past says of prices on that day
 */
export function costKitchen(
  written: KitchenState,
  day: string,
  constants: ProcessConstants,
  past: History,
): KitchenCosting {
  const state = withoutMerged(written);
  const supplies = suppliesOn(state, day, historyMerged(written, past));
  const byId = new Map(state.recipes.map((r) => [r.id, r]));
  const recipes = new Map<string, RecipeCosting>();
  const lefts = new Map<string, Product>();
  const shelf = shelfOf(state, day, recipes, byId, lefts);
  const order = inOrder(state.recipes).order;
  cookAll(state, order, constants, recipes, shelf, lefts);
  const plates = new Map(state.plates.map((plate) => [plate.id, plateOn(plate, shelf)]));
  const lastBatches = lastBatchesOf(recipes, lefts);
  const taken = new Map([...plates].map(([id, plate]) => [id, { takes: plate.lines.map(takenOf) }]));
  const graphs = new Map<Layer, CostGraph>();
  const layer = (name: Layer): CostGraph => {
    const known = graphs.get(name);
    if (known) return known;
    const made = graphOf(name, { supplies, order, recipes, plates: taken, lastBatches });
    graphs.set(name, made);
    made.set([...sourcePrices(supplies.values()), ...layerPrices(state)].filter(([key]) => made.has(key)));
    return made;
  };
  const into = mergeTargets(written);
  const spellings = written.ingredients
    .filter((i) => i.mergedInto !== undefined)
    .map((i) => ({ id: into(i.id), name: i.name }));
  const graph = layer('ingredients');
  return { state, spellings, countsAs: into, day, shelf, supplies, recipes, plates, graph, layer };
}

/** A whole kitchen file costed on a day, with the past that stands in it: as corrected since, or as it was known by an instant. */
export const costFile = (
  file: KitchenFile,
  day: string,
  constants: ProcessConstants,
  knownBy?: string,
): KitchenCosting => costKitchen(stateFrom(file), day, constants, historyFrom(file, day, knownBy));

const plateOn = (plate: WrittenPlate, shelf: Shelf): PlateCosting => ({
  plate,
  lines: plate.lines.map((line) => ({ written: line, resolved: matterOf(line.of, line.amount, shelf) })),
});

const takenOf = ({ resolved }: PlateLine): { supply: string; g: number } | undefined =>
  resolved.ok ? { supply: resolved.value.what.supply, g: resolved.value.g } : undefined;
