import type { KitchenCosting } from './kitchen';

/** What a plate costs to put together, and what share of its price net of tax that is. */
export interface PlateCost {
  readonly cost: number | null;
  readonly lines: readonly (number | null)[];
  readonly netPrice: number | null;
  readonly foodCostPct: number | null;
  /** Highest cost that keeps the target, if the plate has a target and a price. */
  readonly mostAllowed: number | null;
}

/** @throws GraphError when the plate is not in the kitchen */
export function costOfPlate(costing: KitchenCosting, plateId: string): PlateCost {
  const cost = costing.graph.cost(`plate:${plateId}`);
  const plate = costing.plates.get(plateId);
  const lines = (plate?.lines ?? []).map(({ resolved }) => {
    if (!resolved.ok) return null;
    const { what, g } = resolved.value;
    if (what.supply === 'free') return 0;
    const perG = costing.graph.cost(what.supply);
    return perG === null ? null : perG * g;
  });
  const netPrice =
    plate?.plate.menuPrice === undefined
      ? null
      : Number(plate.plate.menuPrice) / (1 + plate.plate.taxPct / 100);
  const foodCostPct = cost === null || netPrice === null || netPrice === 0 ? null : (cost / netPrice) * 100;
  const target = plate?.plate.targetFoodCostPct;
  return {
    cost,
    lines,
    netPrice,
    foodCostPct,
    mostAllowed: netPrice === null || target === undefined ? null : (netPrice * target) / 100,
  };
}
