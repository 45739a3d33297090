import 'server-only';
import { notFound } from 'next/navigation';
import {
  type KitchenCosting,
  costByLayer,
  costOfPlate,
  costOfProduct,
  inputCosts,
  wentInCents,
  whereTheMoneyWent,
} from '@/core/costing';
import { inForce, mannerIn, usesOf, type WrittenRecipe } from '@/core/kitchen-file';
import { ownConstants, type KitchenState } from '@/core/kitchen-state';
import { LOSSES, type LedgerRow, type PotRun, type Vessel } from '@/core/pot';
import { CONSTANTS } from '@/core/reference';
import { potOf } from '@/core/shelf';
import { productOf } from '@/core/supply';
import { cautionFor, runPot, scaledLine, scaledSteps, writeStep } from '@/core/verbs';
import { lastChangedBy } from '@/db/changes';
import { sheetPast, versionName } from '@/db/recipes/recipe-versions';
import { database } from '@/server/database';
import { costedKitchen } from '@/server/kitchen';
import type { Worker } from '@/server/session';
import { namesToWrite } from '../names';
import { namedIn } from '../reach';
import * as texts from './texts';

/** A sheet's size on paper: what the list is multiplied with for one batch, in which vessel, how many batches. */
export interface Size {
  readonly by: number;
  readonly vessel: string | undefined;
  readonly batches: number;
}

/** A step as it hangs on the wall: what to do, what to look for, what the cook is told. */
export interface WallStep {
  readonly n: number;
  readonly said: string;
  readonly note: string | undefined;
  readonly caution: string | undefined;
  readonly warnings: readonly string[];
  readonly litres: number | undefined;
  /** cm from the rim, as hot as it then is. */
  readonly dipCm: number | undefined;
  readonly hot: boolean;
  /** h this step takes, coming up to heat with it. */
  readonly hours: number | undefined;
  /** Where it goes on in another vessel. */
  readonly vessel: string | undefined;
}

export interface WallSheet {
  readonly id: string;
  readonly name: string;
  readonly note: string | undefined;
  readonly vessel: string;
  readonly hob: string;
  readonly batches: number;
  readonly by: number;
  readonly litres: number;
  readonly portions: { readonly ml: number; readonly whole: number } | undefined;
  readonly hobHours: number;
  readonly steps: readonly WallStep[];
  readonly allergens: readonly string[];
  /** Ways that are taken where the sheet has a choice. */
  readonly ways: readonly string[];
  readonly version: {
    readonly no: number;
    readonly on: string;
    readonly name: string | null;
    readonly by: string | undefined;
  };
  /** Why it cannot be made at this size. */
  readonly trouble: string | undefined;
}

/** Query of an address as a size: what is none is the sheet's own. */
export function sizeIn(search: URLSearchParams): Size {
  const by = Number(search.get('by') ?? '1');
  const batches = Number(search.get('batches') ?? '1');
  return {
    by: by >= 0.001 && by <= 1000 ? by : 1,
    vessel: search.get('in') ?? undefined,
    batches: Number.isSafeInteger(batches) && batches >= 1 && batches <= 40 ? batches : 1,
  };
}

/** A sheet for the wall, at a size. */
export async function wallSheet(who: Worker, id: string, size: Size): Promise<WallSheet> {
  const { costing, versions } = await costedKitchen(who.kitchenId);
  const { state, shelf } = costing;
  const recipe = state.recipes.find((r) => r.id === id);
  if (!recipe) notFound();
  const vessel =
    (size.vessel === undefined ? undefined : shelf.vessel(size.vessel)) ?? shelf.vessel(recipe.vessel);
  const pot = potOf(recipe, shelf);
  const run = runPot(
    { ...pot, vessel: vessel ?? pot.vessel, steps: scaledSteps(pot.steps, size.by) },
    ownConstants(state.kitchen, CONSTANTS),
  );
  const sql = database();
  const no = versions.recipes.get(id) ?? 1;
  const [past, name, by] = await Promise.all([
    sheetPast(sql, who.kitchenId, id),
    versionName(sql, who.kitchenId, id, no),
    lastChangedBy(sql, who.kitchenId, id),
  ]);
  const last = run.rows.at(-1);
  return {
    id,
    name: recipe.name,
    note: recipe.note,
    vessel: (vessel ?? pot.vessel).name,
    hob: pot.hob.name,
    batches: size.batches,
    by: size.by,
    litres: (run.product?.ml ?? 0) / 1000,
    portions: last?.portions && { ml: last.portions.ml, whole: last.portions.whole },
    hobHours: last?.hobHours ?? 0,
    steps: stepsFor(costing, recipe, run, size.by, (vessel ?? pot.vessel).name),
    allergens: last?.allergens ?? [],
    ways: (recipe.choices ?? []).map((c) => `${c.name}: ${c.ways.find((w) => w.id === c.house)?.name ?? ''}`),
    version: { no, on: past.since, name, by },
    trouble: run.refused && texts.step(run.refused.step + 1, run.refused.trouble.message),
  };
}

/** Less than so many ml is no level that anybody reads. */
const READABLE_ML = 100;

function stepsFor(
  costing: KitchenCosting,
  recipe: WrittenRecipe,
  run: PotRun,
  by: number,
  starts: string,
): WallStep[] {
  // The few names the sheet has: among all there are some would need quotes.
  const names = { ...namesToWrite(costing, namedIn(recipe)), self: recipe.id };
  const manner = mannerIn(costing.state);
  const isDone = inForce(recipe);
  let n = 0;
  let before: LedgerRow | undefined;
  let standsIn: Vessel['name'] = starts;
  return recipe.steps.flatMap((step, i): WallStep[] => {
    if (!isDone(step)) return [];
    n += 1;
    const row = run.rows[i];
    const readable = row !== undefined && row.ml > READABLE_ML;
    const goesOn = row !== undefined && row.vessel.name !== standsIn ? row.vessel.name : undefined;
    standsIn = row?.vessel.name ?? standsIn;
    const caution = row && cautionFor(row, before);
    before = row;
    return [
      {
        n,
        said: writeStep(by === 1 ? step : scaledLine(step, by, manner), names),
        note: step.note,
        caution,
        warnings: row?.warnings.map((w) => w.message) ?? [],
        litres: readable ? row.ml / 1000 : undefined,
        dipCm: readable ? row.dipCm : undefined,
        hot: (row?.celsius ?? 0) > 30,
        hours: row && row.heatHours + row.upHours > 1 / 120 ? row.heatHours + row.upHours : undefined,
        vessel: goesOn,
      },
    ];
  });
}

/** What a litre costs and why, on one page. */
export interface CostCard {
  readonly name: string;
  readonly day: string;
  readonly litres: number;
  readonly perL: number | null;
  readonly layers: readonly (readonly [string, number | null])[];
  readonly inputs: readonly { readonly name: string; readonly g: number; readonly cost: number | null }[];
  readonly losses: readonly {
    readonly name: string;
    readonly g: number;
    readonly money: number | undefined;
  }[];
  readonly trimmed: number | undefined;
  readonly left: number | undefined;
  readonly spent: number | undefined;
  readonly portion: { readonly ml: number; readonly cost: number } | undefined;
  readonly plates: readonly {
    readonly name: string;
    readonly cost: number | null;
    readonly foodCostPct: number | null;
    readonly target: number | undefined;
  }[];
  readonly allergens: readonly string[];
  readonly version: WallSheet['version'];
}

/** Recipes that are made from one, through all generations, itself included. */
function familyOf(state: KitchenState, id: string): ReadonlySet<string> {
  const users = new Map<string, string[]>();
  for (const r of state.recipes)
    for (const used of new Set(usesOf(r))) users.set(used, [...(users.get(used) ?? []), r.id]);
  const found = new Set([id]);
  for (const at of found) for (const user of users.get(at) ?? []) found.add(user);
  return found;
}

export async function costCard(who: Worker, id: string): Promise<CostCard> {
  const { costing, versions } = await costedKitchen(who.kitchenId);
  const { state } = costing;
  const recipe = state.recipes.find((r) => r.id === id);
  if (!recipe) notFound();
  const run = costing.recipes.get(id)?.run;
  const cost = costOfProduct(costing, id);
  const went = whereTheMoneyWent(costing, id);
  const book = went && wentInCents(went);
  const layers = Object.entries(costByLayer(costing, productOf(id))).map(
    ([name, perG]) =>
      [name, perG === null || cost.ml === 0 ? null : (perG * cost.g * 1000) / cost.ml] as const,
  );
  const money = inputCosts(costing, id);
  const family = familyOf(state, id);
  const lost = new Map<string, number>();
  for (const row of run?.rows ?? [])
    for (const loss of LOSSES) if (row.lost[loss]) lost.set(loss, (lost.get(loss) ?? 0) + row.lost[loss]);
  const sql = database();
  const no = versions.recipes.get(id) ?? 1;
  return {
    name: recipe.name,
    day: costing.day,
    litres: cost.ml / 1000,
    perL: cost.perL,
    layers: layers.filter(([name, perL]) => name !== 'packaging' || (perL ?? 0) > 0),
    inputs: (run?.inputs ?? []).flatMap(({ name, g, supply }, i) =>
      supply === 'free' ? [] : [{ name, g, cost: money[i] ?? null }],
    ),
    losses: LOSSES.flatMap((loss) => {
      const g = lost.get(loss) ?? 0;
      return g > 0.5 ? [{ name: loss, g, money: book?.lost[loss]?.toNumber() }] : [];
    }),
    trimmed: book?.trimmed.toNumber(),
    left: book?.left.toNumber(),
    spent: book?.spent.toNumber(),
    portion:
      cost.perPortion === null || cost.portionMl === null
        ? undefined
        : { ml: cost.portionMl, cost: cost.perPortion },
    plates: [...costing.plates.values()]
      .map(({ plate }) => plate)
      .filter((p) => p.lines.some((l) => 'product' in l.of && family.has(l.of.product)))
      .map((p) => {
        const { cost: plate, foodCostPct } = costOfPlate(costing, p.id);
        return { name: p.name, cost: plate, foodCostPct, target: p.targetFoodCostPct };
      }),
    allergens: run?.rows.at(-1)?.allergens ?? [],
    version: {
      no,
      on: (await sheetPast(sql, who.kitchenId, id)).since,
      name: await versionName(sql, who.kitchenId, id, no),
      by: await lastChangedBy(sql, who.kitchenId, id),
    },
  };
}
