import { z } from 'zod';
import type { RevisionMark } from './revisions';
import { many, maybeOne, one, run, type Connection, type Sql } from './sql';

/** Days for which a write that was done is remembered, so that it happens once however often it is sent. */
export const REMEMBERED_DAYS = 90;

/** A writer's lease, and the ids their write depends on; null where it may be anything. */
export interface WriteLease {
  readonly holder: string;
  readonly dependsOn: readonly string[] | null;
}

/** The number of a write, and where the kitchen stands as it begins. */
export interface StartedWrite extends RevisionMark {
  /** Every write of a kitchen has a higher one than all before it. */
  readonly seq: number;
  /** The lease that somebody holds (see `acquireLease`); undefined where nobody does. */
  readonly lease?: WriteLease | undefined;
}

/**
 * Takes the next number, and with it the kitchen's own row, before anything else is locked: every writer begins there, so no two
 * wait for each other, and on a cluster two that begin at once collide.
 */
export async function startWrite(sql: Connection, kitchenId: string): Promise<StartedWrite> {
  await run(sql, 'UPDATE kitchen SET seq = seq + 1 WHERE id = ?', [kitchenId]);
  return one(
    sql,
    z
      .object({
        revision: z.coerce.number(),
        mark: z.string(),
        seq: z.coerce.number(),
        holder: z.string().nullable(),
        dependsOn: z.string().nullable(),
      })
      .transform(({ holder, dependsOn, ...started }) => ({
        ...started,
        lease:
          holder === null
            ? undefined
            : { holder, dependsOn: dependsOn === null ? null : (JSON.parse(dependsOn) as string[]) },
      })),
    "SELECT k.revision, k.mark, k.seq, l.holder, l.depends_on AS dependsOn FROM kitchen k LEFT JOIN lease l ON l.kitchen_id = k.id AND l.name = 'write' AND l.until_at > UTC_TIMESTAMP(3) WHERE k.id = ?",
    [kitchenId],
  );
}

/** s after which a lease ends by itself. */
const LEASE_S = 5;

/**
 * Acquires the lease for a writer who was overtaken: until it ends, no write is let in that changes what theirs depends on.
 * @returns false where another holds it
 */
export async function acquireLease(
  sql: Sql,
  kitchenId: string,
  { holder, dependsOn }: WriteLease,
): Promise<boolean> {
  await run(
    sql,
    "INSERT INTO lease (kitchen_id, name, holder, depends_on, until_at) VALUES (?, 'write', ?, ?, UTC_TIMESTAMP(3) + INTERVAL ? SECOND) ON DUPLICATE KEY UPDATE holder = IF(until_at <= UTC_TIMESTAMP(3), VALUES(holder), holder), depends_on = IF(holder = VALUES(holder), VALUES(depends_on), depends_on), until_at = IF(holder = VALUES(holder), VALUES(until_at), until_at)",
    [kitchenId, holder, dependsOn && JSON.stringify(dependsOn), LEASE_S],
  );
  return (await leaseHolder(sql, kitchenId)) === holder;
}

/** Whether the write that is under way in this transaction has changed something that another's lease covers. */
export async function changesLeased(
  sql: Connection,
  kitchenId: string,
  { revision }: RevisionMark,
  dependsOn: readonly string[],
): Promise<boolean> {
  const rows = await many(
    sql,
    z.object({ what: z.string(), id: z.string() }),
    'SELECT what, id FROM kitchen_moved WHERE kitchen_id = ? AND revision = ?',
    [kitchenId, revision + 1],
  );
  const covered = new Set(dependsOn);
  return rows.some((r) => r.what === 'house' || covered.has(r.id));
}

export const releaseLease = (sql: Sql, kitchenId: string, holder: string): Promise<number> =>
  run(sql, "DELETE FROM lease WHERE kitchen_id = ? AND name = 'write' AND holder = ?", [kitchenId, holder]);

/** Who holds the lease; undefined where nobody does. */
export const leaseHolder = async (sql: Sql, kitchenId: string): Promise<string | undefined> =>
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
