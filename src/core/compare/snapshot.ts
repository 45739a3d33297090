import type { KitchenCosting } from '../costing';
import { inOrder, lastBatchesIn, usesOf, type WrittenRecipe } from '../kitchen-file';
import type { KitchenState } from '../kitchen-state';
import { mostUsable, pricesAt, type Source } from '../knife';
import type { OpenPack } from '../larder';
import { costsThrough, energyKey, LABOUR, type Layer } from '../layers';
import { FUELS, type Hob, type PotRun, type ProcessConstants, type Product, type Vessel } from '../pot';
import { sourceOf } from '../prices';
import type { Manner } from '../quantity';
import { jointOf, potOf } from '../shelf';
import { keysOf, productOf } from '../supply';
import { fine, refuse } from '../trouble';
import { ofStep, runPot, runPotFrom, supplyOf, type OnShelf, type PotTrace, type Shelf } from '../verbs';
import * as texts from './texts';

/** What things cost in each layer, and which packs are opened for them: of what is bought, and of last batches. */
export interface LayerPrices {
  readonly layers: Readonly<Record<Layer, readonly (readonly [string, number | null])[]>>;
  readonly opens: readonly (readonly [string, OpenPack])[];
  /** What is bought, so that it can be priced otherwise. */
  readonly sources: readonly Source[];
}

/** One of several ways: the sheets that are otherwise in it, and the prices it is costed at. */
export interface Way {
  readonly name: string;
  readonly recipes: readonly WrittenRecipe[];
  /** The recipe whose product is judged. */
  readonly product: string;
  /** Place in `Apart.prices`. */
  readonly prices: number;
  /** Hours of hands at the bench that it takes beside those of its steps. */
  readonly benchHours?: number | undefined;
  /** Times the product is made: what the others make in one pot is made in so many. */
  readonly batches?: number | undefined;
}

/**
 * Some pots with all they are made from, taken out of their kitchen: plain data, enough to cook and cost them again and again, in a
 * browser too. What last batches left is taken as it is in the kitchen, so that nothing has to come to rest.
 */
export interface Snapshot {
  readonly recipes: readonly WrittenRecipe[];
  readonly manner: Manner;
  readonly stuffs: readonly (readonly [string, OnShelf])[];
  readonly vessels: readonly (readonly [string, Vessel])[];
  readonly hobs: readonly (readonly [string, Hob])[];
  readonly lasts: readonly (readonly [string, { readonly name: string; readonly product: Product }])[];
  readonly prices: readonly LayerPrices[];
  readonly kitchen: Pick<KitchenState['kitchen'], 'hands' | 'sharedHands' | 'rules'>;
}

/** Recipes that some are made from, themselves among them, each after what it is made from. */
function closure(recipes: ReadonlyMap<string, WrittenRecipe>, of: readonly string[]): WrittenRecipe[] {
  const found = new Map<string, WrittenRecipe>();
  const queue = [...of];
  for (let at = queue.pop(); at !== undefined; at = queue.pop()) {
    const recipe = recipes.get(at);
    if (!recipe || found.has(at)) continue;
    found.set(at, recipe);
    queue.push(...usesOf(recipe));
  }
  return inOrder([...found.values()]).order.flatMap((id) => found.get(id) ?? []);
}

/** The recipes of a way, those it changes changed, each after what it is made from: only what its product is made from. */
export function recipesOf(
  apart: Pick<Snapshot, 'recipes'>,
  way: Pick<Way, 'recipes' | 'product'>,
): WrittenRecipe[] {
  const all = new Map(apart.recipes.map((r) => [r.id, r]));
  for (const r of way.recipes) all.set(r.id, r);
  return closure(all, [way.product]);
}

/**
 * Takes what some ways reach out of a kitchen.
 * @param costings the kitchen, and what it would be for ways that are costed at other prices, by `Way.prices`
 */
export function snapshotOf(
  costings: readonly [KitchenCosting, ...KitchenCosting[]],
  ways: readonly Way[],
): Snapshot {
  const [costing] = costings;
  const byId = new Map(costing.state.recipes.map((r) => [r.id, r]));
  const recipes = new Map<string, WrittenRecipe>();
  for (const way of ways)
    for (const r of recipesOf({ recipes: costing.state.recipes }, way))
      recipes.set(r.id, byId.get(r.id) ?? r);
  const written = [...recipes.values(), ...ways.flatMap((w) => w.recipes)];
  const ingredients = new Set<string>();
  for (const r of written)
    for (const step of r.steps) {
      const of = ofStep(step);
      if (of && 'ingredient' in of) ingredients.add(of.ingredient);
      if (of && 'stockTrimOf' in of) ingredients.add(of.stockTrimOf);
    }
  const { hands, sharedHands, rules } = costing.state.kitchen;
  const lasts = new Map(written.flatMap((r) => lastsOf(r, costing)));
  return {
    recipes: [...recipes.values()],
    manner: costing.shelf.manner,
    stuffs: [...ingredients].flatMap((id) => found(id, costing.shelf.stuff(id))),
    vessels: costing.state.vessels.flatMap((v) => found(v.id, costing.shelf.vessel(v.id))),
    hobs: costing.state.hobs.flatMap((h) => found(h.id, costing.shelf.hob(h.id))),
    lasts: [...lasts.values()].map(({ key, name, product }) => [key, { name, product }] as const),
    prices: costings.map((c) => pricesOf(c, ingredients, [...lasts.keys()])),
    kitchen: { hands, sharedHands, rules },
  };
}

const found = <T>(id: string, thing: T | undefined): (readonly [string, T])[] =>
  thing === undefined ? [] : [[id, thing]];

/** What last batches a recipe takes left, by what their price is looked up by. */
function lastsOf(recipe: WrittenRecipe, costing: KitchenCosting) {
  const ids = new Set(lastBatchesIn(recipe));
  return recipe.steps.flatMap((step) => {
    const of = ofStep(step);
    if (!of || !('lastBatchOf' in of) || !ids.has(of.lastBatchOf)) return [];
    const left = costing.shelf.lastBatch(of.lastBatchOf, of.part);
    return left.ok
      ? [
          [
            supplyOf(of) as string,
            { key: productOf(of.lastBatchOf, of.part) as string, ...left.value },
          ] as const,
        ]
      : [];
  });
}

function pricesOf(
  costing: KitchenCosting,
  ingredients: ReadonlySet<string>,
  lasts: readonly string[],
): LayerPrices {
  const bought = [...ingredients].flatMap((id) => [...keysOf({ id })] as string[]);
  const beside = [...FUELS.map(energyKey), LABOUR] as string[];
  const of = (layer: Layer) => {
    const graph = costing.layer(layer);
    return [...bought, ...beside, ...lasts]
      .filter((key) => graph.has(key))
      .map((key) => [key, graph.cost(key)] as const);
  };
  return {
    layers: byLayer(of),
    opens: [...ingredients].flatMap((id) => found(id, costing.supplies.get(id)?.opens)),
    sources: [...ingredients].flatMap((id) => {
      const supply = costing.supplies.get(id);
      return supply ? [sourceOf(supply)] : [];
    }),
  };
}

/** A way cooked: every pot of it, and what everything made in it costs in each layer, currency a g. */
export interface CookedWay {
  readonly runs: ReadonlyMap<string, PotRun>;
  readonly costs: Readonly<Record<Layer, ReadonlyMap<string, number | null>>>;
}

/** What is otherwise in one cooking of pots taken apart: what is drawn. */
export interface Overrides {
  readonly stuff?: ((id: string) => OnShelf | undefined) | undefined;
  readonly hob?: ((hob: Hob) => Hob) | undefined;
  readonly vessel?: ((vessel: Vessel) => Vessel) | undefined;
  /** Of what is bought, by its id. */
  readonly bought?: ReadonlyMap<string, PurchaseOverride> | undefined;
}

/** Something bought otherwise: what its price as purchased is multiplied with, and which share of it is usable. */
export interface PurchaseOverride {
  readonly times?: number | undefined;
  readonly usable?: number | undefined;
}

/** Refusals of what need not be done any more: it is salt, thick, thin, full or cold enough, or stands where it was to be reduced to. */
const DONE_ALREADY = new Set([
  'already-saltier',
  'already-there',
  'already-thicker',
  'already-looser',
  'already-higher',
  'already-colder',
]);

/**
 * A sheet as it would be cooked: what turns out salt or thick enough already is not seasoned or reduced, however a draw or another base
 * made it so.
 */
function cookedAs(recipe: WrittenRecipe, shelf: Shelf, c: ProcessConstants, also?: Together): PotRun {
  let pot = potOf(recipe, shelf);
  const cook = (): PotRun => {
    if (!also?.again.has(recipe.id)) return runPot(pot, c);
    const trace = runPotFrom(pot, c, also.traces.get(recipe.id));
    also.traces.set(recipe.id, trace);
    return trace.run;
  };
  for (;;) {
    const run = cook();
    if (!run.refused || !DONE_ALREADY.has(run.refused.trouble.code)) return run;
    const { step } = run.refused;
    pot = { ...pot, steps: pot.steps.map((s, i) => (i === step ? LEFT_OUT : s)) };
  }
}
const LEFT_OUT = { do: 'left out' } as const;

/** So much of every layer. */
export const byLayer = <T>(of: (layer: Layer) => T): Readonly<Record<Layer, T>> => ({
  ingredients: of('ingredients'),
  packaging: of('packaging'),
  energy: of('energy'),
  hands: of('hands'),
});

/** What ways that are cooked together share: pots that stand alike in several, and lines that sheets have in common. */
export interface Together {
  readonly runs: Map<WrittenRecipe, PotRun>;
  /** Ids of sheets that stand otherwise in more than one way: another goes on from the lines it has in common with the last. */
  readonly again: ReadonlySet<string>;
  readonly traces: Map<string, PotTrace>;
}

export function together(ways: readonly Way[]): Together {
  const times = new Map<string, number>();
  for (const way of ways) for (const { id } of way.recipes) times.set(id, (times.get(id) ?? 0) + 1);
  const again = new Set([...times].flatMap(([id, n]) => (n > 1 ? [id] : [])));
  return { runs: new Map(), again, traces: new Map() };
}

/** Pots taken apart, with their things looked up once. */
export class SnapshotPots {
  private readonly stuffs: ReadonlyMap<string, OnShelf>;
  private readonly vessels: ReadonlyMap<string, Vessel>;
  private readonly hobs: ReadonlyMap<string, Hob>;
  private readonly lasts: ReadonlyMap<string, { readonly name: string; readonly product: Product }>;
  private readonly prices: readonly {
    readonly layers: Readonly<Record<Layer, ReadonlyMap<string, number | null>>>;
    readonly opens: ReadonlyMap<string, OpenPack>;
    readonly sources: ReadonlyMap<string, Source>;
  }[];
  private readonly orders = new Map<Way, readonly WrittenRecipe[]>();

  constructor(readonly apart: Snapshot) {
    this.stuffs = new Map(apart.stuffs);
    this.vessels = new Map(apart.vessels);
    this.hobs = new Map(apart.hobs);
    this.lasts = new Map(apart.lasts);
    this.prices = apart.prices.map(({ layers, opens, sources }) => ({
      layers: byLayer((l) => new Map(layers[l])),
      opens: new Map(opens),
      sources: new Map(sources.map((s) => [s.id, s])),
    }));
  }

  private shelfFor(
    runs: ReadonlyMap<string, PotRun>,
    names: ReadonlyMap<string, string>,
    other: Overrides,
  ): Shelf {
    return {
      manner: this.apart.manner,
      stuff: (id) => other.stuff?.(id) ?? this.stuffs.get(id),
      vessel: (id) => {
        const vessel = this.vessels.get(id);
        return vessel && other.vessel ? other.vessel(vessel) : vessel;
      },
      hob: (id) => {
        const hob = this.hobs.get(id);
        return hob && other.hob ? other.hob(hob) : hob;
      },
      product: (id, part) => {
        const run = runs.get(id);
        const product = part === undefined ? run?.product : jointOf(run, part);
        const name = names.get(id) ?? 'A pot';
        return product
          ? fine({ name: part === undefined ? name : `${part} of ${name}`, product })
          : refuse('no-product', 'of', texts.cannotMadeNothingCan(name));
      },
      lastBatch: (id, part) => {
        const left = this.lasts.get(productOf(id, part));
        return left ? fine(left) : refuse('no-product', 'of', texts.noBatchCanMade);
      },
    };
  }

  /**
   * Cooks a way and costs it.
   * @param also what it shares with other ways of the same draw
   */
  cook(way: Way, c: ProcessConstants, other: Overrides = {}, also?: Together): CookedWay {
    const order = this.orders.get(way) ?? recipesOf(this.apart, way);
    this.orders.set(way, order);
    const runs = new Map<string, PotRun>();
    const shelf = this.shelfFor(runs, new Map(order.map((r) => [r.id, r.name])), other);
    const own = new Set<string>();
    const changed = new Set(way.recipes);
    for (const recipe of order) {
      const isOwn = changed.has(recipe) || usesOf(recipe).some((id) => own.has(id));
      if (isOwn) own.add(recipe.id);
      const known = isOwn ? undefined : also?.runs.get(recipe);
      const run = known ?? cookedAs(recipe, shelf, c, also);
      if (!isOwn) also?.runs.set(recipe, run);
      runs.set(recipe.id, run);
    }
    return { runs, costs: this.costs(way, runs, other.bought) };
  }

  /** What pots that have been cooked cost, where things may be bought otherwise: nothing is cooked for that. */
  costs(
    way: Way,
    runs: ReadonlyMap<string, PotRun>,
    bought: ReadonlyMap<string, PurchaseOverride> = new Map(),
  ): CookedWay['costs'] {
    const { layers, opens, sources } = this.prices[way.prices] as (typeof this.prices)[number];
    const otherwise = new Map(
      [...bought].flatMap(([id, { times = 1, usable }]) => {
        const source = sources.get(id);
        return source
          ? pricesAt(source, times, usable === undefined ? undefined : Math.min(usable, mostUsable(source)))
          : [];
      }),
    );
    const price = (layer: Layer) => (key: string) =>
      (layer === 'ingredients' && otherwise.has(key) ? otherwise.get(key) : layers[layer].get(key)) ?? null;
    return byLayer((l) => costsThrough(runs, l, price(l), (id) => opens.get(id)));
  }

  /** What a g, kWh or hour of anything in a cooked way costs. */
  pricesOf(way: Way, { costs }: CookedWay): (layer: Layer) => (key: string) => number | null {
    const prices = this.prices[way.prices]?.layers;
    return (layer) => (key) => {
      const made = costs[layer].get(key);
      return made === undefined ? (prices?.[layer].get(key) ?? null) : made;
    };
  }

  opensIn(way: Way): (id: string) => OpenPack | undefined {
    return (id) => this.prices[way.prices]?.opens.get(id);
  }

  /** What an hour of hands costs; null where nobody has said. */
  wage(way: Way): number | null {
    return this.prices[way.prices]?.layers.hands.get(LABOUR) ?? null;
  }
}
