import type { Pool } from 'mysql2/promise';
import { z } from 'zod';
import { freshDatabase } from '../../../tests/helpers/test-database';
import { many, openPool } from '../sql';

let pool: Pool;
let drop: () => Promise<void>;

beforeAll(async () => {
  const made = await freshDatabase('tables');
  drop = made.drop;
  pool = openPool(made.url);
});
afterAll(async () => {
  await pool.end();
  await drop();
});

/** Rows of the database's own description of the kitchen's tables. */
const described = (what: string) =>
  many(
    pool,
    z.object({ at: z.string(), how: z.string().nullable() }),
    `SELECT CONCAT(c.table_name, '.', c.column_name) AS at, ${what} AS how
       FROM information_schema.columns c
       JOIN information_schema.tables t USING (table_schema, table_name)
      WHERE c.table_schema = DATABASE() AND t.table_type = 'BASE TABLE' AND t.table_name <> 'schema_version'
      ORDER BY at`,
    [],
  );

test('words are collated one way, ids and marks byte by byte, whatever the server takes for its own', async () => {
  const text = (await described('c.collation_name')).filter((c) => c.how !== null);
  expect(text.length).toBeGreaterThan(80);
  const collated = (how: string): string[] => text.filter((c) => c.how === how).map((c) => c.at);
  const [words, marks, json] = [
    collated('utf8mb4_unicode_ci'),
    collated('ascii_bin'),
    collated('utf8mb4_bin'),
  ];
  expect(text.filter((c) => ![...words, ...marks, ...json].includes(c.at))).toEqual([]);
  for (const at of marks)
    expect(at).toMatch(
      /\.id$|_id$|_sha256$|_by$|\.bought_as$|\.merged_into$|\.in_place_of$|\.mark$|\.undoes$|\.takes_back$|\.act$|\.address$|^lease\.(?:name|holder)$|^kitchen_moved\.what$|^sign_in_tries\.what$|^batch_event\.kind$/,
    );
  for (const at of words) expect(at).not.toMatch(/\.id$|_id$|_sha256$/);
  // Byte by byte and not ASCII is how this database keeps JSON, and nothing else is kept so.
  const checks = await many(
    pool,
    z.object({ at: z.string() }),
    `SELECT CONCAT(table_name, '.', constraint_name) AS at FROM information_schema.check_constraints
      WHERE constraint_schema = DATABASE() AND check_clause LIKE 'json_valid%'`,
    [],
  );
  expect(json.filter((at) => !checks.some((c) => c.at === at))).toEqual([]);
  expect(words).toEqual(
    expect.arrayContaining(['ingredient.name', 'recipe.name', 'purchase.number', 'supplier.name']),
  );
});
