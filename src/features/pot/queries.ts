import 'server-only';
import { notFound } from 'next/navigation';
import { besideCost, costOfProduct, gapsOf, type KitchenCosting } from '@/core/costing';
import { lastBatchesIn, usesOf, type WrittenRecipe } from '@/core/kitchen-file';
import type { Hob, ProcessConstants, Vessel } from '@/core/pot';
import type { DecimalMark, HouseMeasure } from '@/core/quantity';
import { ownConstants } from '@/core/kitchen-state';
import { CONSTANTS } from '@/core/reference';
import type { Names } from '@/core/said';
import { lastChangedBy } from '@/db/changes';
import { versionOf } from '@/db/edits';
import { sheetPast, type SheetPast } from '@/db/recipes/recipe-versions';
import { productOf } from '@/core/supply';
import type { Layer } from '@/core/layers';
import { countedLayers } from '@/server/counted-layers';
import { database } from '@/server/database';
import { costedKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { archivedRows } from '@/server/archived';
import { usedBy } from '@/server/used-by';
import { byName, searcher } from '@/search';
import { namesToWrite } from './names';
import type { TheirSheet } from './wire';
import { namedIn, reachOf, type Reach } from './reach';
import * as texts from './texts';

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
  /** Of what is thought of in kilos. */
  readonly perKg: number | null;
  readonly gaps: readonly string[];
  readonly from: readonly string[];
}

/** The pots that fit some words: the first of them, and how many there are. */
export interface PotsFound {
  readonly of: string;
  readonly rows: readonly PotSummary[];
  readonly hits: number;
  /** Pots in the book. */
  readonly total: number;
}

/** Rows told at once: more than a screen, and all of most kitchens. */
const MOST_ROWS = 100;
const searches = new WeakMap<readonly WrittenRecipe[], ReturnType<typeof searcher<WrittenRecipe>>>();

/** The book's pots in its order, or those that fit some words. */
export async function pots(who: Worker, wanted = '', order?: string): Promise<PotsFound> {
  const { costing } = await costedKitchen(who.kitchenId);
  const { recipes } = costing.state;
  const counts = await countedLayers();
  const search = searches.get(recipes) ?? searcher(recipes);
  searches.set(recipes, search);
  const found = search(wanted);
  const hits = order === undefined ? found : inOrder(costing, found, order);
  const names = new Map(recipes.map((r) => [r.id, r.name]));
  const vessels = new Map(costing.state.vessels.map((v) => [v.id, v.name]));
  return {
    of: wanted,
    hits: hits.length,
    total: recipes.length,
    rows: hits.slice(0, MOST_ROWS).map((r) => summaryOf(costing, r, names, vessels, counts)),
  };
}

/** What a column of the list is ordered by; what is not known comes last, whichever way. */
const COLUMNS: Readonly<Record<string, (costing: KitchenCosting, r: WrittenRecipe) => number | null>> = {
  litres: (costing, r) => costOfProduct(costing, r.id).ml,
  hob: (costing, r) => costing.recipes.get(r.id)?.run.rows.at(-1)?.hobHours ?? null,
  cost: (costing, r) => costOfProduct(costing, r.id).perL,
};

/** Pots by one of the list's columns, all of them and not only those that are sent. */
function inOrder(
  costing: KitchenCosting,
  pots: readonly WrittenRecipe[],
  order: string,
): readonly WrittenRecipe[] {
  const [column = '', down] = order.split('.');
  const way = down === 'down' ? -1 : 1;
  if (column === 'name') return [...pots].sort((a, b) => way * byName(a, b));
  const by = COLUMNS[column];
  if (!by) return pots;
  const keyed = pots.map((r) => ({ r, key: by(costing, r) }));
  return keyed
    .sort((a, b) =>
      a.key === null || b.key === null
        ? Number(a.key === null) - Number(b.key === null)
        : way * (a.key - b.key),
    )
    .map(({ r }) => r);
}

function summaryOf(
  costing: KitchenCosting,
  r: WrittenRecipe,
  names: ReadonlyMap<string, string>,
  vessels: ReadonlyMap<string, string>,
  counts: readonly Layer[],
): PotSummary {
  const rows = costing.recipes.get(r.id)?.run.rows ?? [];
  const { ml, g, inKilos, ...own } = costOfProduct(costing, r.id);
  const key = productOf(r.id);
  const beside = costing.graph.has(key) ? besideCost(costing, key, counts) : 0;
  const withBeside = (cost: number | null, grams: number): number | null =>
    cost === null || beside === null ? null : cost + beside * grams;
  const perL = withBeside(own.perL, ml > 0 ? (g / ml) * 1000 : 0);
  const perKg = withBeside(own.perKg, 1000);
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
    perKg: inKilos ? perKg : null,
    gaps: gapsOf(costing, `product:${r.id}`).map((t) => t.message),
    from: [
      ...new Set(usesOf(r).map((id) => names.get(id) ?? '')),
      ...new Set(lastBatchesIn(r).map((id) => texts.last(names.get(id) ?? ''))),
    ],
  };
}

/** Sheets that were put away. */
export const awayPots = (who: Worker) => archivedRows(who, 'recipe');

/** Everything a pot sheet needs to answer by itself while it is typed in: what its lines reach, and no more of the kitchen. */
export interface PotSheetData extends Reach {
  readonly recipe: WrittenRecipe;
  readonly version: number;
  readonly past: SheetPast;
  readonly mayEdit: boolean;
  readonly mark: DecimalMark;
  readonly measures: readonly HouseMeasure[];
  /** The names its lines say; every other is asked for when somebody begins to write. */
  readonly names: Names;
  readonly vessels: readonly Vessel[];
  readonly hobs: readonly Hob[];
  readonly constants: ProcessConstants;
  /** Layers the house looks at beside the ingredients; all where it says nothing. */
  readonly looksAt: readonly string[] | undefined;
  readonly usedBy: readonly { readonly name: string; readonly href: string }[];
}

export async function potSheet(who: Worker, id: string): Promise<PotSheetData> {
  const { costing, versions } = await costedKitchen(who.kitchenId);
  const { state, shelf } = costing;
  const recipe = state.recipes.find((r) => r.id === id);
  if (!recipe) notFound();
  const named = namedIn(recipe);
  return {
    recipe,
    version: versions.recipes.get(id) ?? 1,
    past: await sheetPast(database(), who.kitchenId, id),
    mayEdit: may(who.role, 'changer'),
    mark: state.kitchen.decimalMark,
    measures: state.measures,
    ...reachOf(costing, id, named),
    names: namesToWrite(costing, named),
    vessels: state.vessels.flatMap((v) => shelf.vessel(v.id) ?? []),
    hobs: state.hobs.flatMap((h) => shelf.hob(h.id) ?? []),
    constants: ownConstants(state.kitchen, CONSTANTS),
    looksAt: state.kitchen.rules?.layers,
    usedBy: [
      ...usedBy(state, (of) => 'product' in of && of.product === id),
      ...usedBy(state, (of) => 'lastBatchOf' in of && of.lastBatchOf === id).map((u) => ({
        ...u,
        name: texts.next(u.name),
      })),
    ],
  };
}

/** A sheet as it is, where that is newer than a version: anyone who has it open puts it together with what stands there. */
export async function sheetNow(who: Worker, id: string, seen: number): Promise<TheirSheet | undefined> {
  if (((await versionOf(database(), 'recipe', who.kitchenId, id)) ?? 0) <= seen) return undefined;
  const { costing, versions } = await costedKitchen(who.kitchenId);
  const now = costing.state.recipes.find((r) => r.id === id);
  if (!now) return undefined;
  return {
    version: versions.recipes.get(id) ?? 1,
    vessel: now.vessel,
    hob: now.hob,
    steps: now.steps,
    choices: now.choices,
    by: await lastChangedBy(database(), who.kitchenId, id),
  };
}
