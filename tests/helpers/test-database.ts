import { randomBytes } from 'node:crypto';
import fs from 'node:fs';
import { createConnection } from 'mysql2/promise';
import { cloneDatabase, type Template } from './template';

/** The templates that `halfpot test` has made: with nothing but tables, and with the demo kitchen. */
export interface Templates {
  readonly tables: Template;
  readonly demo: Template;
}

let templates: Templates | undefined;

export interface TestDatabase {
  readonly url: string;
  readonly drop: () => Promise<void>;
}

/**
 * A database of its own on the test server, gone again afterwards. The server is started by
 * `halfpot test`, never the demo's.
 *
 * @param like with nothing in it, migrated, or migrated and with the demo kitchen (nobody has a password)
 * @param name of a database that is made again under the same name: what was there is dropped
 */
export async function freshDatabase(
  like: 'empty' | keyof Templates = 'empty',
  name = `halfpot_t_${randomBytes(6).toString('hex')}`,
): Promise<TestDatabase> {
  const server = process.env.HALFPOT_TEST_SERVER;
  if (!server) throw new Error('these tests want a MariaDB: run them through ./halfpot test');
  const url = new URL(server);
  const run = async (sql: string): Promise<void> => {
    const connection = await createConnection({ uri: server });
    await connection.query(sql);
    await connection.end();
  };
  if (like === 'empty')
    await run(`CREATE DATABASE \`${name}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`);
  else {
    templates ??= JSON.parse(fs.readFileSync(process.env.HALFPOT_TEST_TEMPLATES ?? '', 'utf8')) as Templates;
    await cloneDatabase(server, name, templates[like]);
  }
  url.pathname = `/${name}`;
  return { url: url.href, drop: () => run(`DROP DATABASE IF EXISTS \`${name}\``) };
}
