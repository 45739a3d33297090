import 'server-only';
import { notFound } from 'next/navigation';
import { costOfProduct, gapsOf, type KitchenCosting } from '@/core/costing';
import type { Layer } from '@/core/layers';
import { beforeTheKnife, isGuess, standsOn, type StandsOn } from '@/core/prices';
import { jointOf } from '@/core/shelf';
import type { OnShelf } from '@/core/verbs';
import {
  lastBatchesIn,
  loopSentence,
  namesIn,
  partsOf,
  usesOf,
  type WrittenRecipe,
} from '@/core/kitchen-file';
import type { OpenPack } from '@/core/larder';
import type { Hob, ProcessConstants, Product, Vessel } from '@/core/pot';
import type { DecimalMark, HouseMeasure } from '@/core/quantity';
import { CONSTANTS } from '@/core/reference';
import type { Names } from '@/core/said';
import { sheetPast, type SheetPast } from '@/db/recipe-versions';
import { database } from '@/server/database';
import { costedKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { usedBy } from '@/server/used-by';

/** One pot in the list. Litres made, money in currency, hours on the hob. */
export interface PotSummary {
  readonly id: string;
  readonly name: string;
  readonly note?: string | undefined;
  readonly vessel: string;
  readonly steps: number;
  readonly ml: number;
  readonly mostMl: number;
  readonly hobHours: number;
  readonly perL: number | null;
  readonly gaps: readonly string[];
  readonly from: readonly string[];
}

export async function pots(who: Worker): Promise<PotSummary[]> {
  const { costing } = await costedKitchen(who.kitchenId);
  const names = new Map(costing.state.recipes.map((r) => [r.id, r.name]));
  const vessels = new Map(costing.state.vessels.map((v) => [v.id, v.name]));
  return costing.state.recipes.map((r) => {
    const rows = costing.recipes.get(r.id)?.run.rows ?? [];
    const { ml, perL } = costOfProduct(costing, r.id);
    return {
      id: r.id,
      name: r.name,
      note: r.note,
      vessel: vessels.get(r.vessel) ?? '',
      steps: r.steps.length,
      ml,
      mostMl: Math.max(ml, ...rows.map((row) => row.ml)),
      hobHours: rows[rows.length - 1]?.hobHours ?? 0,
      perL,
      gaps: gapsOf(costing, `product:${r.id}`).map((t) => t.message),
      from: [
        ...new Set(usesOf(r).map((id) => names.get(id) ?? '')),
        ...new Set(lastBatchesIn(r).map((id) => `the last ${names.get(id) ?? ''}`)),
      ],
    };
  });
}

export type ExtraLayer = Exclude<Layer, 'ingredients'>;

/** Everything a pot sheet needs to answer by itself while it is typed in. */
export interface PotSheetData {
  readonly recipe: WrittenRecipe;
  readonly version: number;
  readonly past: SheetPast;
  readonly mayEdit: boolean;
  readonly mark: DecimalMark;
  readonly measures: readonly HouseMeasure[];
  /** What is opened when some of an ingredient is needed, by its id. */
  readonly opens: readonly (readonly [string, OpenPack])[];
  readonly names: Names;
  readonly stuffs: readonly (readonly [string, OnShelf])[];
  readonly products: readonly {
    readonly id: string;
    readonly name: string;
    readonly product?: Product | undefined;
    /** What its last batch left: there is one however the recipes loop. */
    readonly last?: Product | undefined;
    /** What parts from it, by name. */
    readonly parts: readonly { readonly part: string; readonly product: Product }[];
    readonly trouble?: string | undefined;
    readonly loops: boolean;
  }[];
  readonly vessels: readonly Vessel[];
  readonly hobs: readonly Hob[];
  readonly constants: ProcessConstants;
  /** Currency per gram of every supply; null where it is not known. */
  readonly prices: readonly (readonly [string, number | null])[];
  /** What the layers beside the ingredients cost: currency per gram, kWh or hour of each supply, null where it is not known. */
  readonly layers: Readonly<Record<ExtraLayer, readonly (readonly [string, number | null])[]>>;
  /** As-purchased currency per gram, for what was paid for but cut off. */
  readonly asPurchased: readonly (readonly [string, number])[];
  readonly estimates: readonly string[];
  /** Of every ingredient: the numbers it is reckoned with, and whether they were measured. */
  readonly standsOn: readonly StandsOn[];
  readonly usedBy: readonly { readonly name: string; readonly href: string }[];
}

export async function potSheet(who: Worker, id: string): Promise<PotSheetData> {
  const { costing, versions } = await costedKitchen(who.kitchenId);
  const { state, shelf, supplies, graph } = costing;
  const recipe = state.recipes.find((r) => r.id === id);
  if (!recipe) notFound();
  const named = (list: readonly { id: string; name: string }[]) =>
    list.map((x) => ({ id: x.id, name: x.name }));
  return {
    recipe,
    version: versions.recipes.get(id) ?? 1,
    past: await sheetPast(database(), who.kitchenId, id),
    mayEdit: may(who.role, 'manager'),
    mark: state.kitchen.decimalMark,
    measures: state.measures,
    opens: [...supplies].flatMap(([at, s]) => (s.opens ? [[at, s.opens] as const] : [])),
    names: {
      ...namesIn(state),
      // An old spelling is still understood; what is written back is the one it counts as.
      ingredients: [...named(state.ingredients), ...costing.spellings],
      recipes: named(state.recipes),
    },
    stuffs: state.ingredients.flatMap((i) => {
      const found = shelf.stuff(i.id);
      return found ? [[i.id, found] as const] : [];
    }),
    products: productsFor(costing, livesFrom(costing, id)),
    vessels: state.vessels.flatMap((v) => shelf.vessel(v.id) ?? []),
    hobs: state.hobs.flatMap((h) => shelf.hob(h.id) ?? []),
    constants: CONSTANTS,
    prices: graph.nodes
      .filter((n) => !n.key.startsWith('plate:'))
      .map((n) => [n.key, graph.cost(n.key)] as const),
    layers: {
      packaging: layerPrices(costing, 'packaging'),
      energy: layerPrices(costing, 'energy'),
      hands: layerPrices(costing, 'hands'),
    },
    asPurchased: [...supplies.values()].flatMap((s) => {
      const perKg = beforeTheKnife(s);
      return perKg === undefined ? [] : [[`usable:${s.ingredient.id}`, perKg / 1000] as const];
    }),
    estimates: [...supplies.values()].flatMap((s) =>
      isGuess(s) ? [`usable:${s.ingredient.id}`, `trim:${s.ingredient.id}`] : [],
    ),
    standsOn: [...supplies.values()].map((s) => standsOn(s, costing.day)),
    usedBy: [
      ...usedBy(state, (of) => 'product' in of && of.product === id),
      ...usedBy(state, (of) => 'lastBatchOf' in of && of.lastBatchOf === id).map((u) => ({
        ...u,
        name: `the next ${u.name}`,
      })),
    ],
  };
}

/** What a layer's supplies cost; plates and stages of a pot are not supplies. */
function layerPrices(costing: KitchenCosting, layer: ExtraLayer) {
  const of = costing.layer(layer);
  return of.nodes
    .filter((n) => !n.key.startsWith('plate:') && !n.key.startsWith('stage:'))
    .map((n) => [n.key, of.cost(n.key)] as const);
}

/** Everything that is made here, as this pot may take it: not what lives from it. */
const productsFor = (costing: KitchenCosting, loops: ReadonlyMap<string, string>): PotSheetData['products'] =>
  costing.state.recipes.map((r) => {
    const loop = loops.get(r.id);
    const found = costing.shelf.product(r.id);
    return {
      id: r.id,
      name: r.name,
      product: found.ok && !loop ? found.value.product : undefined,
      last: found.ok ? found.value.product : undefined,
      parts: partsOf(r).flatMap((part) => {
        const joint = jointOf(costing.recipes.get(r.id)?.run, part);
        return joint ? [{ part, product: joint }] : [];
      }),
      trouble: loop ?? (found.ok ? undefined : found.trouble.message),
      loops: loop !== undefined,
    };
  });

/** Recipes that live from this one, itself included, each with the sentence of the loop it would close. */
function livesFrom({ state }: KitchenCosting, id: string): Map<string, string> {
  const nameOf = new Map(state.recipes.map((r) => [r.id, r.name]));
  const found = new Map<string, string[]>([[id, [id]]]);
  const queue = [id];
  for (let at = queue.shift(); at !== undefined; at = queue.shift())
    for (const r of state.recipes)
      if (!found.has(r.id) && usesOf(r).includes(at)) {
        found.set(r.id, [r.id, ...(found.get(at) ?? [])]);
        queue.push(r.id);
      }
  return new Map(
    [...found].map(([daughter, path]) => [
      daughter,
      loopSentence([id, ...path].map((x) => nameOf.get(x) ?? '')),
    ]),
  );
}
