import { z } from 'zod';
import type { RevisionMark } from './revisions';
import { many, maybeOne, one, run, type Connection, type Sql } from './sql';

/** Days for which a write that was done is remembered, so that it happens once however often it is sent. */
export const REMEMBERED_DAYS = 90;

/** Who has the turn, and the ids their write rests on; null where it may be anything. */
export interface Turn {
  readonly holder: string;
  readonly restsOn: readonly string[] | null;
}

/** The number of a write, and where the kitchen stands as it begins. */
export interface Begun extends RevisionMark {
  /** Every write of a kitchen has a higher one than all before it. */
  readonly seq: number;
  /** Who has the turn at this moment (see `takeTurn`); undefined where nobody has. */
  readonly turn?: Turn | undefined;
}

/**
 * Takes the next number, and with it the kitchen's own row, before anything else is locked: every writer begins there, so no two
 * wait for each other, and on a cluster two that begin at once collide.
 */
export async function beginWrite(sql: Connection, kitchenId: string): Promise<Begun> {
  await run(sql, 'UPDATE kitchen SET seq = seq + 1 WHERE id = ?', [kitchenId]);
  return one(
    sql,
    z
      .object({
        revision: z.coerce.number(),
        mark: z.string(),
        seq: z.coerce.number(),
        holder: z.string().nullable(),
        restsOn: z.string().nullable(),
      })
      .transform(({ holder, restsOn, ...begun }) => ({
        ...begun,
        turn:
          holder === null
            ? undefined
            : { holder, restsOn: restsOn === null ? null : (JSON.parse(restsOn) as string[]) },
      })),
    "SELECT k.revision, k.mark, k.seq, l.holder, l.rests_on AS restsOn FROM kitchen k LEFT JOIN lease l ON l.kitchen_id = k.id AND l.name = 'write' AND l.until_at > UTC_TIMESTAMP(3) WHERE k.id = ?",
    [kitchenId],
  );
}

/** s after which a turn ends by itself. */
const TURN_S = 5;

/**
 * Takes the turn for a writer who was overtaken: until it ends, no write is let in that changes what theirs rests on.
 * @returns false where another has it
 */
export async function takeTurn(sql: Sql, kitchenId: string, { holder, restsOn }: Turn): Promise<boolean> {
  await run(
    sql,
    "INSERT INTO lease (kitchen_id, name, holder, rests_on, until_at) VALUES (?, 'write', ?, ?, UTC_TIMESTAMP(3) + INTERVAL ? SECOND) ON DUPLICATE KEY UPDATE holder = IF(until_at <= UTC_TIMESTAMP(3), VALUES(holder), holder), rests_on = IF(holder = VALUES(holder), VALUES(rests_on), rests_on), until_at = IF(holder = VALUES(holder), VALUES(until_at), until_at)",
    [kitchenId, holder, restsOn && JSON.stringify(restsOn), TURN_S],
  );
  return (await turnOf(sql, kitchenId)) === holder;
}

/** Whether the write that is under way in this transaction has changed something that the turn of another rests on. */
export async function changedInTurn(
  sql: Connection,
  kitchenId: string,
  { revision }: RevisionMark,
  restsOn: readonly string[],
): Promise<boolean> {
  const rows = await many(
    sql,
    z.object({ what: z.string(), id: z.string() }),
    'SELECT what, id FROM kitchen_moved WHERE kitchen_id = ? AND revision = ?',
    [kitchenId, revision + 1],
  );
  const rests = new Set(restsOn);
  return rows.some((r) => r.what === 'house' || rests.has(r.id));
}

export const endTurn = (sql: Sql, kitchenId: string, holder: string): Promise<number> =>
  run(sql, "DELETE FROM lease WHERE kitchen_id = ? AND name = 'write' AND holder = ?", [kitchenId, holder]);

/** Who has the turn; undefined where nobody has. */
export const turnOf = async (sql: Sql, kitchenId: string): Promise<string | undefined> =>
  (
    await maybeOne(
      sql,
      z.object({ holder: z.string() }),
      "SELECT holder FROM lease WHERE kitchen_id = ? AND name = 'write' AND until_at > UTC_TIMESTAMP(3)",
      [kitchenId],
    )
  )?.holder;

/** A write that was done. */
export interface DoneCommand {
  readonly id: string;
  readonly personId: string;
  readonly kind: string;
  readonly bodySha256: string;
  readonly answer: unknown;
}

export async function commandDone(sql: Sql, kitchenId: string, id: string): Promise<DoneCommand | undefined> {
  const found = await maybeOne(
    sql,
    z.object({ person: z.string(), kind: z.string(), sha: z.string(), answer: z.string() }),
    // As text: what the driver makes of a JSON column differs from server to server.
    'SELECT person_id AS person, kind, body_sha256 AS sha, CAST(answer AS CHAR) AS answer FROM command_done WHERE kitchen_id = ? AND id = ?',
    [kitchenId, id],
  );
  return (
    found && {
      id,
      personId: found.person,
      kind: found.kind,
      bodySha256: found.sha,
      answer: JSON.parse(found.answer),
    }
  );
}

export const rememberCommand = (
  sql: Sql,
  kitchenId: string,
  { id, personId, kind, bodySha256, answer }: DoneCommand,
  at: Date,
): Promise<number> =>
  run(
    sql,
    'INSERT INTO command_done (kitchen_id, id, person_id, kind, body_sha256, answer, done_at) VALUES (?,?,?,?,?,?,?)',
    [kitchenId, id, personId, kind, bodySha256, JSON.stringify(answer), at],
  );

/** Forgets writes older than that, a thousand at a time. */
export const forgetCommands = (sql: Sql, before: Date): Promise<number> =>
  run(sql, 'DELETE FROM command_done WHERE done_at < ? LIMIT 1000', [before]);
