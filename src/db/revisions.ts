import { z } from 'zod';
import { newId } from './mapping/ids';
import { many, one, run, type Sql } from './sql';

/** Where a kitchen stands: its revision, and the mark by which that one is told from another of the same number. */
export interface RevisionMark {
  readonly revision: number;
  readonly mark: string;
}

export const isSameRevision = (a: RevisionMark | undefined, b: RevisionMark): boolean =>
  a?.revision === b.revision && a.mark === b.mark;

/** Where a kitchen stands now, and its zone, which any process may have changed. */
export const currentRevision = (
  sql: Sql,
  kitchenId: string,
): Promise<RevisionMark & { readonly zone: string }> =>
  one(
    sql,
    z.object({ revision: z.coerce.number(), mark: z.string(), zone: z.string() }),
    'SELECT revision, mark, zone FROM kitchen WHERE id = ?',
    [kitchenId],
  );

/** What has changed of a kitchen between two of its revisions, by id. */
export interface ChangedIds {
  readonly ingredients: readonly string[];
  readonly articles: readonly string[];
  readonly recipes: readonly string[];
  readonly plates: readonly string[];
  /** Vessels, hobs, measures, and the kitchen itself for its settings. */
  readonly house: readonly string[];
}

/** Revisions that are remembered: who has read an older one reads the kitchen whole. */
const REMEMBERED = 500;
/** More changes than these are read as quickly by reading everything. */
const MOST = 2000;

/** What has changed since a revision was read; undefined where that cannot be told, and everything is to be read. */
export async function changedIdsSince(
  sql: Sql,
  kitchenId: string,
  from: RevisionMark,
  now: RevisionMark,
): Promise<ChangedIds | undefined> {
  if (
    from.mark === '' ||
    from.revision > now.revision ||
    (from.revision === now.revision && from.mark !== now.mark)
  )
    return undefined;
  const rows = await many(
    sql,
    z.object({ revision: z.coerce.number(), what: z.string(), id: z.string() }),
    `SELECT revision, what, id FROM kitchen_moved WHERE kitchen_id = ? AND revision >= ? AND revision <= ? LIMIT ${MOST + 1}`,
    [kitchenId, from.revision, now.revision],
  );
  const known = rows.some((r) => r.what === 'mark' && r.revision === from.revision && r.id === from.mark);
  if (!known || rows.length > MOST) return undefined;
  const ids = (what: string): string[] => [
    ...new Set(rows.filter((r) => r.what === what && r.revision > from.revision).map((r) => r.id)),
  ];
  return {
    ingredients: ids('ingredient'),
    articles: ids('article'),
    recipes: ids('recipe'),
    plates: ids('plate'),
    house: ids('house'),
  };
}

/** Moves the kitchen's revision under a mark of its own: whatever was computed for the one before is brought up to it when it is asked for. */
export async function bumpRevision(sql: Sql, kitchenId: string): Promise<void> {
  await run(sql, 'UPDATE kitchen SET revision = revision + 1, mark = ? WHERE id = ?', [newId(), kitchenId]);
  await keepMark(sql, kitchenId);
}

/** Forgets what the oldest revisions have changed: now and then, and in no write's transaction. */
export const forgetRevisions = (sql: Sql, kitchenId: string): Promise<number> =>
  run(
    sql,
    'DELETE FROM kitchen_moved WHERE kitchen_id = ? AND revision + ? < (SELECT revision FROM kitchen WHERE id = ?)',
    [kitchenId, REMEMBERED, kitchenId],
  );

const keepMark = (sql: Sql, kitchenId: string): Promise<number> =>
  run(
    sql,
    "INSERT INTO kitchen_moved (kitchen_id, revision, what, id) SELECT id, revision, 'mark', mark FROM kitchen WHERE id = ?",
    [kitchenId],
  );

/**
 * Loads a kitchen as a whole: not row by row written down as moved, but under a mark that nobody has read before.
 * @param load inserts the kitchen's own row first
 */
export async function withFreshMark(sql: Sql, kitchenId: string, load: () => Promise<void>): Promise<void> {
  await run(sql, 'SET @halfpot_loading = 1');
  try {
    await load();
  } finally {
    await run(sql, 'SET @halfpot_loading = NULL');
  }
  await run(sql, 'UPDATE kitchen SET mark = ? WHERE id = ?', [newId(), kitchenId]);
  await keepMark(sql, kitchenId);
}
