import type { DecimalMark } from '@/core/quantity';
import type { WrittenPlate } from '@/core/kitchen-file';
import type { LineServed, PlateHead } from './wire';

const typed = (x: number | undefined, mark: DecimalMark): string =>
  x === undefined ? '' : String(x).replace('.', mark);

/** A plate's name, tax and target, and how it is served, in the fields of their form. */
export const headTyped = (
  { name, taxPct, targetFoodCostPct, service, serviceLossPct, hands, follows }: WrittenPlate,
  mark: DecimalMark,
): PlateHead => ({
  name,
  tax: typed(taxPct, mark),
  target: typed(targetFoodCostPct, mark),
  service: service ?? '',
  loss: typed(serviceLossPct, mark),
  minutes: typed(hands?.minutes, mark),
  plates: typed(hands?.plates, mark),
  ...(follows ? { size: typed(follows.size, mark) } : {}),
});

/** How a line is served, in the fields of its form. */
export const servedTyped = (
  {
    overfillPct,
    takenPct,
    packaging,
  }: {
    readonly overfillPct?: number | undefined;
    readonly takenPct?: number | undefined;
    readonly packaging?: boolean | undefined;
  },
  mark: DecimalMark,
): LineServed => ({
  overfill: typed(overfillPct, mark),
  taken: typed(takenPct, mark),
  packaging: packaging === true,
});
