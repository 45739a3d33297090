import 'server-only';
import { isTaken, trimFlow, type TrimFlow } from '@/core/costing';
import { priceBeforeTrim } from '@/core/prices';
import { shiftDay } from '@/core/day';
import type { DecimalMark } from '@/core/quantity';
import { boughtBetween, wastesSince } from '@/db/cooking/wastes';
import { database } from '@/server/database';
import { readSupply } from '@/core/supply';
import { costedKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import * as texts from './texts';

/** Something thrown away, with what it had cost. */
export interface WastePage {
  readonly id: string;
  readonly name: string;
  readonly on: string;
  readonly who?: string | undefined;
  readonly amount: string;
  readonly g: number;
  readonly reason: string;
  readonly money: number | null;
}

export interface FlowPage {
  readonly weeks: 1 | 4;
  readonly from: string;
  readonly until: string;
  readonly mayEdit: boolean;
  readonly mayWaste: boolean;
  readonly mark: DecimalMark;
  /** Per week. */
  readonly flows: readonly FlowSummary[];
  /** What comes off and is not told here: what somebody asks for, and what nobody takes. */
  readonly more: { readonly asked: number; readonly idle: number };
  readonly all: boolean;
  readonly recipeVersions: Readonly<Record<string, number>>;
  readonly wastes: readonly WastePage[];
}

/** What comes off one thing, with as many of those who ask for it as anybody reads. */
export type FlowSummary = TrimFlow & {
  readonly version: number;
  readonly somebodyTakes: boolean;
  readonly moreAsks: number;
};

const WASTE_DAYS = 28;
/** Told at once, unless somebody wants all: of what somebody takes, of what nobody takes, and pots that ask for one thing. */
const MOST = { asked: 40, idle: 60, asks: 8 };

/** How much a week's trimming gives against how much the pots ask for; and what was thrown away. */
export async function flowPage(who: Worker, weeks: 1 | 4, all: boolean): Promise<FlowPage> {
  const { costing, versions } = await costedKitchen(who.kitchenId);
  const { day, state, supplies } = costing;
  const from = shiftDay(day, 1 - 7 * weeks);
  const [bought, wastes] = await Promise.all([
    boughtBetween(database(), who.kitchenId, from, day),
    wastesSince(database(), who.kitchenId, shiftDay(day, 1 - WASTE_DAYS)),
  ]);
  const flows = trimFlow(costing, (id) => (bought.get(id) ?? 0) / weeks).filter(
    (f) => f.givesG > 0 || f.asksG > 0,
  );
  // What somebody asks for first, then what most is left over of.
  flows.sort(
    (a, b) =>
      Number(b.asks.length > 0) - Number(a.asks.length > 0) || b.givesG - b.asksG - (a.givesG - a.asksG),
  );
  const [asked, idle] = [flows.filter(isTaken), flows.filter((f) => !isTaken(f))];
  const most = all ? { asked: Infinity, idle: Infinity, asks: Infinity } : MOST;
  const told = [...asked.slice(0, most.asked), ...idle.slice(0, most.idle)].map((f): FlowSummary => ({
    ...f,
    asks: f.asks.slice(0, most.asks),
    somebodyTakes: isTaken(f),
    moreAsks: Math.max(0, f.asks.length - most.asks),
    version: versions.ingredients.get(ingredientOf(f.supply) ?? f.of.id) ?? 1,
  }));
  const asking = new Set(told.flatMap((f) => f.asks.map((a) => a.recipe)));
  return {
    weeks,
    from,
    until: day,
    mayEdit: may(who.role, 'manager'),
    mayWaste: may(who.role, 'cook'),
    mark: state.kitchen.decimalMark,
    flows: told,
    more: { asked: Math.max(0, asked.length - most.asked), idle: Math.max(0, idle.length - most.idle) },
    all,
    recipeVersions: Object.fromEntries([...asking].map((id) => [id, versions.recipes.get(id) ?? 1])),
    wastes: wastes.map((w) => {
      const supply = supplies.get(costing.countsAs(w.ingredient));
      const perKg = w.part === 'stock trim' ? supply?.trimPerKg : supply && priceBeforeTrim(supply);
      return {
        id: w.id,
        name: `${supply?.ingredient.name ?? 'Something'}${w.part === 'stock trim' ? texts.stockTrim : ''}`,
        on: w.on,
        who: w.who,
        amount: w.amount,
        g: w.g,
        reason: w.reason,
        money: perKg === undefined ? null : (perKg * w.g) / 1000,
      };
    }),
  };
}

/** The ingredient whose supply it is. */
function ingredientOf(supply: string): string | undefined {
  const from = readSupply(supply);
  return from && 'id' in from ? from.id : undefined;
}
