import { DENSITY } from '../quantity';
import {
  noLiquid,
  runPot,
  type Matter,
  type Pot,
  type PotRun,
  type PotStep,
  type ProcessConstants,
  type Product,
} from '../pot';
import {
  hobOf,
  inOrder,
  mannerIn,
  mergeTargets,
  measuringDensity,
  ofStep,
  stuffOf,
  vesselOf,
  withoutMerged,
  type KitchenFile,
  type Of,
  type WrittenPlate,
  type WrittenRecipe,
} from '../kitchen-file';
import { fine, refuse, type Outcome, type Trouble } from '../trouble';
import { graphOf, type LastBatch } from './build-graph';
import { GraphError, type CostGraph } from './graph';
import { feedsItself, livesFromLast, overdrawn, settleBatches } from './last-batch';
import { layerPrices, type Layer } from './layers';
import type { HistoryOf } from './prices';
import { matterOf, partOf, resolveStep, supplyOf, type OnShelf, type Shelf } from './resolve';
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

/** Runs every pot, each after what it lives from, and those that take of a last batch until batch after batch is the same. */
function cookAll(
  file: KitchenFile,
  order: readonly string[],
  constants: ProcessConstants,
  recipes: Map<string, RecipeCosting>,
  shelf: Shelf,
  lefts: Map<string, Product>,
): void {
  const byId = new Map(file.recipes.map((r) => [r.id, r]));
  const cook = (id: string): void => {
    const recipe = byId.get(id) as WrittenRecipe;
    const pot = potOf(recipe, shelf);
    recipes.set(id, { recipe, steps: pot.steps, run: runPot(pot, constants) });
  };
  const again = livesFromLast(file.recipes, order);
  const keys = [...new Set(file.recipes.flatMap((r) => r.steps.flatMap((s) => lastKey(ofStep(s)) ?? [])))];
  for (const id of order) if (!again.includes(id)) cook(id);
  if (again.length === 0) return;
  // The first batch of all begins with water in the place of what is not there yet.
  for (const key of keys) lefts.set(key, WATER_INSTEAD);
  const rested = settleBatches((left, first) => {
    if (!first) lefts.clear();
    for (const [key, product] of left) lefts.set(key, product);
    for (const id of again) cook(id);
    return new Map(
      keys.flatMap((key) => {
        const [id = '', part] = key.split('#');
        const run = recipes.get(id)?.run;
        const product = part === undefined ? run?.product : jointOf(run, part);
        return product ? [[key, product] as const] : [];
      }),
    );
  });
  for (const id of again) {
    const costing = recipes.get(id) as RecipeCosting;
    const over = keys.flatMap((key) => {
      const [from = ''] = key.split('#');
      const left = lefts.get(key);
      const eats = left && overdrawn(costing.run, `last:${key}`, left.g);
      return eats && feedsItself(file.recipes, id, from) ? [eats] : [];
    });
    const restless = rested ? [] : [{ step: 0, trouble: RESTLESS }];
    if (over.length + restless.length > 0)
      recipes.set(id, {
        ...costing,
        run: { ...costing.run, unread: [...costing.run.unread, ...over, ...restless] },
      });
  }
}

const RESTLESS: Trouble = {
  code: 'does-not-settle',
  path: '',
  message: 'One batch goes into the next, but batch after batch never comes to be the same.',
};

const WATER_INSTEAD: Product = {
  liquid: { ...noLiquid(), water: 1000 },
  pieces: [],
  allergens: [],
  g: 1000,
  ml: 1000 / DENSITY.water,
};

const lastKey = (of: Of | undefined): string | undefined =>
  of && 'lastBatchOf' in of ? partOf(of.lastBatchOf, of.part) : undefined;

/** The last batches that recipes take of, with what each is worth. */
function lastBatchesOf(
  recipes: ReadonlyMap<string, RecipeCosting>,
  lefts: ReadonlyMap<string, Product>,
): LastBatch[] {
  const found = new Map<string, LastBatch>();
  for (const { recipe } of recipes.values())
    for (const step of recipe.steps) {
      const of = ofStep(step);
      const product = lefts.get(lastKey(of) ?? '');
      // One that cannot be made is an unread line, and asks for no price.
      if (!of || !('lastBatchOf' in of) || !product) continue;
      const key = supplyOf(of);
      found.set(key, {
        key,
        follows: `product:${partOf(of.lastBatchOf, of.part)}`,
        perG: of.perLitre === undefined ? undefined : (Number(of.perLitre) / 1000) * (product.ml / product.g),
      });
    }
  return [...found.values()];
}

/** A recipe as the pot runs it. Also for a recipe being written, on a costed kitchen's shelf. */
export function potOf(recipe: Pick<WrittenRecipe, 'vessel' | 'hob' | 'steps'>, shelf: Shelf): Pot {
  const vessel = shelf.vessel(recipe.vessel);
  const hob = shelf.hob(recipe.hob);
  if (!vessel || !hob)
    throw new GraphError('the recipe stands on a vessel or hob that the kitchen does not have');
  return { vessel, hob, steps: recipe.steps.map((step) => resolveStep(step, shelf)) };
}

/** A joint product of a run, by the name it parts under. */
export const jointOf = (run: PotRun | undefined, part: string): Product | undefined =>
  run?.rows.flatMap((row) => row.parted).find((j) => j.name === part)?.product;

function shelfOf(
  file: KitchenFile,
  day: string,
  recipes: ReadonlyMap<string, RecipeCosting>,
  written: ReadonlyMap<string, WrittenRecipe>,
  lefts: ReadonlyMap<string, Product>,
): Shelf {
  const stuffs = new Map<string, OnShelf>();
  for (const ingredient of file.ingredients) {
    const stuff = stuffOf(ingredient, day);
    if (stuff.ok)
      stuffs.set(ingredient.id, {
        stuff: stuff.value,
        densityGPerMl: measuringDensity(ingredient, stuff.value),
        eachG: ingredient.eachG,
        eachUnit: ingredient.eachUnit,
        pieceG: ingredient.pieceG,
      });
  }
  const vessels = new Map(file.vessels.map((v) => [v.id, vesselOf(v)]));
  const hobs = new Map(file.hobs.map((h) => [h.id, hobOf(h)]));
  return {
    manner: mannerIn(file),
    stuff: (id) => stuffs.get(id),
    vessel: (id) => vessels.get(id),
    hob: (id) => hobs.get(id),
    product(id, part) {
      const recipe = written.get(id)?.name ?? 'A recipe';
      const run = recipes.get(id)?.run;
      const name = part === undefined ? recipe : `${part} of ${recipe}`;
      const product = part === undefined ? run?.product : jointOf(run, part);
      return product
        ? fine({ name, product })
        : refuse(
            'no-product',
            'of',
            `${recipe} cannot be made yet, so ${part ?? 'nothing'} ${part === undefined ? 'can' : 'cannot'} be taken from it.`,
          );
    },
    lastBatch(id, part) {
      const recipe = written.get(id)?.name ?? 'a recipe';
      const product = lefts.get(partOf(id, part));
      return product
        ? fine({ name: `last batch of ${part === undefined ? recipe : `${part} of ${recipe}`}`, product })
        : refuse('no-product', 'of', `No batch of ${recipe} can be made yet, so none has left anything.`);
    },
  };
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

/** Why a cost is not whole: each gap it has or has inherited, a sentence each, once. */
export function gapsOf(costing: KitchenCosting, key: string): Trouble[] {
  const found = new Map<string, Trouble>();
  const seen = new Set<string>();
  const visit = (at: string): void => {
    if (seen.has(at) || at === 'free') return;
    seen.add(at);
    if (costing.graph.has(at) && costing.graph.cost(at) !== null) return;
    const [kind, id = ''] = at.split(':');
    const say = (t: Trouble, place: string) =>
      found.set(`${place}${t.path}${t.message}`, { ...t, path: place });
    if (kind === 'usable' || kind === 'trim') {
      const trouble = costing.supplies.get(id)?.trouble;
      if (trouble) say(trouble, at);
    } else if (kind === 'last') visit(`product:${id.split('@')[0] ?? ''}`);
    else if (kind === 'product') {
      const recipe = costing.recipes.get(id.split('#')[0] ?? '');
      if (!recipe) return;
      const { run } = recipe;
      for (const { step, trouble } of run.unread)
        say(
          { ...trouble, message: `${recipe.recipe.name}, step ${step + 1}: ${trouble.message}` },
          `${at}.steps[${step}]`,
        );
      if (run.refused)
        say(
          {
            ...run.refused.trouble,
            message: `${recipe.recipe.name}, step ${run.refused.step + 1}: ${run.refused.trouble.message}`,
          },
          `${at}.steps[${run.refused.step}]`,
        );
      else if (!run.product)
        say(
          refuse('no-product', '', `${recipe.recipe.name} has no steps yet that make anything.`).trouble,
          at,
        );
      for (const input of run.inputs) visit(input.supply);
      for (const step of recipe.recipe.steps) {
        const of = ofStep(step);
        if (of) visit(supplyOf(of));
      }
      // Everything has its cost, and still there is none: what parts takes more than there is.
      if (found.size === 0)
        say(
          refuse(
            'credit-over-cost',
            '',
            `${recipe.recipe.name}: what parts from it is credited with more than it all has cost up to there. Lower a set value.`,
          ).trouble,
          at,
        );
    } else {
      for (const [i, line] of (costing.plates.get(id)?.lines ?? []).entries()) {
        if (!line.resolved.ok) say(line.resolved.trouble, `${at}.lines[${i}]`);
        visit(supplyOf(line.written.of));
      }
    }
  };
  visit(key);
  return [...found.values()];
}
