import { createPool, type Pool, type PoolConnection, type ResultSetHeader } from 'mysql2/promise';
import type { ZodType } from 'zod';

/** Something statements can be sent to: the pool, or one connection inside a transaction. */
export type Sql = Pool | PoolConnection;
type Value = string | number | Date | null;

/** Thrown when a query returns another number of rows than its caller said it would. */
export class RowCountError extends Error {}

/** Opens a pool on a `mysql://` address. Decimals stay strings, days stay strings, instants are UTC. */
export function openPool(url: string): Pool {
  return createPool({
    uri: url,
    connectionLimit: 8,
    timezone: 'Z',
    dateStrings: ['DATE'],
    supportBigNumbers: true,
    charset: 'utf8mb4',
    // Foreign keys and CHECKs are only as strict as the session: say it here too, for databases not ours.
    flags: ['FOUND_ROWS'],
  });
}

export async function many<T>(
  sql: Sql,
  row: ZodType<T>,
  statement: string,
  values: Value[] = [],
): Promise<T[]> {
  const [rows] = await sql.execute(statement, values);
  return (rows as unknown[]).map((r) => row.parse(r));
}

export async function maybeOne<T>(
  sql: Sql,
  row: ZodType<T>,
  statement: string,
  values: Value[] = [],
): Promise<T | undefined> {
  const rows = await many(sql, row, statement, values);
  if (rows.length > 1) throw new RowCountError(`at most one row was expected, ${rows.length} came`);
  return rows[0];
}

export async function one<T>(sql: Sql, row: ZodType<T>, statement: string, values: Value[] = []): Promise<T> {
  const found = await maybeOne(sql, row, statement, values);
  if (found === undefined) throw new RowCountError('one row was expected, none came');
  return found;
}

/** Runs a statement that writes and returns how many rows it touched. */
export async function run(sql: Sql, statement: string, values: Value[] = []): Promise<number> {
  const [result] = await sql.execute(statement, values);
  return (result as ResultSetHeader).affectedRows;
}

/** Inserts many rows of one shape with one statement for each few hundred. */
export async function insertAll(
  sql: Sql,
  table: string,
  columns: readonly string[],
  rows: readonly (readonly Value[])[],
): Promise<void> {
  const CHUNK = 400;
  for (let i = 0; i < rows.length; i += CHUNK) {
    const part = rows.slice(i, i + CHUNK);
    const holes = part.map(() => `(${columns.map(() => '?').join(',')})`).join(',');
    await sql.query(`INSERT INTO ${table} (${columns.join(',')}) VALUES ${holes}`, part.flat());
  }
}

/** Does everything or nothing. The kitchen's other writers wait only for the rows both touch. */
export async function inTransaction<T>(pool: Pool, work: (sql: PoolConnection) => Promise<T>): Promise<T> {
  const connection = await pool.getConnection();
  try {
    await connection.query(
      "SET SESSION sql_mode='STRICT_ALL_TABLES,ONLY_FULL_GROUP_BY,NO_ZERO_IN_DATE,NO_ZERO_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION'",
    );
    await connection.beginTransaction();
    const result = await work(connection);
    await connection.commit();
    return result;
  } catch (error) {
    await connection.rollback();
    throw error;
  } finally {
    connection.release();
  }
}
