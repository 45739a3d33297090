import { z } from 'zod';
import { newId } from './mapping/ids';
import { many, maybeOne, run, type Sql } from './sql';

export interface Change {
  readonly kitchenId: string;
  /** The number of the write it was done with. */
  readonly seq: number;
  readonly personId: string;
  readonly at: Date;
  /** Such as `price`, `yield`, `recipe`, `plate`. */
  readonly what: string;
  readonly subjectId: string;
  readonly before: unknown;
  readonly after: unknown;
  /** The change that this one takes back. */
  readonly undoes?: string | undefined;
  /** What it was written down with: the same for all that one act did. */
  readonly act: string;
}

/** Writes who changed what, with both sides, in the transaction of the change itself. */
export async function recordChange(sql: Sql, c: Change): Promise<void> {
  await run(
    sql,
    'INSERT INTO change_record (kitchen_id, id, seq, at, person_id, what, subject_id, before_value, after_value, undoes, act) VALUES (?,?,?,?,?,?,?,?,?,?,?)',
    [
      c.kitchenId,
      newId(),
      c.seq,
      c.at,
      c.personId,
      c.what,
      c.subjectId,
      JSON.stringify(c.before ?? null),
      JSON.stringify(c.after ?? null),
      c.undoes ?? null,
      c.act,
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
    'SELECT id, at, what, CAST(before_value AS CHAR) AS before_value, CAST(after_value AS CHAR) AS after_value FROM change_record WHERE kitchen_id = ? AND subject_id = ? AND what IN (?, ?) ORDER BY seq DESC, id DESC LIMIT 1',
    [kitchenId, subjectId, ...what],
  );

/** As letters, and read here: whether a driver reads JSON by itself depends on what the server tells it of a column. */
const parsed = (value: unknown): unknown =>
  typeof value === 'string' ? (JSON.parse(value) as unknown) : null;

/** A change as it is told: who, when, what, both sides, and whether another one has taken it back. */
export interface ChangedBy {
  readonly id: string;
  readonly at: Date;
  readonly by: string | null;
  readonly byName: string | null;
  readonly what: string;
  readonly subject: string;
  readonly before: unknown;
  readonly after: unknown;
  readonly undoes: string | null;
  /** What it was written down with; of older ones nothing. */
  readonly act: string | null;
}

const Row = z
  .object({
    id: z.string(),
    at: z.date(),
    person: z.string().nullable(),
    byName: z.string().nullable(),
    what: z.string(),
    subject: z.string(),
    before_value: z.unknown(),
    after_value: z.unknown(),
    undoes: z.string().nullable(),
    act: z.string().nullable(),
  })
  .transform(({ before_value, after_value, person, ...r }): ChangedBy => ({
    ...r,
    by: person,
    before: parsed(before_value),
    after: parsed(after_value),
  }));

const SELECT =
  'SELECT c.id, c.at, c.person_id AS person, p.name AS byName, c.what, c.subject_id AS subject, CAST(c.before_value AS CHAR) AS before_value, CAST(c.after_value AS CHAR) AS after_value, c.undoes, c.act FROM change_record c LEFT JOIN person p ON p.kitchen_id = c.kitchen_id AND p.id = c.person_id WHERE c.kitchen_id = ?';

/** Where a change stands in the order of all: by the number of its write, and within that by its id. Takes the kitchen and the id. */
const PLACE = '(SELECT u.seq, u.id FROM change_record u WHERE u.kitchen_id = ? AND u.id = ?)';

interface Which {
  /** Of one thing only. */
  readonly subject?: string | undefined;
  /** By one person only. */
  readonly by?: string | undefined;
  /** Before a change: the page after one that ended there. */
  readonly until?: string | undefined;
  readonly most: number;
}

/** Changes, the newest first. */
export function changesIn(
  sql: Sql,
  kitchenId: string,
  { subject, by, until, most }: Which,
): Promise<ChangedBy[]> {
  const [and, values]: [string[], string[]] = [[], []];
  if (subject !== undefined) {
    and.push(' AND c.subject_id = ?');
    values.push(subject);
  }
  if (by !== undefined) {
    and.push(' AND c.person_id = ?');
    values.push(by);
  }
  if (until !== undefined) {
    and.push(` AND (c.seq, c.id) < ${PLACE}`);
    values.push(kitchenId, until);
  }
  return many(sql, Row, `${SELECT}${and.join('')} ORDER BY c.seq DESC, c.id DESC LIMIT ${Math.trunc(most)}`, [
    kitchenId,
    ...values,
  ]);
}

/** A change with everything that was written down with it: what one act did. In the order it was written. */
export async function actOf(sql: Sql, kitchenId: string, id: string): Promise<ChangedBy[]> {
  const [one] = await many(sql, Row, `${SELECT} AND c.id = ?`, [kitchenId, id]);
  if (!one) return [];
  // What was written down before acts were is told by its instant and its person.
  return one.act === null
    ? many(sql, Row, `${SELECT} AND c.act IS NULL AND c.at = ? AND c.person_id <=> ? ORDER BY c.seq, c.id`, [
        kitchenId,
        one.at,
        one.by,
      ])
    : many(sql, Row, `${SELECT} AND c.act = ? ORDER BY c.seq, c.id`, [kitchenId, one.act]);
}

/** What was written down of some things after a change, the oldest first. */
export const laterThan = (
  sql: Sql,
  kitchenId: string,
  subjects: readonly string[],
  id: string,
): Promise<ChangedBy[]> =>
  subjects.length === 0
    ? Promise.resolve([])
    : many(
        sql,
        Row,
        `${SELECT} AND (c.seq, c.id) > ${PLACE} AND c.subject_id IN (${subjects.map(() => '?').join(',')}) ORDER BY c.seq, c.id`,
        [kitchenId, kitchenId, id, ...subjects],
      );

/** Which of some changes have been taken back, by which change. */
export async function undoneBy(
  sql: Sql,
  kitchenId: string,
  ids: readonly string[],
): Promise<ReadonlyMap<string, string>> {
  if (ids.length === 0) return new Map();
  const rows = await many(
    sql,
    z.object({ id: z.string(), undoes: z.string() }),
    `SELECT id, undoes FROM change_record WHERE kitchen_id = ? AND undoes IN (${ids.map(() => '?').join(',')}) ORDER BY seq, id`,
    [kitchenId, ...ids],
  );
  return new Map(rows.map((r) => [r.undoes, r.id]));
}

/** Who changed a thing last, by name. */
export const lastChangedBy = async (
  sql: Sql,
  kitchenId: string,
  subjectId: string,
): Promise<string | undefined> =>
  (
    await maybeOne(
      sql,
      z.object({ name: z.string() }),
      'SELECT p.name FROM change_record c JOIN person p ON p.kitchen_id = c.kitchen_id AND p.id = c.person_id WHERE c.kitchen_id = ? AND c.subject_id = ? ORDER BY c.seq DESC, c.id DESC LIMIT 1',
      [kitchenId, subjectId],
    )
  )?.name;

/** Of each thing the first change of some kinds from an instant on: what stood before it is what stood then. */
export const firstChangesFrom = (
  sql: Sql,
  kitchenId: string,
  from: Date,
  kinds: readonly string[],
): Promise<ChangedBy[]> =>
  many(
    sql,
    Row,
    `${SELECT} AND c.id IN (SELECT id FROM (SELECT f.id, ROW_NUMBER() OVER (PARTITION BY f.what, f.subject_id ORDER BY f.seq, f.id) AS n FROM change_record f WHERE f.kitchen_id = ? AND f.at >= ? AND f.what IN (${kinds.map(() => '?').join(',')})) o WHERE n = 1) ORDER BY c.seq, c.id`,
    [kitchenId, kitchenId, from, ...kinds],
  );

/** Changes of some kinds from an instant until before another, the oldest first. */
export const changesBetween = (
  sql: Sql,
  kitchenId: string,
  from: Date,
  until: Date,
  kinds: readonly string[],
): Promise<ChangedBy[]> =>
  many(
    sql,
    Row,
    `${SELECT} AND c.at >= ? AND c.at < ? AND c.what IN (${kinds.map(() => '?').join(',')}) ORDER BY c.seq, c.id LIMIT 2000`,
    [kitchenId, from, until, ...kinds],
  );
