import { z } from 'zod';
import type { WrittenBatch, WrittenBatchEvent } from '@/core/kitchen-file';
import { BATCH_EVENT, BATCH_STEPS, FORETOLD } from '../mapping/json-columns';
import { groupBy, id, instant, nullable } from '../mapping/rows';
import { insertRows, many, maybeOne, run, type Sql } from '../sql';

const Row = z.object({
  id,
  recipe: id,
  name: z.string(),
  vessel: id,
  hob: id,
  startedAt: instant,
  steps: BATCH_STEPS.read,
  foretold: nullable(FORETOLD.read),
  stands: z.number(),
});
const COLUMNS =
  'id, recipe_id AS recipe, name, vessel_id AS vessel, hob_id AS hob, started_at AS startedAt, steps, foretold, version AS stands';

/** Which batches are read. */
type Which =
  | { readonly are: 'all' | 'running' }
  | { readonly are: 'ended'; readonly most: number }
  | { readonly are: 'one'; readonly id: string };

const WHERE: Readonly<Record<Which['are'], string>> = {
  all: 'TRUE ORDER BY started_at, id',
  running: 'ended_at IS NULL ORDER BY started_at, id',
  ended: 'ended_at IS NOT NULL ORDER BY ended_at DESC, id LIMIT ?',
  one: 'id = ?',
};

/** A batch, and how often something has been told of it or taken back: it is the same as long as that is. */
export interface StandingBatch {
  readonly batch: WrittenBatch;
  readonly stands: number;
}

/** Batches with what has happened to them, in the order in which it did; what was withdrawn is left out. */
export const readBatches = async (sql: Sql, kitchenId: string, which: Which): Promise<WrittenBatch[]> =>
  (await readStanding(sql, kitchenId, which)).map(({ batch }) => batch);

/** The same, each with how it stands. */
export async function readStanding(sql: Sql, kitchenId: string, which: Which): Promise<StandingBatch[]> {
  const more = which.are === 'ended' ? [which.most] : which.are === 'one' ? [which.id] : [];
  const rows = await many(
    sql,
    Row,
    `SELECT ${COLUMNS} FROM batch WHERE kitchen_id = ? AND archived_at IS NULL AND ${WHERE[which.are]}`,
    [kitchenId, ...more],
  );
  if (rows.length === 0) return [];
  const events = await many(
    sql,
    z.object({ batch: id, body: BATCH_EVENT.read }),
    `SELECT batch_id AS batch, body FROM batch_event WHERE kitchen_id = ? AND withdrawn_at IS NULL AND batch_id IN (${rows.map(() => '?').join(',')}) ORDER BY happened_at, recorded_at, id`,
    [kitchenId, ...rows.map((r) => r.id)],
  );
  const of = groupBy(events, (e) => e.batch);
  return rows.map(({ stands, ...row }) => ({
    batch: { ...row, events: (of.get(row.id) ?? []).map((e) => e.body) },
    stands,
  }));
}

/** What a vessel holds that is on; undefined where it is free. */
export const heldBy = (
  sql: Sql,
  kitchenId: string,
  vessel: string,
): Promise<{ name: string; startedAt: string } | undefined> =>
  maybeOne(
    sql,
    z.object({ name: z.string(), startedAt: instant }),
    'SELECT name, started_at AS startedAt FROM batch WHERE kitchen_id = ? AND vessel_id = ? AND ended_at IS NULL AND archived_at IS NULL LIMIT 1',
    [kitchenId, vessel],
  );

/** Whether something of that id has been told already, of whatever batch, and even if it was taken back since. */
export const isTold = async (sql: Sql, kitchenId: string, event: string): Promise<boolean> =>
  (await maybeOne(sql, z.object({ id }), 'SELECT id FROM batch_event WHERE kitchen_id = ? AND id = ?', [
    kitchenId,
    event,
  ])) !== undefined;

/** When a batch was over, by what has been told of it. */
const endOf = (events: readonly WrittenBatchEvent[]): Date | null => {
  const end = events.find((e) => e.is === 'ended');
  return end ? new Date(end.at) : null;
};

/** Batches whole, with what happened to them. */
export async function insertBatches(
  sql: Sql,
  kitchenId: string,
  batches: readonly WrittenBatch[],
): Promise<void> {
  await insertRows(
    sql,
    'batch',
    batches.map((b) => ({
      kitchen_id: kitchenId,
      id: b.id,
      recipe_id: b.recipe,
      name: b.name,
      vessel_id: b.vessel,
      hob_id: b.hob,
      started_at: new Date(b.startedAt),
      ended_at: endOf(b.events),
      steps: BATCH_STEPS.write(b.steps),
      foretold: b.foretold ? FORETOLD.write(b.foretold) : null,
    })),
  );
  await insertRows(
    sql,
    'batch_event',
    batches.flatMap((b) => b.events.map((e) => eventRow(kitchenId, b.id, e))),
  );
}

const eventRow = (kitchenId: string, batch: string, event: WrittenBatchEvent) => ({
  kitchen_id: kitchenId,
  id: event.id,
  batch_id: batch,
  happened_at: new Date(event.at),
  recorded_at: new Date(event.recordedAt),
  body: BATCH_EVENT.write(event),
});

/** Counts that something was told of a batch, or taken back. @returns how it stands now */
async function moved(sql: Sql, kitchenId: string, batch: string): Promise<number> {
  await run(sql, 'UPDATE batch SET version = version + 1 WHERE kitchen_id = ? AND id = ?', [
    kitchenId,
    batch,
  ]);
  const now = await maybeOne(
    sql,
    z.object({ version: z.number() }),
    'SELECT version FROM batch WHERE kitchen_id = ? AND id = ?',
    [kitchenId, batch],
  );
  return now?.version ?? 0;
}

/** Adds what happened to a batch. @returns how it stands now */
export async function insertEvent(
  sql: Sql,
  kitchenId: string,
  batch: string,
  event: WrittenBatchEvent,
): Promise<number> {
  await insertRows(sql, 'batch_event', [eventRow(kitchenId, batch, event)]);
  if (event.is === 'ended') await setEnd(sql, kitchenId, batch, new Date(event.at));
  return moved(sql, kitchenId, batch);
}

const setEnd = (sql: Sql, kitchenId: string, batch: string, at: Date | null): Promise<number> =>
  run(sql, 'UPDATE batch SET ended_at = ? WHERE kitchen_id = ? AND id = ?', [at, kitchenId, batch]);

/** Withdraws what was told (`at`), or lets it stand again (null). @returns how the batch stands now */
export async function withdrawEvent(
  sql: Sql,
  kitchenId: string,
  batch: string,
  event: WrittenBatchEvent,
  at: Date | null,
): Promise<number> {
  await run(sql, 'UPDATE batch_event SET withdrawn_at = ? WHERE kitchen_id = ? AND id = ?', [
    at,
    kitchenId,
    event.id,
  ]);
  if (event.is === 'ended') await setEnd(sql, kitchenId, batch, at === null ? new Date(event.at) : null);
  return moved(sql, kitchenId, batch);
}
