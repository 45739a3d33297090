import { z } from 'zod';
import { newId } from './ids';
import { maybeOne, run, type Sql } from './sql';

export interface Change {
  readonly kitchenId: string;
  readonly personId: string;
  readonly at: Date;
  /** Such as `price`, `yield`, `recipe`, `plate`. */
  readonly what: string;
  readonly subjectId: string;
  readonly before: unknown;
  readonly after: unknown;
}

/** Writes who changed what, with both sides, in the transaction of the change itself. */
export async function recordChange(sql: Sql, c: Change): Promise<void> {
  await run(
    sql,
    'INSERT INTO change_record (kitchen_id, id, at, person_id, what, subject_id, before_value, after_value) VALUES (?,?,?,?,?,?,?,?)',
    [
      c.kitchenId,
      newId(),
      c.at,
      c.personId,
      c.what,
      c.subjectId,
      JSON.stringify(c.before ?? null),
      JSON.stringify(c.after ?? null),
    ],
  );
}

/** The last change of a kind to a thing, with both sides as they were written down. */
export const lastChange = (
  sql: Sql,
  kitchenId: string,
  what: readonly [string, string],
  subjectId: string,
): Promise<{ id: string; at: Date; what: string; before: unknown; after: unknown } | undefined> =>
  maybeOne(
    sql,
    z
      .object({
        id: z.string(),
        at: z.date(),
        what: z.string(),
        before_value: z.unknown(),
        after_value: z.unknown(),
      })
      .transform((r) => ({
        id: r.id,
        at: r.at,
        what: r.what,
        before: parsed(r.before_value),
        after: parsed(r.after_value),
      })),
    'SELECT id, at, what, before_value, after_value FROM change_record WHERE kitchen_id = ? AND subject_id = ? AND what IN (?, ?) ORDER BY at DESC, id DESC LIMIT 1',
    [kitchenId, subjectId, ...what],
  );

const parsed = (value: unknown): unknown =>
  typeof value === 'string' ? (JSON.parse(value) as unknown) : value;
