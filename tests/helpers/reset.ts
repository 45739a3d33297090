import fs from 'node:fs';
import path from 'node:path';
import { createConnection, type Connection, type RowDataPacket } from 'mysql2/promise';
import { shiftTo, readKitchenText } from '../../src/core/kitchen-file';
import { loadKitchen } from '../../src/db/kitchen/load-kitchen';
import { openPool } from '../../src/db/sql';
import { hashSecret } from '../../src/server/passwords';
import type { TestedKitchen } from './here';
import { cloneDatabase, readTemplate, restoreTables, type Template } from './template';

/** The kitchen as it was loaded: where its rows are kept, and what each table summed up to then. */
interface Kept {
  readonly template: Template;
  readonly checksums: ReadonlyMap<string, string>;
}
let kept: Kept | undefined;

/** What each table comes to: two are the same only if their rows are. */
async function checksumsOf(connection: Connection, { columns }: Template): Promise<Map<string, string>> {
  const [rows] = await connection.query<RowDataPacket[]>(
    `CHECKSUM TABLE ${columns.map(([table]) => `\`${table}\``).join(', ')}`,
  );
  return new Map(rows.map((row) => [String(row.Table).split('.')[1] ?? '', String(row.Checksum)]));
}

/** Loads the demo once and keeps its rows beside it. */
async function keepDemo(kitchen: TestedKitchen): Promise<Kept> {
  const { databaseUrl, day, listsPort, scalePort } = kitchen;
  const text = fs.readFileSync(path.join(process.cwd(), 'demo/kestrel-weir.json'), 'utf8');
  // The suppliers' computers and the scale stand on other ports while tests run.
  const read = readKitchenText(
    text.replaceAll(':4190/', `:${listsPort}/`).replaceAll(':4191/', `:${scalePort}/`),
  );
  if (!read.ok) throw new Error('the demo kitchen has mistakes');
  const secrets = await Promise.all(
    read.file.people.map(async ({ id, firstPassword, firstPin }) => {
      const hashed = { password: firstPassword, pin: firstPin };
      return [
        id,
        {
          password: hashed.password ? await hashSecret(hashed.password) : null,
          pin: hashed.pin ? await hashSecret(hashed.pin) : null,
        },
      ] as const;
    }),
  );
  await emptyDatabase(databaseUrl);
  const pool = openPool(databaseUrl);
  await loadKitchen(pool, shiftTo(read.file, day), new Map(secrets));
  await pool.end();
  const template = await readTemplate(databaseUrl);
  const beside = `${template.database}_kept`;
  await cloneDatabase(databaseUrl, beside, template);
  const connection = await createConnection({ uri: databaseUrl });
  const checksums = await checksumsOf(connection, template);
  await connection.end();
  return { template: { ...template, database: beside }, checksums };
}

/**
 * Puts the demo kitchen back as it was loaded: every browser test begins in the same kitchen. Only tables that have
 * changed are written, so that after a test that only looked the application still has everything worked out.
 */
export async function resetKitchen(kitchen: TestedKitchen): Promise<void> {
  kept ??= await keepDemo(kitchen);
  const { template, checksums } = kept;
  const connection = await createConnection({ uri: kitchen.databaseUrl, multipleStatements: true });
  try {
    const now = await checksumsOf(connection, template);
    const changed = [...checksums].filter(([table, sum]) => now.get(table) !== sum).map(([table]) => table);
    await restoreTables(connection, template, changed);
  } finally {
    await connection.end();
  }
}

/** Leaves nothing in a database but its tables: nobody has begun a kitchen there. */
export async function emptyDatabase(databaseUrl: string): Promise<void> {
  const connection = await createConnection({ uri: databaseUrl });
  const [tables] = await connection.query<RowDataPacket[]>(
    "SELECT TABLE_NAME AS name FROM information_schema.TABLES WHERE TABLE_SCHEMA = DATABASE() AND TABLE_NAME <> 'schema_version'",
  );
  await connection.query('SET FOREIGN_KEY_CHECKS = 0');
  for (const { name } of tables) await connection.query(`TRUNCATE TABLE \`${String(name)}\``);
  await connection.end();
}
