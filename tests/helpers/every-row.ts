import { z } from 'zod';
import { largeKitchen } from '../../src/core/testing/large-kitchen';
import { loadKitchen } from '../../src/db/kitchen/load-kitchen';
import { many, type Pool } from '../../src/db/sql';
import type { Worker } from '../../src/server/roles';

/** A small kitchen beside the one that is there, with ids of its own: somebody who manages it. */
export async function anotherKitchen(pool: Pool): Promise<Worker> {
  const text = JSON.stringify(largeKitchen({ ingredients: 12, recipes: 3, plates: 2 }, 5));
  const other = JSON.parse(text.replace(/"0(19[0-9a-f]{5}-)/g, '"1$1')) as ReturnType<typeof largeKitchen>;
  await loadKitchen(pool, other, new Map());
  const [person] = other.people;
  return {
    kitchenId: other.kitchen.id,
    person: { id: person?.id ?? '', name: person?.name ?? '', role: 'manager' },
    role: 'manager',
    zone: other.kitchen.zone,
  };
}

/** How often a password was tried is counted also where it was wrong. */
const NOT_WATCHED = "'schema_version', 'sign_in_tries'";

/** What every table comes to: two of these are the same only if no row of any kitchen is another. */
export async function checksums(pool: Pool): Promise<ReadonlyMap<string, string>> {
  const tables = await many(
    pool,
    z.object({ t: z.string() }),
    `SELECT table_name AS t FROM information_schema.tables WHERE table_schema = DATABASE() AND table_type = 'BASE TABLE' AND table_name NOT IN (${NOT_WATCHED})`,
    [],
  );
  const rows = await many(
    pool,
    z.object({ Table: z.string(), Checksum: z.union([z.string(), z.number()]).transform(String) }),
    `CHECKSUM TABLE ${tables.map(({ t }) => `\`${t}\``).join(', ')}`,
    [],
  );
  return new Map(rows.map((row) => [row.Table.split('.')[1] ?? '', row.Checksum]));
}
