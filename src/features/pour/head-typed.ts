import type { DecimalMark } from '@/core/quantity';
import type { WrittenPlate } from '@/core/kitchen-file';
import type { LineServed, PlateHead } from './wire';

const typed = (x: number | undefined, mark: DecimalMark): string =>
  x === undefined ? '' : String(x).replace('.', mark);

/** A plate's name, tax and target, and how it is served, in the fields of their form. */
export const headTyped = (
  {
    name,
    taxPct,
    targetFoodCostPct,
    service,
    serviceLossPct,
  }: Pick<WrittenPlate, 'name' | 'taxPct' | 'targetFoodCostPct' | 'service' | 'serviceLossPct'>,
  mark: DecimalMark,
): PlateHead => ({
  name,
  tax: typed(taxPct, mark),
  target: typed(targetFoodCostPct, mark),
  service: service ?? '',
  loss: typed(serviceLossPct, mark),
});

/** How a line is served, in the fields of its form. */
export const servedTyped = (
  { overfillPct, takenPct }: Pick<WrittenPlate['lines'][number], 'overfillPct' | 'takenPct'>,
  mark: DecimalMark,
): LineServed => ({ overfill: typed(overfillPct, mark), taken: typed(takenPct, mark) });
