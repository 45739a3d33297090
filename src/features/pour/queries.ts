import 'server-only';
import { notFound } from 'next/navigation';
import { costOfPlate, gapsOf, menuSteps, usedUp, type MenuSteps } from '@/core/costing';
import { isGuess } from '@/core/prices';
import { supplyOf } from '@/core/verbs';
import type { Of } from '@/core/written';
import { measuringDensity, type WrittenPlate } from '@/core/kitchen-file';
import type { DecimalMark, HouseMeasure, Weighable } from '@/core/quantity';
import { awayRows } from '@/server/away';
import { costedKitchen, type CostedKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';

export interface PlateSummary {
  readonly id: string;
  readonly name: string;
  readonly menuPrice: string | undefined;
  readonly cost: number | null;
  readonly foodCostPct: number | null;
  readonly target: number | undefined;
  readonly gaps: readonly string[];
}

export async function plates(who: Worker): Promise<PlateSummary[]> {
  const { costing } = await costedKitchen(who.kitchenId);
  return costing.state.plates.map((p) => {
    const { cost, foodCostPct } = costOfPlate(costing, p.id);
    return {
      id: p.id,
      name: p.name,
      menuPrice: p.menuPrice,
      cost,
      foodCostPct,
      target: p.targetFoodCostPct,
      gaps: gapsOf(costing, `plate:${p.id}`).map((t) => t.message),
    };
  });
}

/** Plates that were put away. */
export const awayPlates = (who: Worker) => awayRows(who, 'plate');

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
  /** How many portions of it one plate that is sold uses up. */
  readonly times: number;
  /** Currency per gram; null while it is not known. */
  readonly perG: number | null;
  /** Share of it that goes on a plate when it is counted as bought. */
  readonly usable?: number | undefined;
  readonly weighable: Weighable;
  /** Of an ingredient something is cut off: the yield it is reckoned with, %, and whether anybody has measured it. */
  readonly yield?:
    { readonly pct: number; readonly guess: boolean; readonly basis?: string | undefined } | undefined;
}

export interface PlateData {
  readonly plate: WrittenPlate;
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
  const found = kitchen.costing.state.plates.find((p) => p.id === id);
  if (!found) notFound();
  return {
    plate: found,
    version: kitchen.versions.plates.get(id) ?? 1,
    mark: kitchen.costing.state.kitchen.decimalMark,
    measures: kitchen.costing.state.measures,
    mayEdit: may(who.role, 'changer'),
    steps: menuSteps(
      kitchen.costing.state.plates.flatMap((p) => (p.menuPrice === undefined ? [] : [Number(p.menuPrice)])),
    ),
    lines: found.lines.map((line) => ({
      ...lineData(kitchen, line),
      overfillPct: line.overfillPct,
      takenPct: line.takenPct,
      times: usedUp(line, found),
    })),
  };
}

function lineData(
  { costing }: CostedKitchen,
  { id: lineId = '', of, amount }: WrittenPlate['lines'][number],
): Omit<PlateLineData, 'times'> {
  const { state, shelf, graph } = costing;
  const nameIn = (list: readonly { id: string; name: string }[], id: string): string =>
    list.find((x) => x.id === id)?.name ?? '';
  const name =
    'product' in of
      ? `${of.part === undefined ? '' : `${of.part} of `}${nameIn(state.recipes, of.product)}`
      : 'ingredient' in of
        ? nameIn(state.ingredients, of.ingredient)
        : `${nameIn(state.ingredients, of.stockTrimOf)}, stock trim`;
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
      weighable: { name, densityGPerMl: made.ok ? made.value.product.g / made.value.product.ml : undefined },
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
