import type { PotRun } from '../pot';
import type { OpenPack } from '../larder';
import { energyKey, LABOUR, type Layer } from './layers';
import { chargeFactors } from '../prices';
import { isMade } from '../supply';
import { partingsOf } from './parting';

/** So much of a source or product that goes into a recipe, and the row in which it does. */
export interface OwnCost {
  readonly supply: string;
  readonly g: number;
  readonly row: number;
}

/** What a recipe brings into a layer by itself, and through the products it takes. */
export function ownCostOf(run: PotRun, layer: Layer, opens: (id: string) => OpenPack | undefined): OwnCost[] {
  const inputs = run.inputs.map(({ supply, g, step }): OwnCost => ({ supply, g, row: step }));
  if (layer === 'ingredients') {
    const factors = chargeFactors(run.inputs, opens);
    return inputs.map((own) => ({ ...own, g: own.g * (factors.get(own.supply) ?? 1) }));
  }
  const taken = inputs.filter(({ supply }) => isMade(supply));
  if (layer === 'packaging') {
    const last = run.rows.length - 1;
    return [...taken, ...run.packed.map(({ supply, g }): OwnCost => ({ supply, g, row: last }))];
  }
  const own = run.rows.map(({ energy, handsHours }, row): OwnCost =>
    layer === 'energy'
      ? { supply: energyKey(energy.fuel), g: energy.kWh, row }
      : { supply: LABOUR, g: handsHours, row },
  );
  return [...taken, ...own.filter(({ g }) => g > 0)];
}

/**
 * Money of one layer that stays in a pot to its end, however much of it has parted; null while a price is unknown. For the
 * layers beside the ingredients: what is credited at a set value takes none of it along.
 * @param price of a g, kWh or hour of a supply
 */
export function layerMoney(
  run: PotRun,
  layer: Exclude<Layer, 'ingredients'>,
  price: (supply: string) => number | null,
): number | null {
  const own = ownCostOf(run, layer, () => undefined).map(({ supply, g, row }) => ({
    money: price(supply),
    g,
    row,
  }));
  if (own.some(({ money }) => money === null)) return null;
  const between = (after: number, to: number): number =>
    own.reduce((sum, { money, g, row }) => sum + (row > after && row <= to ? (money ?? 0) * g : 0), 0);
  let there = 0;
  let done = -1;
  for (const { row, parts } of partingsOf(run.rows)) {
    there = (there + between(done, row)) * (1 - parts.reduce((sum, p) => sum + p.share, 0));
    done = row;
  }
  return there + between(done, run.rows.length);
}

/** Who brings how much of a layer's money: a step by itself, or a product that is taken. */
export interface LayerShare {
  readonly supply: string;
  readonly row: number;
  readonly money: number;
}

/**
 * Money of one layer by who brings it, in the order of the steps. What has parted has taken of each alike, so that they add up to
 * what stays (`layerMoney`); null while a price is unknown.
 */
export function layerShares(
  run: PotRun,
  layer: Exclude<Layer, 'ingredients'>,
  price: (supply: string) => number | null,
): LayerShare[] | null {
  const total = layerMoney(run, layer, price);
  if (total === null) return null;
  const all = ownCostOf(run, layer, () => undefined).map(({ supply, g, row }) => ({
    supply,
    row,
    money: (price(supply) ?? 0) * g,
  }));
  const sum = all.reduce((n, { money }) => n + money, 0);
  return sum > 0 ? all.map((one) => ({ ...one, money: (one.money * total) / sum })) : [];
}
