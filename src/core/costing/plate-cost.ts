import type { KitchenCosting, PlateCosting } from './kitchen';

/** What a plate costs to put together, and what share of its price net of tax that is. */
export interface PlateCost {
  readonly cost: number | null;
  /** Of each line; packaging costs nothing here but what `packaging` says. */
  readonly lines: readonly (number | null)[];
  readonly packaging: readonly (number | null)[];
  readonly netPrice: number | null;
  readonly foodCostPct: number | null;
  /** Highest cost that keeps the target, if the plate has a target and a price. */
  readonly mostAllowed: number | null;
}

/** @throws GraphError when the plate is not in the kitchen */
export function costOfPlate(costing: KitchenCosting, plateId: string): PlateCost {
  const cost = costing.graph.cost(`plate:${plateId}`);
  const { plate, lines } = costing.plates.get(plateId) as PlateCosting;
  const perLine = lines.map(({ resolved, times }) => {
    const perG = resolved.ok ? costing.graph.cost(resolved.value.what.supply) : null;
    return !resolved.ok || perG === null ? null : perG * resolved.value.g * times;
  });
  const isPackaging = lines.map(({ written }) => written.packaging === true);
  const { menuPrice, taxPct, targetFoodCostPct: target } = plate;
  const netPrice = menuPrice === undefined ? null : Number(menuPrice) / (1 + taxPct / 100);
  return {
    cost,
    lines: perLine.map((money, i) => (isPackaging[i] ? 0 : money)),
    packaging: perLine.map((money, i) => (isPackaging[i] ? money : 0)),
    netPrice,
    foodCostPct: cost === null || netPrice === null || netPrice === 0 ? null : (cost / netPrice) * 100,
    mostAllowed: netPrice === null || target === undefined ? null : (netPrice * target) / 100,
  };
}
