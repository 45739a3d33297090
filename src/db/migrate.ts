import fs from 'node:fs';
import path from 'node:path';
import { createConnection, type RowDataPacket } from 'mysql2/promise';
import Postgrator from 'postgrator';

/** Thrown when a database has been brought further than this program knows: an older one would not understand it. */
export class NewerDatabaseError extends Error {
  override readonly name = 'NewerDatabaseError';
}

/** Thrown when another program has held the migration lock for longer than we wait. */
export class MigrationLockError extends Error {}

const FOLDER = (): string => path.join(process.cwd(), 'src/db/migrations');

/** The last step this program knows. */
export const newestSchema = (folder = FOLDER()): number =>
  Math.max(0, ...fs.readdirSync(folder).map((file) => Number(/^(\d+)\.do\./.exec(file)?.[1] ?? 0)));

/** The step a database stands at; 0 where nothing was ever done to it. */
export async function schemaOf(url: string): Promise<number> {
  const connection = await createConnection({ uri: url, timezone: 'Z' });
  try {
    const [tables] = await connection.query<RowDataPacket[]>("SHOW TABLES LIKE 'schema_version'");
    if (tables.length === 0) return 0;
    const [rows] = await connection.query<RowDataPacket[]>(
      'SELECT MAX(version) AS version FROM schema_version',
    );
    return Number(rows[0]?.version ?? 0);
  } finally {
    await connection.end();
  }
}

const LOCK_SECONDS = 60;
/** The one collation of everything people write: case and accents make no other name. Ids and hashes are ascii_bin. */
export const COLLATION = 'utf8mb4_unicode_ci';

/**
 * Brings a database to the newest schema. Numbered, checksummed files; a landed one is never edited.
 * Every statement is `IF NOT EXISTS`, so that a migration cut off in the middle is simply done again,
 * and a named lock keeps two starts from migrating at once.
 *
 * @param to a step to stop at: for what was written there, before it is brought further
 * @returns names of the migrations that ran
 */
export async function migrate(url: string, folder = FOLDER(), to?: number): Promise<string[]> {
  const [stands, known] = [await schemaOf(url), newestSchema(folder)];
  if (stands > known)
    throw new NewerDatabaseError(
      `This database was last opened by a newer Half Pot (its tables are at step ${stands}, this program goes to ${known}). Update the program; nothing was changed.`,
    );
  const connection = await createConnection({ uri: url, multipleStatements: true, timezone: 'Z' });
  try {
    const [rows] = await connection.query<RowDataPacket[]>('SELECT GET_LOCK(?, ?) AS got', [
      'halfpot-migrate',
      LOCK_SECONDS,
    ]);
    if (rows[0]?.got !== 1)
      throw new MigrationLockError(
        `Another program has been migrating this database for more than ${LOCK_SECONDS} seconds.`,
      );
    const [names] = await connection.query<RowDataPacket[]>('SELECT DATABASE() AS name');
    // A database of somebody else's may have another default; tables take what stands here.
    await connection.query(
      `ALTER DATABASE \`${String(names[0]?.name)}\` CHARACTER SET utf8mb4 COLLATE ${COLLATION}`,
    );
    const postgrator = new Postgrator({
      migrationPattern: path.join(folder, '*.sql'),
      driver: 'mysql',
      database: String(names[0]?.name),
      schemaTable: 'schema_version',
      validateChecksums: true,
      execQuery: async (query) => {
        const [result] = await connection.query(query);
        return { rows: Array.isArray(result) ? result : [] };
      },
    });
    const applied = await postgrator.migrate(to === undefined ? undefined : String(to));
    return applied.map((m) => m.filename ?? m.name);
  } finally {
    await connection.end();
  }
}
