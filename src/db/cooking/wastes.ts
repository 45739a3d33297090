import { z } from 'zod';
import type { WrittenWaste } from '@/core/kitchen-file';
import { newId } from '../mapping/ids';
import { figure, id, instant, nullable, type Reader } from '../mapping/rows';
import { insertAll, insertRows, many, maybeOne, run, type Sql } from '../sql';

/**
 * Books something thrown away as a movement of stock. Of an ingredient as bought it leaves the newest lot that had come in by then; stock
 * trim has come off that lot first, so a lot of trim is made of it and leaves again: it can be followed both ways.
 * @param g what it weighs
 */
export async function bookWaste(
  sql: Sql,
  kitchenId: string,
  waste: WrittenWaste,
  g: number,
  via: string,
): Promise<void> {
  const from = await maybeOne(
    sql,
    z.object({ id }),
    "SELECT id FROM lot WHERE kitchen_id = ? AND ingredient_id = ? AND part = 'whole' AND made_on <= ? ORDER BY made_on DESC, id DESC LIMIT 1",
    [kitchenId, waste.ingredient, waste.on],
  );
  const trimmed = waste.part === 'stock trim';
  const lot = from === undefined || trimmed ? newId() : from.id;
  if (lot !== from?.id)
    await insertAll(
      sql,
      'lot',
      ['kitchen_id', 'id', 'ingredient_id', 'part', 'made_on'],
      [[kitchenId, lot, waste.ingredient, waste.part, waste.on]],
    );
  if (trimmed && from)
    await insertAll(
      sql,
      'lot_source',
      ['kitchen_id', 'lot_id', 'source_lot_id'],
      [[kitchenId, lot, from.id]],
    );
  const at = new Date(waste.recordedAt);
  const move = (kind: 'produced' | 'waste', movementId: string, signed: number, reason: string | null) =>
    run(
      sql,
      'INSERT INTO stock_movement (kitchen_id, id, lot_id, kind, effective_on, recorded_at, person_id, g, typed, via, reason) VALUES (?,?,?,?,?,?,?,?,?,?,?)',
      [
        kitchenId,
        movementId,
        lot,
        kind,
        waste.on,
        at,
        waste.by ?? null,
        signed.toFixed(6),
        waste.amount,
        via,
        reason,
      ],
    );
  if (trimmed) await move('produced', newId(), g, null);
  await move('waste', waste.id, -g, waste.reason);
}

/** Whether a movement still stands: whatever turned it round, and that round again, comes to nothing. */
const STANDS =
  '(SELECT COALESCE(SUM(b.g), 0) FROM stock_movement b WHERE b.kitchen_id = m.kitchen_id AND b.takes_back = m.id) = 0';

/**
 * Takes back what was thrown away: every movement that was made for it is made the other way; or, not `back`, once more.
 */
export async function withdrawWaste(
  sql: Sql,
  kitchenId: string,
  wasteId: string,
  back: boolean,
  { by, on, at }: { readonly by: string; readonly on: string; readonly at: Date },
): Promise<void> {
  const made = await many(
    sql,
    z.object({ id, lot: id, g: figure, typed: z.string() }),
    "SELECT m.id, m.lot_id AS lot, m.g, m.typed FROM stock_movement w JOIN stock_movement m ON m.kitchen_id = w.kitchen_id AND m.lot_id = w.lot_id AND (m.id = w.id OR (m.kind = 'produced' AND m.recorded_at = w.recorded_at)) WHERE w.kitchen_id = ? AND w.id = ?",
    [kitchenId, wasteId],
  );
  await insertRows(
    sql,
    'stock_movement',
    made.map((m) => ({
      kitchen_id: kitchenId,
      id: newId(),
      lot_id: m.lot,
      kind: 'taken back',
      effective_on: on,
      recorded_at: at,
      person_id: by,
      g: (back ? -m.g : m.g).toFixed(6),
      typed: m.typed,
      via: 'taken back',
      takes_back: m.id,
    })),
  );
}

/** Everything thrown away, as the kitchen file has it. */
export const readWastes = (of: Reader): Promise<WrittenWaste[]> =>
  of(
    z.object({
      id,
      ingredient: id,
      part: z.enum(['whole', 'stock trim']),
      on: z.string(),
      recordedAt: instant,
      by: nullable(id),
      amount: z.string(),
      reason: z.string(),
    }),
    `SELECT m.id, l.ingredient_id AS ingredient, l.part, m.effective_on AS \`on\`, m.recorded_at AS recordedAt, m.person_id AS \`by\`, m.typed AS amount, m.reason FROM stock_movement m JOIN lot l ON l.kitchen_id = m.kitchen_id AND l.id = m.lot_id WHERE m.kitchen_id = ? AND m.kind = 'waste' AND ${STANDS} ORDER BY m.effective_on, m.recorded_at, m.id`,
  );

/** One thing thrown away, with what it weighed. */
export interface WasteRow {
  readonly id: string;
  readonly ingredient: string;
  readonly part: 'whole' | 'stock trim';
  readonly on: string;
  readonly who?: string | undefined;
  readonly amount: string;
  readonly g: number;
  readonly reason: string;
}

/** What was thrown away since a day, newest first. */
export const wastesSince = (sql: Sql, kitchenId: string, since: string): Promise<WasteRow[]> =>
  many(
    sql,
    z.object({
      id,
      ingredient: id,
      part: z.enum(['whole', 'stock trim']),
      on: z.string(),
      who: nullable(z.string()),
      amount: z.string(),
      g: figure,
      reason: z.string(),
    }),
    `SELECT m.id, l.ingredient_id AS ingredient, l.part, m.effective_on AS \`on\`, p.name AS who, m.typed AS amount, -m.g AS g, m.reason FROM stock_movement m JOIN lot l ON l.kitchen_id = m.kitchen_id AND l.id = m.lot_id LEFT JOIN person p ON p.kitchen_id = m.kitchen_id AND p.id = m.person_id WHERE m.kitchen_id = ? AND m.kind = 'waste' AND m.effective_on >= ? AND ${STANDS} ORDER BY m.effective_on DESC, m.recorded_at DESC, m.id DESC`,
    [kitchenId, since],
  );

/** g of each ingredient that came in on the days from `since` to `until`, merged spellings counted together. */
export async function boughtBetween(
  sql: Sql,
  kitchenId: string,
  since: string,
  until: string,
): Promise<ReadonlyMap<string, number>> {
  const rows = await many(
    sql,
    z.object({ ingredient: id, g: figure }),
    `SELECT COALESCE(i.merged_into, i.id) AS ingredient, SUM(l.accepted_g) AS g
       FROM purchase_line l
       JOIN purchase p ON p.kitchen_id = l.kitchen_id AND p.id = l.purchase_id
       JOIN supplier_article a ON a.kitchen_id = l.kitchen_id AND a.id = l.article_id
       JOIN ingredient i ON i.kitchen_id = a.kitchen_id AND i.id = a.ingredient_id
      WHERE l.kitchen_id = ? AND p.effective_on BETWEEN ? AND ? AND p.withdrawn_at IS NULL AND l.accepted_g IS NOT NULL
      GROUP BY COALESCE(i.merged_into, i.id)`,
    [kitchenId, since, until],
  );
  return new Map(rows.map((r) => [r.ingredient, r.g]));
}
