import { run, type Sql } from './sql';

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
}

/** Writes them; the kitchen's version has been taken. */
export const setSettings = (sql: Sql, kitchenId: string, s: KitchenSettings): Promise<number> =>
  run(
    sql,
    'UPDATE kitchen SET name = ?, currency = ?, zone = ?, locale = ?, decimal_mark = ?, usual_tax_pct = ?, usual_target_pct = ?, cooks_may_change = ? WHERE id = ?',
    [
      s.name,
      s.currency,
      s.zone,
      s.locale,
      s.decimalMark,
      s.usualTaxPct,
      s.usualTargetPct,
      s.cooksMayChange ? 1 : 0,
      kitchenId,
    ],
  );
