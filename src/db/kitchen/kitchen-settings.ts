import type { HouseRules } from '@/core/kitchen-file';
import type { KitchenState } from '@/core/kitchen-state';
import type { ShownIn } from '@/core/quantity';
import { HOUSE_RULES } from '../mapping/json-columns';
import { run, type Sql } from '../sql';
import { nullableJson } from '../mapping/columns';

/** What a kitchen is called and counts in, how its figures are written, what plates begin with, and what cooks may. */
export interface KitchenSettings {
  readonly name: string;
  readonly currency: string;
  readonly zone: string;
  readonly locale: string;
  readonly decimalMark: '.' | ',';
  readonly usualTaxPct: number | null;
  readonly usualTargetPct: number | null;
  readonly cooksMayChange: boolean;
  readonly shownIn: ShownIn;
  readonly rules: HouseRules | null;
}

/** What stands in a kitchen's row of its own settings. */
export const settingsOf = (kitchen: KitchenState['kitchen']): KitchenSettings => ({
  name: kitchen.name,
  currency: kitchen.currency,
  zone: kitchen.zone,
  locale: kitchen.locale,
  decimalMark: kitchen.decimalMark,
  usualTaxPct: kitchen.usualTaxPct ?? null,
  usualTargetPct: kitchen.usualTargetPct ?? null,
  cooksMayChange: kitchen.cooksMayChange ?? false,
  shownIn: kitchen.shownIn ?? 'metric',
  rules: kitchen.rules ?? null,
});

/** Writes them; the kitchen's version has been taken. */
export const setSettings = (sql: Sql, kitchenId: string, s: KitchenSettings): Promise<number> =>
  run(
    sql,
    'UPDATE kitchen SET name = ?, currency = ?, zone = ?, locale = ?, decimal_mark = ?, usual_tax_pct = ?, usual_target_pct = ?, cooks_may_change = ?, shown_in = ?, house_rules = ? WHERE id = ?',
    [
      s.name,
      s.currency,
      s.zone,
      s.locale,
      s.decimalMark,
      s.usualTaxPct,
      s.usualTargetPct,
      s.cooksMayChange ? 1 : 0,
      s.shownIn,
      nullableJson(HOUSE_RULES, s.rules),
      kitchenId,
    ],
  );
