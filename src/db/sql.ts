import { setImmediate as others } from 'node:timers/promises';
import { setTimeout as pause } from 'node:timers/promises';
import { createPool, type Pool, type PoolConnection, type ResultSetHeader } from 'mysql2/promise';
import type { ZodType } from 'zod';
import { withWatchdog, UnresponsiveError, rememberAddress } from './watchdog';

/** Something statements can be sent to: the pool, or one connection inside a transaction. */
export type Sql = Pool | PoolConnection;
/** One connection inside a transaction. */
export type Connection = PoolConnection;
export type { Pool };
type Value = string | number | Date | null;

/** Thrown when no connection came free in time: too many are at work at once. */
export class BusyError extends Error {}

/** ms that anybody waits for a connection before he is told that it is busy. */
const LONGEST_WAIT = 5000;
const MOST_WAITING = 200;
/** s that one statement may take, and that it waits for a lock. */
const STATEMENT_S = 20;
const LOCK_S = 5;

const SESSION = `SET SESSION max_statement_time=${STATEMENT_S}, innodb_lock_wait_timeout=${LOCK_S}, sql_mode='STRICT_ALL_TABLES,ONLY_FULL_GROUP_BY,NO_ZERO_IN_DATE,NO_ZERO_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION'`;

/** Whether two writers stood in each other's way, so that it is worth beginning again: a deadlock, or a lock that did not come. */
export const isLockConflict = (error: unknown): boolean => {
  const { errno } = (error ?? {}) as { errno?: unknown };
  return errno === 1213 || errno === 1205;
};

/** Whether a row was refused because its key is there already. */
export const isDuplicate = (error: unknown): boolean => ((error ?? {}) as { errno?: unknown }).errno === 1062;

/** A connection of the pool, or after a while the word that there is none. */
async function connectionOf(pool: Pool): Promise<PoolConnection> {
  const asked = pool.getConnection();
  const timer = new AbortController();
  const waited = pause(LONGEST_WAIT, undefined, { signal: timer.signal, ref: false }).then(
    () => undefined,
    () => undefined,
  );
  try {
    const got = await Promise.race([asked, waited]);
    if (got) return got;
    // It may still come: then it goes straight back.
    asked.then(
      (late) => late.release(),
      () => undefined,
    );
    throw new BusyError(`no connection came free within ${LONGEST_WAIT} ms`);
  } catch (error) {
    if (error instanceof Error && error.message === 'Queue limit reached.')
      throw new BusyError(`more than ${MOST_WAITING} wait for a connection`);
    throw error;
  } finally {
    timer.abort();
  }
}

/** Thrown when a query returns another number of rows than its caller said it would. */
export class RowCountError extends Error {}

/** Opens a pool on a `mysql://` address. Decimals stay strings, days stay strings, instants are UTC. */
export function openPool(url: string): Pool {
  const pool = createPool({
    uri: url,
    connectTimeout: LONGEST_WAIT,
    connectionLimit: 8,
    queueLimit: MOST_WAITING,
    timezone: 'Z',
    dateStrings: ['DATE'],
    supportBigNumbers: true,
    charset: 'utf8mb4',
    // A row that is written over with what it holds already counts as touched.
    flags: ['FOUND_ROWS'],
  });
  rememberAddress(pool, url);
  // Said to each connection once, and before anything else: what is refused is only as strict as the session, and no statement runs for ever.
  pool.on('connection', (connection) => {
    rememberAddress(connection, url);
    void connection.query(SESSION);
  });
  return pool;
}

/** Rows checked before others get their turn. */
const CHECKED_AT_ONCE = 400;

export async function many<T>(
  sql: Sql,
  row: ZodType<T>,
  statement: string,
  values: Value[] = [],
): Promise<T[]> {
  const [rows] = await withWatchdog(sql, sql.execute(statement, values));
  const read: T[] = [];
  for (const r of rows as unknown[]) {
    read.push(row.parse(r));
    // Thousands of rows take a while to check: others are answered meanwhile.
    if (read.length % CHECKED_AT_ONCE === 0) await others();
  }
  return read;
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
  const [result] = await withWatchdog(sql, sql.execute(statement, values));
  return (result as ResultSetHeader).affectedRows;
}

/**
 * Inserts many rows of one shape with one statement for each few hundred.
 * @param renewed columns that are written over where the row is there already; it is an error without
 */
export async function insertAll(
  sql: Sql,
  table: string,
  columns: readonly string[],
  rows: readonly (readonly Value[])[],
  renewed: readonly string[] = [],
): Promise<void> {
  const CHUNK = 400;
  const over =
    renewed.length > 0
      ? ` ON DUPLICATE KEY UPDATE ${renewed.map((column) => `${column} = VALUES(${column})`).join(', ')}`
      : '';
  for (let i = 0; i < rows.length; i += CHUNK) {
    const part = rows.slice(i, i + CHUNK);
    const holes = part.map(() => `(${columns.map(() => '?').join(',')})`).join(',');
    await withWatchdog(
      sql,
      sql.query(`INSERT INTO ${table} (${columns.join(',')}) VALUES ${holes}${over}`, part.flat()),
    );
  }
}

/**
 * Inserts rows that say by name what stands in each column; all of them have the same ones.
 * @param renewed columns that are written over where the row is there already; it is an error without
 */
export function insertRows(
  sql: Sql,
  table: string,
  rows: readonly Readonly<Record<string, Value>>[],
  renewed: readonly string[] = [],
): Promise<void> {
  const columns = Object.keys(rows[0] ?? {});
  return insertAll(
    sql,
    table,
    columns,
    rows.map((row) => columns.map((column) => row[column] ?? null)),
    renewed,
  );
}

/** Reads as of one moment: what is written meanwhile is not seen, and nobody waits for it. */
export const inSnapshot = <T>(pool: Pool, work: (sql: PoolConnection) => Promise<T>): Promise<T> =>
  between(pool, 'START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY', work);

/** Does everything or nothing. The kitchen's other writers wait only for the rows both touch. */
export const inTransaction = <T>(pool: Pool, work: (sql: PoolConnection) => Promise<T>): Promise<T> =>
  between(pool, 'START TRANSACTION', work);

/** Does a piece of work again that stood in another's way, a few times: it is one that may be started again. */
export async function untilFree<T>(work: () => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries += 1)
    try {
      return await work();
    } catch (error) {
      if (!isLockConflict(error) || tries >= 5) throw error;
      await pause(10 * tries * Math.random());
    }
}

async function between<T>(pool: Pool, begin: string, work: (sql: PoolConnection) => Promise<T>): Promise<T> {
  const connection = await connectionOf(pool);
  let silent = false;
  try {
    await withWatchdog(connection, connection.query(begin));
    const result = await work(connection);
    await withWatchdog(connection, connection.commit());
    return result;
  } catch (error) {
    silent = error instanceof UnresponsiveError;
    if (!silent) await connection.rollback();
    throw error;
  } finally {
    // One that does not answer is of no more use: whatever it had begun is undone by the database when it notices.
    if (silent) connection.destroy();
    else connection.release();
  }
}
