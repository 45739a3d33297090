import 'server-only';
import { notFound } from 'next/navigation';
import { countedLayers } from '@/server/counted-layers';
import {
  alcoholOn,
  besideCost,
  costByLayer,
  costOfPlate,
  gapsOf,
  menuSteps,
  portionsUsed,
  type AlcoholLeft,
  type KitchenCosting,
  type MenuSteps,
} from '@/core/costing';
import type { Layer } from '@/core/layers';
import { isGuess } from '@/core/prices';
import { supplyOf } from '@/core/verbs';
import type { Of } from '@/core/written';
import type { KitchenState } from '@/core/kitchen-state';
import { mannerIn, measuringDensity, portionAt, type WrittenPlate } from '@/core/kitchen-file';
import type { DecimalMark, HouseMeasure, Weighable } from '@/core/quantity';
import { archivedRows } from '@/server/archived';
import { costedKitchen, type CostedKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import * as texts from './texts';

export interface PlateSummary {
  readonly id: string;
  readonly name: string;
  /** The plate it is a size of. */
  readonly sizeOf?: string | undefined;
  readonly menuPrice: string | undefined;
  readonly cost: number | null;
  readonly foodCostPct: number | null;
  readonly target: number | undefined;
  readonly gaps: readonly string[];
}

export async function plates(who: Worker): Promise<PlateSummary[]> {
  const { costing } = await costedKitchen(who.kitchenId);
  const counts = await countedLayers();
  return [...costing.plates.values()].map(({ plate: p }) => {
    const { cost: ingredients, foodCostPct } = costOfPlate(costing, p.id);
    const beside = besideCost(costing, `plate:${p.id}`, counts);
    const cost = ingredients === null || beside === null ? null : ingredients + beside;
    return {
      id: p.id,
      name: p.name,
      sizeOf: p.follows && costing.plates.get(p.follows.plate)?.plate.name,
      menuPrice: p.menuPrice,
      cost,
      foodCostPct,
      target: p.targetFoodCostPct,
      gaps: gapsOf(costing, `plate:${p.id}`).map((t) => t.message),
    };
  });
}

/** Plates that were put away. */
export const awayPlates = (who: Worker) => archivedRows(who, 'plate');

/** One line of a plate, with all it takes to price another amount of it. */
export interface PlateLineData {
  readonly id: string;
  readonly of: Of;
  readonly key: string;
  readonly name: string;
  readonly href: string;
  readonly amount: string;
  readonly overfillPct?: number | undefined;
  readonly takenPct?: number | undefined;
  readonly packaging?: boolean | undefined;
  /** Of a size: it stands as on the plate that it follows, or follows it with something otherwise. */
  readonly followed?: 'as it is' | 'otherwise' | undefined;
  /** The portion it would have there, at this size. */
  readonly amountThere?: string | undefined;
  /** g that one batch of it makes, where it is something cooked. */
  readonly batchG?: number | undefined;
  /** How many portions of it one plate that is sold uses up. */
  readonly times: number;
  /** Currency per gram; null while it is not known. */
  readonly perG: number | null;
  /** The same of the layers that are counted beside the ingredients. */
  readonly besidePerG: number | null;
  /** Share of it that goes on a plate when it is counted as bought. */
  readonly usable?: number | undefined;
  readonly weighable: Weighable;
  /** Of an ingredient something is cut off: the yield in use, %, and whether anybody has measured it. */
  readonly yield?:
    { readonly pct: number; readonly guess: boolean; readonly basis?: string | undefined } | undefined;
}

export interface PlateData {
  /** As it stands; of a size with what it follows. */
  readonly plate: WrittenPlate;
  /** What is written of it alone. */
  readonly written: WrittenPlate;
  /** The plate it is a size of. */
  readonly parent?: WrittenPlate | undefined;
  /** Sizes that follow it. */
  readonly sizes: readonly PlateSummary[];
  /** What it costs in each layer as it is kept; null while something is not known. */
  readonly layers: Readonly<Record<Layer, number | null>>;
  readonly alcohol: readonly AlcoholLeft[];
  /** Currency of hands in putting one together, where hands are counted; null where nobody has said what they cost. */
  readonly handsCost: number | null;
  readonly version: number;
  readonly mark: DecimalMark;
  readonly measures: readonly HouseMeasure[];
  readonly mayEdit: boolean;
  /** How this house writes its prices. */
  readonly steps: MenuSteps;
  readonly lines: readonly PlateLineData[];
}

export async function plate(who: Worker, id: string): Promise<PlateData> {
  const kitchen = await costedKitchen(who.kitchenId);
  const { costing } = kitchen;
  const counts = await countedLayers();
  const written = costing.state.plates.find((p) => p.id === id);
  const found = costing.plates.get(id)?.plate;
  if (!written || !found) notFound();
  const parent = written.follows && costing.plates.get(written.follows.plate)?.plate;
  const theirs = new Map(parent?.lines.map((l) => [l.id, l.amount]));
  const manner = mannerIn(costing.state);
  const there = (line: string | undefined): string | undefined => {
    const amount = theirs.get(line);
    return amount === undefined ? undefined : portionAt(amount, written.follows?.size ?? 1, manner);
  };
  const otherwise = new Set(written.follows?.but.map((b) => b.line));
  return {
    plate: found,
    written,
    parent,
    sizes: (await plates(who)).filter((p) => costing.plates.get(p.id)?.plate.follows?.plate === id),
    layers: costByLayer(costing, `plate:${id}`),
    alcohol: alcoholOn(costing, id),
    handsCost: handsCost(costing, found, counts),
    version: kitchen.versions.plates.get(id) ?? 1,
    mark: kitchen.costing.state.kitchen.decimalMark,
    measures: kitchen.costing.state.measures,
    mayEdit: may(who.role, 'changer'),
    steps: menuSteps(
      kitchen.costing.state.plates.flatMap((p) => (p.menuPrice === undefined ? [] : [Number(p.menuPrice)])),
    ),
    lines: found.lines.map((line) => ({
      ...lineData(kitchen, line),
      besidePerG: besidePerG(costing, line, counts),
      overfillPct: line.overfillPct,
      takenPct: line.takenPct,
      times: portionsUsed(line, found),
      packaging: line.packaging,
      amountThere: there(line.id),
      followed: theirs.has(line.id) ? (otherwise.has(line.id ?? '') ? 'otherwise' : 'as it is') : undefined,
    })),
  };
}

/** What a gram of a line brings of the layers counted beside the ingredients: what is made its own, packaging itself. */
function besidePerG(
  costing: KitchenCosting,
  line: WrittenPlate['lines'][number],
  counts: readonly Layer[],
): number | null {
  const key = supplyOf(line.of);
  if (line.packaging) return counts.includes('packaging') ? costing.graph.cost(key) : 0;
  return 'product' in line.of && costing.graph.has(key) ? besideCost(costing, key, counts) : 0;
}

function handsCost(
  { state }: KitchenCosting,
  { hands, serviceLossPct = 0 }: WrittenPlate,
  counts: readonly Layer[],
): number | null {
  if (!hands || !counts.includes('hands')) return 0;
  const { wagePerHour } = state.kitchen;
  return wagePerHour === undefined
    ? null
    : (Number(wagePerHour) * hands.minutes) / 60 / hands.plates / (1 - serviceLossPct / 100);
}

/** What stands on a line, as people call it. */
function nameOf(state: KitchenState, of: WrittenPlate['lines'][number]['of']): string {
  const nameIn = (list: readonly { id: string; name: string }[], id: string): string =>
    list.find((x) => x.id === id)?.name ?? '';
  return 'product' in of
    ? `${of.part === undefined ? '' : texts.partOfPrefix(of.part)}${nameIn(state.recipes, of.product)}`
    : 'ingredient' in of
      ? nameIn(state.ingredients, of.ingredient)
      : texts.stockTrim(nameIn(state.ingredients, of.stockTrimOf));
}

function lineData(
  { costing }: CostedKitchen,
  { id: lineId = '', of, amount }: WrittenPlate['lines'][number],
): Omit<PlateLineData, 'times' | 'besidePerG'> {
  const { state, shelf, graph } = costing;
  const name = nameOf(state, of);
  const key = supplyOf(of);
  if ('product' in of) {
    const made = shelf.product(of.product, of.part);
    return {
      id: lineId,
      of,
      key,
      name,
      amount,
      href: `/pot/${of.product}`,
      perG: graph.cost(key),
      batchG: made.ok ? made.value.product.g : undefined,
      weighable: made.ok
        ? {
            name,
            densityGPerMl: made.value.product.g / made.value.product.ml,
            eachUnit: 'batch',
            pieceG: { batch: made.value.product.g },
          }
        : { name },
    };
  }
  const id = 'ingredient' in of ? of.ingredient : of.stockTrimOf;
  const written = state.ingredients.find((i) => i.id === id);
  const supply = costing.supplies.get(id);
  const stuff = shelf.stuff(id)?.stuff;
  return {
    id: lineId,
    of,
    key,
    name,
    amount,
    href: `/buy#${id}`,
    perG: graph.cost(key),
    yield:
      supply && supply.usable < 1
        ? { pct: supply.usable * 100, guess: isGuess(supply), basis: supply.yieldBasis }
        : undefined,
    usable: supply?.usable,
    weighable: {
      name,
      densityGPerMl: written && stuff ? measuringDensity(written, stuff) : undefined,
      ...('ingredient' in of
        ? {
            eachG: written?.eachG,
            eachUnit: written?.eachUnit,
            pieceG: written?.pieceG,
            usable: of.counted === undefined ? supply?.usable : 1,
          }
        : {}),
    },
  };
}
