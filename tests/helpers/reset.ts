import { createConnection, type RowDataPacket } from 'mysql2/promise';
import { shiftTo, readKitchenText } from '../../src/core/kitchen-file';
import { loadKitchen, type Secrets } from '../../src/db/load-kitchen';
import { openPool } from '../../src/db/sql';
import { hashSecret } from '../../src/server/passwords';
import fs from 'node:fs';
import path from 'node:path';
import type { TestedKitchen } from './here';

let secrets: Secrets | undefined;

/** Puts the demo kitchen back as it was loaded: every browser test begins in the same kitchen. */
export async function resetKitchen({ databaseUrl, day, listsPort, scalePort }: TestedKitchen): Promise<void> {
  const text = fs.readFileSync(path.join(process.cwd(), 'demo/kestrel-weir.json'), 'utf8');
  // The suppliers' computers and the scale stand on other ports while tests run.
  const read = readKitchenText(
    text.replaceAll(':4190/', `:${listsPort}/`).replaceAll(':4191/', `:${scalePort}/`),
  );
  if (!read.ok) throw new Error('the demo kitchen has mistakes');
  if (!secrets) {
    const hashed = await Promise.all(
      read.file.people.map(
        async (p) =>
          [
            p.id,
            {
              password: p.firstPassword ? await hashSecret(p.firstPassword) : null,
              pin: p.firstPin ? await hashSecret(p.firstPin) : null,
            },
          ] as const,
      ),
    );
    secrets = new Map(hashed);
  }
  await emptyDatabase(databaseUrl);
  const pool = openPool(databaseUrl);
  await loadKitchen(pool, shiftTo(read.file, day), secrets);
  await pool.end();
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
