import { kinds } from '../../src/app/command/kinds';
import { readKitchenFrom } from '../../src/db/kitchen/read-kitchen';
import { many, openPool, type Pool } from '../../src/db/sql';
import { newId } from '../../src/db/mapping/ids';
import { changesIn, type ChangedBy } from '../../src/db/changes';
import { versionOf, type Aggregate } from '../../src/db/edits';
import { savedCostings } from '../../src/db/kitchen/saved-costings';
import { allPeople, type PersonRole } from '../../src/db/people/people';
import { perform, type AnyDeclared } from '../../src/server/door';
import type { Worker } from '../../src/server/roles';
import { demoKitchen } from '../../src/core/testing/demo';
import type { KitchenFile } from '../../src/core/kitchen-file';
import type { Reply, Wire } from '../../src/wire';
import { z } from 'zod';
import { freshDatabase } from './test-database';

export const DAY = '2026-03-14';
export const CLOCK = '2026-03-14T12:00:00.000Z';

/** The demo kitchen in a database of its own, with somebody of each role at work through the door. */
export interface AtWork {
  readonly file: KitchenFile;
  readonly kitchenId: string;
  readonly pool: Pool;
  readonly as: (role: PersonRole) => Worker;
  /** Sends a write as a manager, unless told who; fresh from somebody who has seen a version. */
  readonly send: <B, A, T>(
    wire: Wire<B, A, T>,
    body: B,
    how?: { readonly seen?: number | null; readonly role?: PersonRole; readonly commandId?: string },
  ) => Promise<Reply<A, T>>;
  readonly read: () => Promise<KitchenFile>;
  /** The change log of a thing, oldest first. */
  readonly changes: (subject: string) => Promise<{ what: string; before: unknown; after: unknown }[]>;
  /** The version a thing stands at, as somebody has seen it who looks now. */
  readonly seen: (table: Aggregate, id: string) => Promise<{ seen: number }>;
  /** What lies in the store by what was moved: g of each ingredient. */
  readonly stock: () => Promise<{ ingredient: string; g: string }[]>;
  readonly people: () => ReturnType<typeof allPeople>;
  readonly kept: (subject: string) => ReturnType<typeof savedCostings>;
  /** The newest changes, the newest first. */
  readonly lately: (most: number) => Promise<ChangedBy[]>;
  readonly end: () => Promise<void>;
}

/** @param more kinds of writes besides the application's own */
export async function kitchenAtWork(more: readonly AnyDeclared[] = []): Promise<AtWork> {
  // One address for all files of a worker: the server reads once where its database is.
  const fresh = await freshDatabase('demo', `halfpot_t_at_work_${process.pid}`);
  // What the server is started with: the door asks for its database and its clock there.
  Object.assign(process.env, {
    DATABASE_URL: fresh.url,
    HALFPOT_SECRET: 'a secret of thirty-two letters and more',
    HALFPOT_CLOCK: CLOCK,
  });
  const file = demoKitchen();
  const kitchenId = file.kitchen.id;
  const pool = openPool(fresh.url);
  const as = (role: PersonRole): Worker => {
    const person = file.people.find((p) => p.role === role) ?? file.people[0];
    if (!person) throw new Error('nobody works here');
    return { kitchenId, person: { id: person.id, name: person.name, role }, role, zone: file.kitchen.zone };
  };
  const known = new Map([...kinds(), ...more.map((d) => [d.wire.kind, d] as const)]);
  return {
    file,
    kitchenId,
    pool,
    as,
    async send(wire, body, { seen = 1, role = 'manager', commandId = newId() } = {}) {
      const { kind, version } = wire;
      const done = await perform(
        known.get(kind),
        { commandId, kind, kindVersion: version, seen, body },
        as(role),
      );
      // As it travels: what JSON does not carry is no part of an answer.
      return JSON.parse(JSON.stringify(done)) as typeof done as never;
    },
    read: async () => (await readKitchenFrom(pool, kitchenId)).file,
    async changes(subject) {
      const text = z
        .string()
        .nullable()
        .transform((json): unknown => (json === null ? null : JSON.parse(json)));
      return many(
        pool,
        z.object({ what: z.string(), before: text, after: text }),
        'SELECT what, CAST(before_value AS CHAR) AS `before`, CAST(after_value AS CHAR) AS `after` FROM change_record WHERE kitchen_id = ? AND subject_id = ? ORDER BY seq, id',
        [kitchenId, subject],
      );
    },
    seen: async (table, id) => ({ seen: (await versionOf(pool, table, kitchenId, id)) ?? 1 }),
    stock: () =>
      many(
        pool,
        z.object({ ingredient: z.string(), g: z.string() }),
        'SELECT l.ingredient_id AS ingredient, CAST(SUM(m.g) AS CHAR) AS g FROM stock_movement m JOIN lot l ON l.kitchen_id = m.kitchen_id AND l.id = m.lot_id WHERE m.kitchen_id = ? GROUP BY l.ingredient_id HAVING SUM(m.g) <> 0 ORDER BY l.ingredient_id',
        [kitchenId],
      ),
    people: () => allPeople(pool, kitchenId),
    kept: (subject) => savedCostings(pool, kitchenId, subject),
    lately: (most) => changesIn(pool, kitchenId, { most }),
    async end() {
      await pool.end();
      await (globalThis as { halfPotPool?: Pool }).halfPotPool?.end();
      delete (globalThis as { halfPotPool?: Pool }).halfPotPool;
      await fresh.drop();
    },
  };
}
