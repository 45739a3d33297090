import 'server-only';
import { costOfPlate, type KitchenCosting } from '@/core/costing';
import type { GraphNode } from '@/core/graph';
import { priceBeforeTrim } from '@/core/prices';
import { comesOffShare } from '@/core/knife';
import { TRIM_SCHOOLS, type TrimSchool } from '@/core/larder';
import type { DecimalMark } from '@/core/quantity';
import { kitchenVersion } from '@/db/buying/larder';
import { database } from '@/server/database';
import { costedKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { byName } from '@/search';
import { trimmingTyped } from './typed';
import { pricesIn, type SchoolRow } from './priced';

export interface SchoolsPage {
  readonly school: TrimSchool;
  readonly setValue: string;
  readonly wage: string;
  /** A kWh of each fuel; empty where nobody has said. */
  readonly electricity: string;
  readonly gas: string;
  readonly learning: 'ask' | 'at once';
  readonly scale: string;
  readonly version: number;
  readonly mayEdit: boolean;
  readonly mark: DecimalMark;
  /** Ingredients whose trim a pot takes: those that the shown plates are made from, and as many others as fit a screen. */
  readonly rows: readonly SchoolRow[];
  /** How many more have trim that a pot takes; and how many have trim that none does. */
  readonly moreTaken: number;
  readonly untaken: number;
  readonly shown: PlatesShown;
  /** Every plate by name, to choose another from. */
  readonly plates: readonly PlateName[];
}

export interface PlateName {
  readonly id: string;
  readonly name: string;
}

/** Some plates with all it takes to price them under each school: the part of the graph that schools move and they are made from. */
export interface PlatesShown {
  readonly plates: readonly (PlateName & {
    readonly netPrice: number | null;
    readonly target: number | undefined;
    /** What it costs now: whatever the school, where no school moves it. */
    readonly now: number | null;
  })[];
  readonly rows: readonly SchoolRow[];
  readonly graph: readonly GraphNode[];
  readonly prices: readonly (readonly [string, number | null])[];
}

/** Plates that stand there before anybody has chosen: those on which the schools lie furthest apart. */
const SHOWN = 3;
/** Rows told at once. */
const MOST_ROWS = 60;

/** What the choice of a school does, in figures. */
export async function schoolsPage(who: Worker): Promise<SchoolsPage> {
  const { costing } = await costedKitchen(who.kitchenId);
  const { state } = costing;
  const { kitchen } = state;
  const { rows, apart } = schoolsOf(costing);
  const shown = shownOf(costing, apart.slice(0, SHOWN));
  const reached = new Set(shown.rows.map((r) => r.id));
  const taken = rows.filter((r) => r.taken);
  const others = taken.filter((r) => !reached.has(r.id)).slice(0, Math.max(0, MOST_ROWS - reached.size));
  const told = new Set([...reached, ...others.map((r) => r.id)]);
  const inTable = taken.filter((r) => told.has(r.id));
  return {
    ...trimmingTyped(kitchen),
    version: await kitchenVersion(database(), who.kitchenId),
    mayEdit: may(who.role, 'manager'),
    mark: kitchen.decimalMark,
    rows: inTable,
    moreTaken: taken.length - inTable.length,
    untaken: rows.length - taken.length,
    shown,
    plates: state.plates.map(({ id, name }) => ({ id, name })),
  };
}

/** Other plates than those that came with the page. */
export async function platesInSchools(who: Worker, ids: readonly string[]): Promise<PlatesShown> {
  const { costing } = await costedKitchen(who.kitchenId);
  return shownOf(
    costing,
    ids.filter((id) => costing.plates.has(id)),
  );
}

/** What of a costing the schools can move, and the plates by how far apart they lie on them. */
interface Schools {
  readonly rows: readonly SchoolRow[];
  /** Sources of the graph by the row that prices them. */
  readonly sources: ReadonlyMap<string, SchoolRow>;
  readonly apart: readonly string[];
}
/** Worked out once for each costing: a costing never changes. */
const known = new WeakMap<KitchenCosting, Schools>();

function schoolsOf(costing: KitchenCosting): Schools {
  const was = known.get(costing);
  if (was) return was;
  const { school, setValuePerKg } = costing.state.kitchen.trim;
  const rows = schoolRows(costing);
  const sources = new Map(
    rows.flatMap((row) =>
      pricesIn([row], school, Number(setValuePerKg)).map(([key]): [string, SchoolRow] => [key, row]),
    ),
  );
  const made = { rows, sources, apart: platesApart(costing, rows, Number(setValuePerKg)) };
  known.set(costing, made);
  return made;
}

/** Every plate, the one on which the schools lie furthest apart first. */
function platesApart(costing: KitchenCosting, rows: readonly SchoolRow[], setValue: number): string[] {
  const graph = costing.graph.fork();
  const { plates } = costing.state;
  const least = new Float64Array(plates.length).fill(Infinity);
  const most = new Float64Array(plates.length).fill(-Infinity);
  for (const school of TRIM_SCHOOLS) {
    graph.set(pricesIn(rows, school, setValue));
    for (const [i, p] of plates.entries()) {
      const cost = graph.cost(`plate:${p.id}`);
      if (cost === null) continue;
      least[i] = Math.min(least[i] as number, cost);
      most[i] = Math.max(most[i] as number, cost);
    }
  }
  const apart = new Map(plates.map((p, i) => [p.id, (most[i] as number) - (least[i] as number)]));
  const of = (id: string): number => Math.max(0, apart.get(id) ?? 0);
  return plates.map((p) => p.id).sort((a, b) => of(b) - of(a));
}

function shownOf(costing: KitchenCosting, ids: readonly string[]): PlatesShown {
  const { graph } = costing;
  const { sources } = schoolsOf(costing);
  const part = graph.partAbove(
    sources.keys(),
    ids.map((id) => `plate:${id}`),
  );
  const reached = part.flatMap(({ key }) => (sources.has(key) ? [key] : []));
  return {
    plates: ids.flatMap((id) => {
      const p = costing.plates.get(id)?.plate;
      return p
        ? [
            {
              id,
              name: p.name,
              netPrice: costOfPlate(costing, id).netPrice,
              target: p.targetFoodCostPct,
              now: graph.cost(`plate:${id}`),
            },
          ]
        : [];
    }),
    rows: [...new Set(reached.flatMap((key) => sources.get(key) ?? []))],
    graph: part,
    prices: reached.map((key) => [key, graph.cost(key)] as const),
  };
}

export const schoolRows = (costing: KitchenCosting): SchoolRow[] =>
  [...costing.supplies.values()]
    .filter((s) => comesOffShare(s.stockTrim, s.knife) > 0)
    .map((s) => ({
      id: s.ingredient.id,
      name: s.ingredient.name,
      perKg: priceBeforeTrim(s),
      usable: s.usable,
      stockTrim: s.stockTrim,
      knife: s.knife,
      own: s.ingredient.trim?.school,
      ownValue: s.ingredient.trim?.setValuePerKg,
      taken: s.knife.trimTaken > 0 || s.knife.byProducts.some((b) => b.taken > 0),
    }))
    .sort(byName);
