import 'server-only';
import { notFound } from 'next/navigation';
import {
  beforeTheKnife,
  costOfProduct,
  gapsOf,
  isGuess,
  jointOf,
  standsOn,
  type KitchenCosting,
  type Layer,
  type OnShelf,
  type StandsOn,
} from '@/core/costing';
import { lastBatchesIn, loopSentence, partsOf, usesOf, type WrittenRecipe } from '@/core/kitchen-file';
import type { OpenPack } from '@/core/larder';
import type { Hob, ProcessConstants, Product, Vessel } from '@/core/pot';
import type { DecimalMark, HouseMeasure } from '@/core/quantity';
import { CONSTANTS } from '@/core/reference';
import type { Names } from '@/core/said';
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
  const names = new Map(costing.file.recipes.map((r) => [r.id, r.name]));
  const vessels = new Map(costing.file.vessels.map((v) => [v.id, v.name]));
  return costing.file.recipes.map((r) => {
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
  const { file, shelf, supplies, graph } = costing;
  const recipe = file.recipes.find((r) => r.id === id);
  if (!recipe) notFound();
  const named = (list: readonly { id: string; name: string }[]) =>
    list.map((x) => ({ id: x.id, name: x.name }));
  const loops = livesFrom(costing, id);
  const layerPrices = (layer: ExtraLayer) => {
    const of = costing.layer(layer);
    return of.nodes
      .filter((n) => !n.key.startsWith('plate:') && !n.key.startsWith('stage:'))
      .map((n) => [n.key, of.cost(n.key)] as const);
  };
  return {
    recipe,
    version: versions.recipes.get(id) ?? 1,
    mayEdit: may(who.role, 'manager'),
    mark: file.kitchen.decimalMark,
    measures: file.measures,
    opens: [...supplies].flatMap(([at, s]) => (s.opens ? [[at, s.opens] as const] : [])),
    names: {
      measures: file.measures,
      // An old spelling is still understood; what is written back is the one it counts as.
      ingredients: [...named(file.ingredients), ...costing.spellings],
      recipes: named(file.recipes),
      parts: file.recipes.flatMap((r) => partsOf(r).map((part) => ({ id: r.id, part }))),
      vessels: named(file.vessels),
      hobs: named(file.hobs),
    },
    stuffs: file.ingredients.flatMap((i) => {
      const found = shelf.stuff(i.id);
      return found ? [[i.id, found] as const] : [];
    }),
    products: file.recipes.map((r) => {
      const loop = loops.get(r.id);
      const found = shelf.product(r.id);
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
    }),
    vessels: file.vessels.flatMap((v) => shelf.vessel(v.id) ?? []),
    hobs: file.hobs.flatMap((h) => shelf.hob(h.id) ?? []),
    constants: CONSTANTS,
    prices: graph.nodes
      .filter((n) => !n.key.startsWith('plate:'))
      .map((n) => [n.key, graph.cost(n.key)] as const),
    layers: {
      packaging: layerPrices('packaging'),
      energy: layerPrices('energy'),
      hands: layerPrices('hands'),
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
      ...usedBy(file, (of) => 'product' in of && of.product === id),
      ...usedBy(file, (of) => 'lastBatchOf' in of && of.lastBatchOf === id).map((u) => ({
        ...u,
        name: `the next ${u.name}`,
      })),
    ],
  };
}

/** Recipes that live from this one, itself included, each with the sentence of the loop it would close. */
function livesFrom({ file }: KitchenCosting, id: string): Map<string, string> {
  const nameOf = new Map(file.recipes.map((r) => [r.id, r.name]));
  const found = new Map<string, string[]>([[id, [id]]]);
  const queue = [id];
  for (let at = queue.shift(); at !== undefined; at = queue.shift())
    for (const r of file.recipes)
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
