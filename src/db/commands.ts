import { z } from 'zod';
import type { RevisionMark } from './revisions';
import { maybeOne, one, run, type Sql } from './sql';

/** Days for which a write that was done is remembered, so that it happens once however often it is sent. */
export const REMEMBERED_DAYS = 90;

/** Takes the kitchen's own row before anything else is locked: every writer begins there, so no two wait for each other. */
export const lockKitchen = (sql: Sql, kitchenId: string): Promise<RevisionMark> =>
  one(
    sql,
    z.object({ revision: z.coerce.number(), mark: z.string() }),
    'SELECT revision, mark FROM kitchen WHERE id = ? FOR UPDATE',
    [kitchenId],
  );

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
