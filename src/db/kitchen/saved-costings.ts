import { z } from 'zod';
import { KEPT_COSTING, type KeptCosting } from '../mapping/json-columns';
import { many, maybeOne, run, type Sql } from '../sql';

/** A costing as somebody kept it. */
export interface SavedCosting {
  readonly id: string;
  readonly what: 'product' | 'plate';
  readonly subjectId: string;
  readonly name: string;
  readonly forDay: string;
  readonly keptAt: Date;
  readonly by: string | undefined;
  readonly model: number;
  readonly body: KeptCosting;
  /** Put away, to be brought back. */
  readonly away: boolean;
}

const Row = z
  .object({
    id: z.string(),
    what: z.enum(['product', 'plate']),
    subject_id: z.string(),
    name: z.string(),
    for_day: z.string(),
    kept_at: z.date(),
    by_name: z.string().nullable(),
    model: z.number(),
    body: KEPT_COSTING.read,
    archived_at: z.date().nullable(),
  })
  .transform((r): SavedCosting => ({
    id: r.id,
    what: r.what,
    subjectId: r.subject_id,
    name: r.name,
    forDay: r.for_day,
    keptAt: r.kept_at,
    by: r.by_name ?? undefined,
    model: r.model,
    body: r.body,
    away: r.archived_at !== null,
  }));

const SELECT =
  'SELECT k.id, k.what, k.subject_id, k.name, k.for_day, k.kept_at, p.name AS by_name, k.model, k.body, k.archived_at FROM kept_costing k LEFT JOIN person p ON p.kitchen_id = k.kitchen_id AND p.id = k.kept_by WHERE k.kitchen_id = ?';

/** The costings that are kept of one thing, the newest first; with those that have been put away. */
export const savedCostings = (sql: Sql, kitchenId: string, subjectId: string): Promise<SavedCosting[]> =>
  many(sql, Row, `${SELECT} AND k.subject_id = ? ORDER BY k.kept_at DESC, k.id LIMIT 100`, [
    kitchenId,
    subjectId,
  ]);

/** One of them; undefined where it has been put away. */
export const savedCosting = (sql: Sql, kitchenId: string, id: string): Promise<SavedCosting | undefined> =>
  maybeOne(sql, Row, `${SELECT} AND k.id = ? AND k.archived_at IS NULL`, [kitchenId, id]);

export async function insertSavedCosting(
  sql: Sql,
  kitchenId: string,
  kept: Omit<SavedCosting, 'by' | 'away'> & { readonly byId: string },
): Promise<void> {
  await run(
    sql,
    'INSERT INTO kept_costing (kitchen_id, id, what, subject_id, name, for_day, kept_at, kept_by, model, body) VALUES (?,?,?,?,?,?,?,?,?,?)',
    [
      kitchenId,
      kept.id,
      kept.what,
      kept.subjectId,
      kept.name,
      kept.forDay,
      kept.keptAt,
      kept.byId,
      kept.model,
      KEPT_COSTING.write(kept.body),
    ],
  );
}

/** Puts one away, or takes it up again. */
export const archiveSavedCosting = (
  sql: Sql,
  kitchenId: string,
  id: string,
  at: Date | null,
): Promise<number> =>
  run(sql, 'UPDATE kept_costing SET archived_at = ? WHERE kitchen_id = ? AND id = ?', [at, kitchenId, id]);
