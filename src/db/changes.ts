import { newId } from './ids';
import { run, type Sql } from './sql';

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
