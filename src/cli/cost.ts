import {
  costByLayer,
  costFile,
  costOfPlate,
  costOfProduct,
  gapsOf,
  inputCosts,
  wentInCents,
  whereTheMoneyWent,
  type KitchenCosting,
} from '../core/costing';
import { LAYERS, rowCosts, type Layer } from '../core/layers';
import { lineWords, readKitchenText, namesIn } from '../core/kitchen-file';
import { LOSSES } from '../core/pot';
import type { Money } from '../core/quantity';
import { batchesTaken } from '../core/shelf';
import { readSupply } from '../core/supply';
import { CONSTANTS } from '../core/reference';
import type { Trouble } from '../core/trouble';

/** What `halfpot cost FILE` answers, as data. Money is in the kitchen's currency, null while incomplete. */
export interface CostReport {
  readonly kitchen: string;
  readonly day: string;
  readonly currency: string;
  /** What `cost`, `costPerLitre`, `costPerPortion`, `total` and `foodCostPct` are of; the other layers stand in `layers` and `layersPerLitre`. */
  readonly costsAreOf: readonly ['ingredients'];
  readonly products: readonly ProductReport[];
  readonly plates: readonly {
    id: string;
    name: string;
    cost: number | null;
    layers: Readonly<Record<Layer, number | null>>;
    /** Of the ingredients alone. */
    foodCostPct: number | null;
    /** Menu price without its tax. */
    netPrice: number | null;
    incomplete: readonly Trouble[];
  }[];
}

interface ProductReport {
  readonly id: string;
  readonly name: string;
  readonly litres: number;
  readonly costPerLitre: number | null;
  /** A litre in each layer, which add up; null where a layer is not whole. */
  readonly layersPerLitre: Readonly<Record<Layer, number | null>>;
  readonly portionMl: number | null;
  readonly pouredMl: number | null;
  readonly costPerPortion: number | null;
  readonly total: number | null;
  readonly lostKg: Readonly<Record<string, number>>;
  /** Where the money went, to the cent, adding up to the total. */
  readonly moneyWent: Readonly<Record<string, string>> | null;
  /** What it takes more of than one batch gives: so many batches of it. */
  readonly takesBatches: readonly {
    readonly name: string;
    readonly kg: number;
    readonly batchKg: number;
    readonly batches: number;
  }[];
  /** Of the ingredients, where it is thought of in kilos: a paste, a roux. */
  readonly costPerKg: number | null;
  readonly inKilos: boolean;
  /** What parts from it. */
  readonly parts: readonly PartReport[];
  readonly incomplete: readonly Trouble[];
  readonly ledger?: readonly object[];
}

interface PartReport {
  readonly name: string;
  readonly kg: number;
  readonly litres: number;
  readonly costPerKg: number | null;
}

/** Costs the text of a kitchen file. Mistakes come back all at once and nothing is costed then. */
export function costText(
  text: string,
  withLedger: boolean,
):
  | { readonly mistakes: readonly Trouble[] }
  | { readonly report: CostReport; readonly costing: KitchenCosting } {
  const read = readKitchenText(text);
  if (!read.ok) return { mistakes: read.mistakes };
  const costing = costFile(read.file, read.file.referenceDay, CONSTANTS);
  const { state } = costing;
  const report: CostReport = {
    kitchen: state.kitchen.name,
    day: costing.day,
    currency: state.kitchen.currency,
    costsAreOf: ['ingredients'],
    products: state.recipes.map((r) => productReport(costing, r.id, withLedger)),
    plates: state.plates.map((p) => {
      const { cost, foodCostPct, netPrice } = costOfPlate(costing, p.id);
      const layers = costByLayer(costing, `plate:${p.id}`);
      return {
        id: p.id,
        name: p.name,
        cost,
        layers,
        foodCostPct,
        netPrice,
        incomplete: gapsOf(costing, `plate:${p.id}`),
      };
    }),
  };
  return { report, costing };
}

function productReport(costing: KitchenCosting, id: string, withLedger: boolean): ProductReport {
  const cost = costOfProduct(costing, id);
  const recipe = costing.recipes.get(id);
  const lostKg: Record<string, number> = {};
  for (const row of recipe?.run.rows ?? [])
    for (const loss of LOSSES) if (row.lost[loss]) lostKg[loss] = (lostKg[loss] ?? 0) + row.lost[loss] / 1000;
  return {
    id,
    name: recipe?.recipe.name ?? '',
    litres: cost.ml / 1000,
    costPerLitre: cost.perL,
    layersPerLitre: layersPerLitre(costing, id),
    portionMl: cost.portionMl,
    pouredMl: cost.pouredMl,
    costPerPortion: cost.perPortion,
    total: cost.total,
    lostKg,
    moneyWent: moneyWent(costing, id),
    takesBatches: takesBatches(costing, id),
    costPerKg: cost.perKg,
    inKilos: cost.inKilos,
    parts: parts(costing, id),
    incomplete: gapsOf(costing, `product:${id}`),
    ...(withLedger ? { ledger: ledger(costing, id) } : {}),
  };
}

function layersPerLitre(costing: KitchenCosting, id: string): Record<Layer, number | null> {
  const { g, ml } = costOfProduct(costing, id);
  const layers = costByLayer(costing, `product:${id}`);
  return Object.fromEntries(
    LAYERS.map((name) => {
      const perG = layers[name];
      return [name, perG === null || ml === 0 ? null : (perG * g * 1000) / ml];
    }),
  ) as Record<Layer, number | null>;
}

function takesBatches(costing: KitchenCosting, id: string): ProductReport['takesBatches'] {
  const run = costing.recipes.get(id)?.run;
  if (!run) return [];
  return batchesTaken(run, (supply) => madeG(costing, supply)).map(({ name, g, eachG, batches }) => ({
    name,
    kg: g / 1000,
    batchKg: eachG / 1000,
    batches,
  }));
}

/** g that one batch of a supply gives; undefined for what is bought, and for last batches. */
function madeG(costing: KitchenCosting, supply: string): number | undefined {
  const from = readSupply(supply);
  return from?.is === 'product' ? costOfProduct(costing, from.id, from.part).g : undefined;
}

/** What parts from a recipe, each with its own cost. */
function parts(costing: KitchenCosting, id: string): PartReport[] {
  const rows = costing.recipes.get(id)?.run.rows ?? [];
  return rows
    .flatMap((row) => row.parted)
    .map(({ name, product }) => ({
      name,
      kg: product.g / 1000,
      litres: product.ml / 1000,
      costPerKg: costOfProduct(costing, id, name).perKg,
    }));
}

function moneyWent(costing: KitchenCosting, id: string): Record<string, string> | null {
  const went = whereTheMoneyWent(costing, id);
  if (!went) return null;
  const { trimmed, lost, parted, left } = wentInCents(went);
  return Object.fromEntries(
    [
      ['trim loss', trimmed],
      ...Object.entries(lost),
      ...Object.entries(parted),
      ['still in the product', left],
    ].map(([name, cents]) => [name, (cents as Money).toFixed(2)]),
  );
}

function ledger(costing: KitchenCosting, id: string): object[] {
  const names = namesIn(costing.state);
  const { run, recipe } = costing.recipes.get(id) as NonNullable<
    ReturnType<KitchenCosting['recipes']['get']>
  >;
  const money = rowCosts(
    run.rows,
    inputCosts(costing, id),
    run.unread.map((u) => u.step),
  );
  return run.rows.map((row, i) => ({
    step: row.step + 1,
    said: lineWords(recipe.steps[row.step] as (typeof recipe.steps)[number], recipe, names),
    vessel: row.vessel.name,
    litres: row.ml / 1000,
    kg: row.g / 1000,
    piecesKg: row.piecesG / 1000,
    levelCm: row.levelCm,
    dipCm: row.dipCm,
    celsius: row.celsius,
    hobHours: row.hobHours,
    elapsedHours: row.elapsedHours,
    cost: money[i]?.inPot ?? null,
    costPerLitre: money[i]?.perL ?? null,
    saltPct: row.saltPct,
    gelatinPct: row.gelatinPct,
    bindingGPerL: row.bindingGPerL,
    body: row.body,
    fatPct: row.fatPct,
    ethanolPct: row.ethanolPct,
    allergens: row.allergens,
    lostKg: Object.fromEntries(Object.entries(row.lost).map(([loss, g]) => [loss, g / 1000])),
    warnings: row.warnings,
  }));
}
