import { z } from 'zod';
import { COSTS, COST_CHANGES, type Costs, type CostChanges } from '../mapping/json-columns';
import { many, maybeOne, run, type Sql } from '../sql';

/** What everything cost when it was last worked out. */
export interface LastCosts {
  readonly model: number;
  readonly revision: number;
  readonly mark: string;
  readonly forDay: string;
  readonly costs: Costs;
}

export const lastCosts = (sql: Sql, kitchenId: string): Promise<LastCosts | undefined> =>
  maybeOne(
    sql,
    z
      .object({
        model: z.number(),
        revision: z.coerce.number(),
        mark: z.string(),
        forDay: z.string(),
        body: COSTS.read,
      })
      .transform(({ body, ...r }): LastCosts => ({ ...r, costs: body })),
    'SELECT model, revision, mark, for_day AS forDay, body FROM costs_last WHERE kitchen_id = ?',
    [kitchenId],
  );

/** By which model costs were last worked out: undefined where they never were. */
export const lastModel = async (sql: Sql, kitchenId: string, lock = false): Promise<number | undefined> =>
  (
    await maybeOne(
      sql,
      z.object({ model: z.number() }),
      `SELECT model FROM costs_last WHERE kitchen_id = ?${lock ? ' FOR UPDATE' : ''}`,
      [kitchenId],
    )
  )?.model;

export async function setLastCosts(sql: Sql, kitchenId: string, of: LastCosts): Promise<void> {
  await run(
    sql,
    'INSERT INTO costs_last (kitchen_id, model, revision, mark, for_day, body) VALUES (?,?,?,?,?,?) ON DUPLICATE KEY UPDATE model = VALUES(model), revision = VALUES(revision), mark = VALUES(mark), for_day = VALUES(for_day), body = VALUES(body)',
    [kitchenId, of.model, of.revision, of.mark, of.forDay, COSTS.write(of.costs)],
  );
}

/** Costs that moved because the model did. */
export interface ModelChange {
  readonly id: string;
  readonly fromModel: number;
  readonly toModel: number;
  readonly foundAt: Date;
  readonly forDay: string;
  /** Whether nothing else had moved meanwhile. */
  readonly exact: boolean;
  readonly moves: CostChanges;
  readonly seenAt: Date | undefined;
}

export const modelChanges = (sql: Sql, kitchenId: string): Promise<ModelChange[]> =>
  many(
    sql,
    z
      .object({
        id: z.string(),
        fromModel: z.number(),
        toModel: z.number(),
        foundAt: z.date(),
        forDay: z.string(),
        exact: z.number(),
        body: COST_CHANGES.read,
        seenAt: z.date().nullable(),
      })
      .transform(({ body, exact, seenAt, ...r }): ModelChange => ({
        ...r,
        exact: exact === 1,
        moves: body,
        seenAt: seenAt ?? undefined,
      })),
    'SELECT id, from_model AS fromModel, to_model AS toModel, found_at AS foundAt, for_day AS forDay, exact, body, seen_at AS seenAt FROM model_move WHERE kitchen_id = ? ORDER BY found_at DESC, id DESC LIMIT 12',
    [kitchenId],
  );

/** How many that a model made have not been seen: anyone who takes starting values has asked for what they move. */
export const unseenModelChanges = async (sql: Sql, kitchenId: string): Promise<number> =>
  (
    await maybeOne(
      sql,
      z.object({ n: z.number() }),
      'SELECT COUNT(*) AS n FROM model_move WHERE kitchen_id = ? AND seen_at IS NULL AND from_model < to_model',
      [kitchenId],
    )
  )?.n ?? 0;

export async function addModelChange(
  sql: Sql,
  kitchenId: string,
  move: Omit<ModelChange, 'seenAt'>,
): Promise<void> {
  await run(
    sql,
    'INSERT INTO model_move (kitchen_id, id, from_model, to_model, found_at, for_day, exact, body) VALUES (?,?,?,?,?,?,?,?)',
    [
      kitchenId,
      move.id,
      move.fromModel,
      move.toModel,
      move.foundAt,
      move.forDay,
      move.exact ? 1 : 0,
      COST_CHANGES.write(move.moves),
    ],
  );
}

/** @returns 0 where it was seen already */
export const markModelChangeSeen = (
  sql: Sql,
  kitchenId: string,
  id: string,
  personId: string,
  at: Date,
): Promise<number> =>
  run(
    sql,
    'UPDATE model_move SET seen_at = ?, seen_by = ? WHERE kitchen_id = ? AND id = ? AND seen_at IS NULL',
    [at, personId, kitchenId, id],
  );
