import { layerName, moneyStaying, type Layer } from '../layers';
import { chargeFactors } from '../prices';
import type { CookedWay, SnapshotPots, Way } from './snapshot';

/** Where the money of one litre of a way came from: its ingredients by name, and each other layer that is counted. */
export interface CostSource {
  readonly name: string;
  readonly perL: number;
}

/** What one litre of a cooked way was paid for; nothing while a price is not known. */
export function costSources(
  pots: SnapshotPots,
  way: Way,
  cooked: CookedWay,
  beside: readonly Layer[],
): CostSource[] {
  const run = cooked.runs.get(way.product);
  const litres = (run?.product?.ml ?? 0) / 1000;
  if (!run || litres === 0) return [];
  const price = pots.pricesOf(way, cooked);
  const factors = chargeFactors(run.inputs, pots.opensIn(way));
  const costs = run.inputs.map(({ supply, g }) => {
    const perG = supply === 'free' ? 0 : price('ingredients')(supply);
    return perG === null ? null : perG * g * (factors.get(supply) ?? 1);
  });
  if (costs.includes(null)) return [];
  const staying = moneyStaying(run.rows, costs);
  const g = run.product?.g ?? 0;
  return [
    ...run.inputs.map((input, i) => ({ name: input.name, perL: (staying[i] ?? 0) / litres })),
    ...beside
      .filter((l) => l !== 'ingredients')
      .map((l) => ({ name: layerName(l), perL: ((price(l)(`product:${way.product}`) ?? 0) * g) / litres })),
  ].filter((p) => p.perL > 0);
}
