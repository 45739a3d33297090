import { randomBytes } from 'node:crypto';
import { createConnection } from 'mysql2/promise';

/**
 * A database of its own on the test server, gone again afterwards. The server is started by
 * `halfpot test`, never the demo's.
 */
export async function freshDatabase(): Promise<{ url: string; drop: () => Promise<void> }> {
  const server = process.env.HALFPOT_TEST_SERVER;
  if (!server) throw new Error('these tests want a MariaDB: run them through ./halfpot test');
  const name = `halfpot_t_${randomBytes(6).toString('hex')}`;
  const url = new URL(server);
  const run = async (sql: string): Promise<void> => {
    const connection = await createConnection({ uri: server });
    await connection.query(sql);
    await connection.end();
  };
  await run(`CREATE DATABASE \`${name}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`);
  url.pathname = `/${name}`;
  return { url: url.href, drop: () => run(`DROP DATABASE IF EXISTS \`${name}\``) };
}
