import { createConnection } from 'mysql2';
import { z } from 'zod';
import { groupBy } from '../mapping/rows';
import { withFreshMark } from '../revisions';
import { many, maybeOne, run, type Connection, type Pool, type Sql } from '../sql';
import { ownerColumn, selectRows, writeRows, writtenColumns, type Column } from './history-rows';

/** A row of a backup: whole numbers as numbers, binary values in base64, everything else as text. */
export const BackupRow = z.array(z.union([z.string(), z.number(), z.null()]));
export type BackupRow = z.infer<typeof BackupRow>;
/** A table of a backup: its rows follow. */
export const BackupTable = z.strictObject({ table: z.string(), columns: z.array(z.string()).min(1) });
export type BackupTable = z.infer<typeof BackupTable>;
export type BackupPart = BackupTable | BackupRow;

/**
 * Tables that no backup holds: our migrations write the first; the others are caches and leases. Nobody stays
 * signed in through a restore, or a browser that was signed out since would be in again.
 */
const NOT_BACKED_UP = new Set(['schema_version', 'signed_in', 'kitchen_moved', 'costs_last', 'lease']);

const isTable = (part: BackupPart): part is BackupTable => !Array.isArray(part);

/** Every row of one kitchen as of one moment, secrets included. People go on working meanwhile. */
export async function* readBackup(pool: Pool, url: string, kitchenId: string): AsyncGenerator<BackupPart> {
  const tables = await writtenColumns(pool);
  // A connection of its own: a large table takes longer than the pool allows one statement.
  const connection = createConnection({ uri: url, timezone: 'Z', charset: 'utf8mb4', rowsAsArray: true });
  try {
    await connection.promise().query('START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY');
    for (const [table, columns] of tables) {
      if (NOT_BACKED_UP.has(table)) continue;
      yield { table, columns: columns.map((c) => c.name) };
      const rows = connection.query(selectRows(table, columns), [kitchenId]).stream();
      for await (const row of rows as AsyncIterable<BackupRow>) yield row;
    }
  } finally {
    connection.destroy();
  }
}

/** Thrown where a backup does not hold what a kitchen of its step can hold, with a sentence. */
export class BackupError extends Error {}

/** Rows and characters that are written with one statement. */
const ROWS_AT_ONCE = 200;
const LETTERS_AT_ONCE = 2_000_000;

/**
 * Writes the rows of a backup into a database at the step it was made at: in one transaction, with bound values only.
 * @returns rows written
 * @throws BackupError where it names a table or column which that step does not have, holds another kitchen's rows, or refers to
 * rows that it does not hold
 */
export async function loadBackup(
  sql: Connection,
  kitchenId: string,
  parts: AsyncIterable<BackupPart>,
): Promise<number> {
  const known = await writtenColumns(sql);
  let rows = 0;
  // Tables refer to each other in circles; whether all that is referred to came is seen at the end.
  await run(sql, 'SET foreign_key_checks = 0');
  try {
    const load = async (): Promise<void> => {
      let writer: TableWriter | undefined;
      for await (const part of parts)
        if (isTable(part)) {
          await writer?.flush();
          writer = NOT_BACKED_UP.has(part.table) ? undefined : new TableWriter(sql, kitchenId, known, part);
        } else if (writer) {
          await writer.add(part);
          rows += 1;
        }
      await writer?.flush();
    };
    // Steps before 14 knew no marks; later migrations give them one.
    const marked = known.get('kitchen')?.some((c) => c.name === 'mark') ?? false;
    await (marked ? withFreshMark(sql, kitchenId, load) : load());
  } finally {
    await run(sql, 'SET foreign_key_checks = 1');
  }
  const orphan = await firstOrphan(sql);
  if (orphan !== undefined) throw new BackupError(`A row of ${orphan} refers to one that is not there.`);
  return rows;
}

/** Collects the rows of one table and writes them in parts. */
class TableWriter {
  readonly #sql: Sql;
  readonly #table: string;
  readonly #kitchenId: string;
  readonly #columns: readonly Column[];
  readonly #owner: number;
  #rows: BackupRow[] = [];
  #letters = 0;

  constructor(
    sql: Sql,
    kitchenId: string,
    known: ReadonlyMap<string, readonly Column[]>,
    { table, columns }: BackupTable,
  ) {
    const there = known.get(table);
    if (!there) throw new BackupError(`It has a table ${table}, which Half Pot did not have at that step.`);
    [this.#sql, this.#table, this.#kitchenId] = [sql, table, kitchenId];
    this.#columns = columns.map((name) => {
      const column = there.find((c) => c.name === name);
      if (!column)
        throw new BackupError(`It has a column ${table}.${name}, which Half Pot did not have at that step.`);
      return column;
    });
    this.#owner = columns.indexOf(ownerColumn(table));
  }

  /** @throws BackupError where it is another kitchen's, or not as long as its table is wide */
  async add(row: BackupRow): Promise<void> {
    if (row.length !== this.#columns.length)
      throw new BackupError(
        `A row of ${this.#table} has ${row.length} values, its table ${this.#columns.length}.`,
      );
    if (row[this.#owner] !== this.#kitchenId)
      throw new BackupError(`A row of ${this.#table} is of another kitchen.`);
    this.#rows.push(row);
    for (const value of row) if (typeof value === 'string') this.#letters += value.length;
    if (this.#rows.length >= ROWS_AT_ONCE || this.#letters >= LETTERS_AT_ONCE) await this.flush();
  }

  async flush(): Promise<void> {
    const rows = this.#rows;
    [this.#rows, this.#letters] = [[], 0];
    if (rows.length > 0) await writeRows(this.#sql, this.#table, this.#columns, rows);
  }
}

const ForeignKey = z.object({
  name: z.string(),
  table: z.string(),
  column: z.string(),
  toTable: z.string(),
  toColumn: z.string(),
});

/** A table with a row whose foreign key points nowhere; undefined where there is none. */
async function firstOrphan(sql: Sql): Promise<string | undefined> {
  const columns = await many(
    sql,
    ForeignKey,
    'SELECT constraint_name AS name, table_name AS `table`, column_name AS `column`, referenced_table_name AS toTable, referenced_column_name AS toColumn FROM information_schema.key_column_usage WHERE table_schema = DATABASE() AND referenced_table_name IS NOT NULL ORDER BY table_name, constraint_name, ordinal_position',
  );
  for (const key of groupBy(columns, (c) => `${c.table}.${c.name}`).values()) {
    const [first] = key;
    if (!first) continue;
    const { table, toTable } = first;
    const on = key.map((c) => `r.\`${c.toColumn}\` = c.\`${c.column}\``).join(' AND ');
    const set = key.map((c) => `c.\`${c.column}\` IS NOT NULL`).join(' AND ');
    const found = await maybeOne(
      sql,
      z.object({ orphan: z.number() }),
      `SELECT 1 AS orphan FROM \`${table}\` c LEFT JOIN \`${toTable}\` r ON ${on} WHERE ${set} AND r.\`${first.toColumn}\` IS NULL LIMIT 1`,
    );
    if (found) return table;
  }
  return undefined;
}
