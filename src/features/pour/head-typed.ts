import type { DecimalMark } from '@/core/quantity';
import type { PlateHead } from './wire';

interface Plate {
  readonly name: string;
  readonly taxPct: number;
  readonly targetFoodCostPct?: number | undefined;
}

/** A plate's name, tax and target in the fields of their form. */
export function headTyped({ name, taxPct, targetFoodCostPct }: Plate, mark: DecimalMark): PlateHead {
  const typed = (x: number | undefined): string => (x === undefined ? '' : String(x).replace('.', mark));
  return { name, tax: typed(taxPct), target: typed(targetFoodCostPct) };
}
