import {
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
  type WrittenPlate,
  type WrittenRecipe,
} from '../kitchen-file';
import { fine, refuse, type Outcome, type Trouble } from '../trouble';
import { CostGraph, GraphError, type GraphNode } from './graph';
import { matterOf, resolveStep, supplyOf, type OnShelf, type Shelf } from './resolve';
import { chargeFactors } from './opened';
import { partingsOf } from './parting';
import type { HistoryOf } from './prices';
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
  readonly graph: CostGraph;
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
  const recipes = new Map<string, RecipeCosting>();
  const byId = new Map(file.recipes.map((r) => [r.id, r]));
  const shelf = shelfOf(file, day, recipes, byId);
  const order = inOrder(file.recipes).order;
  for (const id of order) {
    const recipe = byId.get(id) as WrittenRecipe;
    const pot = potOf(recipe, shelf);
    recipes.set(id, { recipe, steps: pot.steps, run: runPot(pot, constants) });
  }
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
  const graph = graphOf(supplies, order, recipes, plates);
  graph.set(sourcePrices(supplies.values()));
  const into = mergeTargets(written);
  const spellings = written.ingredients
    .filter((i) => i.mergedInto !== undefined)
    .map((i) => ({ id: into(i.id), name: i.name }));
  return { file, spellings, countsAs: into, day, shelf, supplies, recipes, plates, graph };
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
  };
}

function graphOf(
  supplies: ReadonlyMap<string, Supply>,
  order: readonly string[],
  recipes: ReadonlyMap<string, RecipeCosting>,
  plates: ReadonlyMap<string, PlateCosting>,
): CostGraph {
  const nodes: GraphNode[] = [];
  const place = new Map<string, number>();
  const put = (node: GraphNode): void => {
    place.set(node.key, nodes.length);
    nodes.push(node);
  };
  for (const id of supplies.keys()) {
    put({ key: `usable:${id}`, from: [], gaps: 0 });
    put({ key: `trim:${id}`, from: [], gaps: 0 });
  }
  const weighed = (amounts: readonly { supply: string; g: number }[], per: number): [number, number][] => {
    const sums = new Map<number, number>();
    for (const { supply, g } of amounts) {
      if (supply === 'free') continue;
      const at = place.get(supply);
      if (at === undefined) throw new GraphError(`${supply} is used before it is known`);
      sums.set(at, (sums.get(at) ?? 0) + g / per);
    }
    return [...sums].sort((a, b) => a[0] - b[0]);
  };
  for (const id of order) {
    const { run } = recipes.get(id) as RecipeCosting;
    const factors = chargeFactors(run.inputs, (key) => supplies.get(key)?.opens);
    const paid = run.inputs.map(({ supply, g }) => ({ supply, g: g * (factors.get(supply) ?? 1) }));
    let before: [number, number][] = [];
    let done = 0;
    for (const [k, { inputs, parts }] of partingsOf(run.rows).entries()) {
      const credits = parts.reduce((sum, p) => sum + (p.credit ?? 0), 0);
      // What there is to share at this point, credits off; each part then takes its share of that.
      put({
        key: `stage:${id}/${k}`,
        from: [...before, ...weighed(paid.slice(done, inputs), 1)],
        gaps: run.unread.filter((u) => u.step <= (parts[0]?.row ?? 0)).length,
        plus: -credits,
        notBelow0: true,
      });
      const stage = place.get(`stage:${id}/${k}`) as number;
      for (const p of parts)
        put(
          p.credit === undefined
            ? { key: `product:${id}#${p.name}`, from: [[stage, p.share / p.g]], gaps: 0 }
            : { key: `product:${id}#${p.name}`, from: [], gaps: 0, plus: p.credit / p.g },
        );
      before = [[stage, 1 - parts.reduce((sum, p) => sum + p.share, 0)]];
      done = inputs;
    }
    const g = run.product?.g ?? 1;
    put({
      key: `product:${id}`,
      from: [...before.map(([at, w]): [number, number] => [at, w / g]), ...weighed(paid.slice(done), g)],
      gaps: run.unread.length + (run.product ? 0 : 1),
    });
  }
  for (const [id, { lines }] of plates) {
    const known = lines.flatMap(({ resolved }) =>
      resolved.ok ? [{ supply: resolved.value.what.supply, g: resolved.value.g }] : [],
    );
    put({ key: `plate:${id}`, from: weighed(known, 1), gaps: lines.length - known.length });
  }
  return new CostGraph(nodes);
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
    } else if (kind === 'product') {
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
