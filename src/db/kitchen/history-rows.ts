import { z } from 'zod';
import type { KitchenFile } from '@/core/kitchen-file';
import { withFreshMark } from '../revisions';
import { many, run, type Connection, type Sql } from '../sql';

type History = NonNullable<KitchenFile['history']>;

/** What belongs to a machine and not to the house: who is signed in where, what was refused, what was sent, what a process keeps for itself. */
const OF_THE_MACHINE = new Set([
  'schema_version',
  'signed_in',
  'sign_in_tries',
  'sign_in_refused',
  'device',
  'command_done',
  'kitchen_moved',
  'costs_last',
  'lease',
]);
/** What nobody may carry away. */
const SECRET = new Set(['person.password_hash', 'person.pin_hash']);

/** A column that is written, with its type as the database names it. */
export interface Column {
  readonly table: string;
  readonly name: string;
  readonly type: string;
}

/** Every column that is written, by table. Generated columns are left out: the database fills them in itself. */
export async function writtenColumns(sql: Sql): Promise<ReadonlyMap<string, readonly Column[]>> {
  const rows = await many(
    sql,
    z.object({ table: z.string(), name: z.string(), type: z.string(), extra: z.string() }),
    "SELECT table_name AS `table`, column_name AS name, data_type AS type, extra FROM information_schema.columns WHERE table_schema = DATABASE() AND table_name IN (SELECT t.table_name FROM information_schema.tables t WHERE t.table_schema = DATABASE() AND t.table_type = 'BASE TABLE') ORDER BY table_name, ordinal_position",
  );
  const found = new Map<string, Column[]>();
  for (const { extra, ...c } of rows) {
    if (/GENERATED/i.test(extra)) continue;
    found.set(c.table, [...(found.get(c.table) ?? []), c]);
  }
  return found;
}

/** The columns that a kitchen takes along with its history. */
async function columnsOf(sql: Sql): Promise<ReadonlyMap<string, readonly Column[]>> {
  const found = new Map<string, readonly Column[]>();
  for (const [table, columns] of await writtenColumns(sql))
    if (!OF_THE_MACHINE.has(table))
      found.set(
        table,
        columns.filter((c) => !SECRET.has(`${table}.${c.name}`)),
      );
  return found;
}

const BINARY = /blob|binary/;
const NUMBER = /^(tinyint|smallint|mediumint|int)$/;

/** A column so that it travels: whole numbers as numbers, what is binary in base64, everything else in letters, to the last digit. */
const carried = ({ name, type }: Column): string =>
  NUMBER.test(type)
    ? `\`${name}\``
    : BINARY.test(type)
      ? `REPLACE(TO_BASE64(\`${name}\`), '\\n', '') AS \`${name}\``
      : `CAST(\`${name}\` AS CHAR) AS \`${name}\``;

/** The rows of one kitchen in a table, written so that they can travel. Its one hole takes the kitchen's id. */
export const selectRows = (table: string, columns: readonly Column[]): string =>
  `SELECT ${columns.map(carried).join(', ')} FROM \`${table}\` WHERE ${ownerColumn(table)} = ? ORDER BY 1, 2, 3`;

/** The column that says whose row it is. */
export const ownerColumn = (table: string): 'id' | 'kitchen_id' =>
  table === 'kitchen' ? 'id' : 'kitchen_id';

const Row = z.record(z.string(), z.union([z.string(), z.number(), z.null()]));

/** Everything that is written of a kitchen and of how it came to stand so, table by table, without anybody's secrets. */
export async function readTables(sql: Sql, kitchenId: string, schema: number): Promise<History> {
  const tables: Record<string, z.infer<typeof Row>[]> = {};
  for (const [table, columns] of await columnsOf(sql)) {
    const rows = await many(sql, Row, selectRows(table, columns), [kitchenId]);
    if (rows.length > 0) tables[table] = rows;
  }
  return { schema, tables };
}

/** Rows written at once. */
const AT_ONCE = 200;

/** Thrown where a history is not one that this database can take, with a sentence. */
export class HistoryError extends Error {}

/**
 * Writes a kitchen with all that has happened to it into a database at the step its history was written at: in one transaction.
 * @throws HistoryError where it names what that step does not have, or another kitchen
 */
export async function loadRows(
  sql: Connection,
  kitchenId: string,
  { schema, tables }: History,
): Promise<void> {
  const known = await columnsOf(sql);
  // Tables refer to each other in circles; what was whole when it was written out is whole when all of it is in.
  await run(sql, 'SET foreign_key_checks = 0');
  try {
    await withFreshMark(sql, kitchenId, async () => {
      for (const [table, rows] of Object.entries(tables)) {
        const first = rows[0];
        if (!first) continue;
        const columns = known.get(table);
        const names = Object.keys(first);
        const odd = columns ? names.find((n) => !columns.some((c) => c.name === n)) : '';
        if (!columns || odd !== undefined)
          throw new HistoryError(
            `Its history has ${table}${odd ? `.${odd}` : ''}, which Half Pot did not have at step ${schema}.`,
          );
        for (const row of rows) {
          if (row[ownerColumn(table)] !== kitchenId)
            throw new HistoryError(`Its history has ${table} of another kitchen.`);
          if (Object.keys(row).length !== names.length || !names.every((n) => n in row))
            throw new HistoryError(`Not every ${table} in its history says the same things: it is damaged.`);
        }
        const written = columns.filter((c) => names.includes(c.name));
        for (let i = 0; i < rows.length; i += AT_ONCE)
          await writeRows(
            sql,
            table,
            written,
            rows.slice(i, i + AT_ONCE).map((row) => written.map((c) => row[c.name] ?? null)),
          );
      }
    });
  } finally {
    await run(sql, 'SET foreign_key_checks = 1');
  }
}

/** Writes rows that came from `selectRows`, with one statement and bound values. */
export async function writeRows(
  sql: Sql,
  table: string,
  columns: readonly Column[],
  rows: readonly (readonly (string | number | null)[])[],
): Promise<void> {
  const one = `(${columns.map((c) => (BINARY.test(c.type) ? 'FROM_BASE64(?)' : '?')).join(',')})`;
  await run(
    sql,
    `INSERT INTO \`${table}\` (${columns.map((c) => `\`${c.name}\``).join(',')}) VALUES ${rows.map(() => one).join(',')}`,
    rows.flat(),
  );
}
