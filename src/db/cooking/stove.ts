import type { KitchenFile, WrittenVessel } from '@/core/kitchen-file';
import { BOILS } from '../mapping/json-columns';
import { run, type Sql } from '../sql';
import { nullableJson } from '../mapping/columns';

export type WrittenHob = KitchenFile['hobs'][number];
export type WrittenSupplier = KitchenFile['suppliers'][number];

/** A vessel as its columns hold it. */
export const vesselRow = (v: WrittenVessel) => ({
  name: v.name,
  shape: v.shape,
  base_cm: v.shape === 'round' ? v.baseCm : null,
  top_cm: v.shape === 'round' ? v.topCm : null,
  length_cm: v.shape === 'box' ? v.lengthCm : null,
  width_cm: v.shape === 'box' ? v.widthCm : null,
  height_cm: v.heightCm,
  max_fill_pct: v.maxFillPct,
  empty_g: v.emptyG ?? null,
});

/** A hob as its columns hold it. */
export const hobRow = (h: WrittenHob) => ({
  name: h.name,
  net_kw: h.netKw,
  fuel: h.fuel,
  efficiency_pct: h.efficiencyPct ?? null,
  draught: h.draught ? 1 : 0,
});

/** What a vessel’s own batches have taught. */
export const setBoils = (
  sql: Sql,
  kitchenId: string,
  vessel: string,
  boils: NonNullable<WrittenVessel['boils']>,
): Promise<number> =>
  run(sql, 'UPDATE vessel SET boils = ?, version = version + 1 WHERE kitchen_id = ? AND id = ?', [
    nullableJson(BOILS, boils.length > 0 ? boils : null),
    kitchenId,
    vessel,
  ]);
