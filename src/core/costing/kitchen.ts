import type { Matter, PotRun, PotStep, ProcessConstants, Product } from '../pot';
import {
  inOrder,
  mergeTargets,
  withoutMerged,
  type KitchenFile,
  type WrittenPlate,
  type WrittenRecipe,
} from '../kitchen-file';
import type { Outcome } from '../trouble';
import { graphOf } from './build-graph';
import { cookAll, lastBatchesOf } from './cook-all';
import type { CostGraph } from './graph';
import { layerPrices, type Layer } from './layers';
import type { HistoryOf } from './prices';
import { matterOf, type Shelf } from './resolve';
import { shelfOf } from './shelf';
import { suppliesOn, type Supply } from './supplies';

export interface RecipeCosting {
  readonly recipe: WrittenRecipe;
  readonly steps: readonly PotStep[];
  readonly run: PotRun;
}

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
  readonly file: KitchenFile;
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
 * @param history what the past says of prices; the file's own unless given
 */
export function costKitchen(
  written: KitchenFile,
  day: string,
  constants: ProcessConstants,
  history?: HistoryOf,
): KitchenCosting {
  const file = withoutMerged(written);
  const supplies = suppliesOn(file, day, history);
  const byId = new Map(file.recipes.map((r) => [r.id, r]));
  const recipes = new Map<string, RecipeCosting>();
  const lefts = new Map<string, Product>();
  const shelf = shelfOf(file, day, recipes, byId, lefts);
  const order = inOrder(file.recipes).order;
  cookAll(file, order, constants, recipes, shelf, lefts);
  const plates = new Map(
    file.plates.map((plate) => [
      plate.id,
      {
        plate,
        lines: plate.lines.map((line) => ({
          written: line,
          resolved: matterOf(line.of, line.amount, shelf),
        })),
      },
    ]),
  );
  const parts = { supplies, order, recipes, plates, lastBatches: lastBatchesOf(recipes, lefts) };
  const graphs = new Map<Layer, CostGraph>();
  const layer = (name: Layer): CostGraph => {
    const made = graphs.get(name) ?? graphOf(name, parts);
    if (!graphs.has(name)) {
      graphs.set(name, made);
      made.set([...sourcePrices(supplies.values()), ...layerPrices(file)].filter(([key]) => made.has(key)));
    }
    return made;
  };
  const into = mergeTargets(written);
  const spellings = written.ingredients
    .filter((i) => i.mergedInto !== undefined)
    .map((i) => ({ id: into(i.id), name: i.name }));
  const graph = layer('ingredients');
  return { file, spellings, countsAs: into, day, shelf, supplies, recipes, plates, graph, layer };
}

/** Prices per gram of the sources, as the graph takes them. */
export function* sourcePrices(
  supplies: Iterable<
    Pick<Supply, 'usablePerKg' | 'trimPerKg'> & { readonly ingredient: { readonly id: string } }
  >,
): Generator<[string, number | null]> {
  for (const { ingredient, usablePerKg, trimPerKg } of supplies) {
    yield [`usable:${ingredient.id}`, usablePerKg === undefined ? null : usablePerKg / 1000];
    yield [`trim:${ingredient.id}`, trimPerKg === undefined ? null : trimPerKg / 1000];
  }
}
