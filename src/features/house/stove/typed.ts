import type { KitchenState } from '@/core/kitchen-state';
import type { DecimalMark } from '@/core/quantity';
import type { HobTyped, VesselTyped } from './wire';
import * as texts from './texts';

/** Figures as they are typed in a house; nothing for what is not known. */
export const typedWith =
  (mark: DecimalMark) =>
  (x: number | undefined): string =>
    x === undefined ? '' : String(Number(x.toFixed(2))).replace('.', mark);

/** A vessel in the fields of its form. */
export function vesselTyped(v: KitchenState['vessels'][number], mark: DecimalMark): VesselTyped {
  const typed = typedWith(mark);
  const round = v.shape === 'round';
  return {
    name: v.name,
    shape: v.shape,
    base: round ? typed(v.baseCm) : '',
    top: round ? typed(v.topCm) : '',
    length: round ? '' : typed(v.lengthCm),
    width: round ? '' : typed(v.widthCm),
    height: typed(v.heightCm),
    fill: typed(v.maxFillPct),
    empty: v.emptyG === undefined ? '' : texts.kg(typed(v.emptyG / 1000)),
  };
}

/** A hob in the fields of its form. */
export function hobTyped(h: KitchenState['hobs'][number], mark: DecimalMark): HobTyped {
  const typed = typedWith(mark);
  return {
    name: h.name,
    fuel: h.fuel,
    netKw: h.netKw === null ? '' : typed(h.netKw),
    efficiency: typed(h.efficiencyPct),
    draught: h.draught ?? false,
  };
}
