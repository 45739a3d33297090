import 'server-only';
import { costOfPlate, type KitchenCosting } from '@/core/costing';
import type { GraphNode } from '@/core/graph';
import { beforeTheKnife } from '@/core/prices';
import { comesOffShare, type Knife } from '@/core/knife';
import type { TrimSchool } from '@/core/larder';
import type { DecimalMark } from '@/core/quantity';
import { kitchenVersion } from '@/db/larder';
import { database } from '@/server/database';
import { costedKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';

/** An ingredient something of use comes off, with all it takes to price it under another school. */
export interface SchoolRow {
  readonly id: string;
  readonly name: string;
  readonly perKg: number | undefined;
  readonly usable: number;
  readonly stockTrim: number;
  readonly knife: Knife;
  /** Its own school or set value, where it has one. */
  readonly own?: TrimSchool | undefined;
  readonly ownValue?: string | undefined;
  readonly taken: boolean;
}

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
  readonly rows: readonly SchoolRow[];
  readonly graph: readonly GraphNode[];
  readonly prices: readonly (readonly [string, number | null])[];
  readonly plates: readonly {
    readonly id: string;
    readonly name: string;
    readonly netPrice: number | null;
    readonly target: number | undefined;
  }[];
}

/** What the choice of a school does, in figures: everything the browser needs to price every plate under each. */
export async function schoolsPage(who: Worker): Promise<SchoolsPage> {
  const { costing } = await costedKitchen(who.kitchenId);
  const { state, graph } = costing;
  const { kitchen } = state;
  return {
    school: kitchen.trim.school,
    setValue: kitchen.trim.setValuePerKg,
    wage: kitchen.wagePerHour ?? '',
    electricity: kitchen.energyPerKwh.electricity ?? '',
    gas: kitchen.energyPerKwh.gas ?? '',
    learning: kitchen.learning,
    scale: kitchen.scale ?? '',
    version: await kitchenVersion(database(), who.kitchenId),
    mayEdit: may(who.role, 'manager'),
    mark: kitchen.decimalMark,
    rows: schoolRows(costing),
    graph: graph.nodes,
    prices: graph.nodes
      .filter((n) => n.from.length === 0 && /^(usable|trim):/.test(n.key))
      .map((n) => [n.key, graph.cost(n.key)]),
    plates: state.plates.map((p) => ({
      id: p.id,
      name: p.name,
      netPrice: costOfPlate(costing, p.id).netPrice,
      target: p.targetFoodCostPct,
    })),
  };
}

export const schoolRows = (costing: KitchenCosting): SchoolRow[] =>
  [...costing.supplies.values()]
    .filter((s) => comesOffShare(s.stockTrim, s.knife) > 0)
    .map((s) => ({
      id: s.ingredient.id,
      name: s.ingredient.name,
      perKg: beforeTheKnife(s),
      usable: s.usable,
      stockTrim: s.stockTrim,
      knife: s.knife,
      own: s.ingredient.trim?.school,
      ownValue: s.ingredient.trim?.setValuePerKg,
      taken: s.knife.trimTaken > 0 || s.knife.byProducts.some((b) => b.taken > 0),
    }))
    .sort((a, b) => a.name.localeCompare(b.name, 'en'));
