import { z } from 'zod';
import { many, maybeOne, run, type Sql } from '../sql';

export const ROLES = ['reader', 'cook', 'manager'] as const;
export type PersonRole = (typeof ROLES)[number];

const Person = z.object({ id: z.string(), name: z.string(), role: z.enum(ROLES) });
export type Person = z.infer<typeof Person>;

/** Everybody who works here, by role and name. */
export const peopleOf = (sql: Sql, kitchenId: string): Promise<Person[]> =>
  many(
    sql,
    Person,
    "SELECT id, name, role FROM person WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY FIELD(role, 'manager', 'cook', 'reader'), name",
    [kitchenId],
  );

/**
 * The id of another person in the kitchen with this name, also of one who has left. The database decides: its key on names
 * has the last word.
 *
 * @param except a person who may have it
 */
export const personCalled = async (
  sql: Sql,
  kitchenId: string,
  name: string,
  except: string | null,
): Promise<string | undefined> =>
  (
    await maybeOne(
      sql,
      z.object({ id: z.string() }),
      'SELECT id FROM person WHERE kitchen_id = ? AND name = ? AND NOT id <=> ?',
      [kitchenId, name, except],
    )
  )?.id;

/** Who can sign in: nobody without a password or a PIN is offered at the door. */
export const peopleToSignIn = (sql: Sql, kitchenId: string): Promise<Person[]> =>
  many(
    sql,
    Person,
    "SELECT id, name, role FROM person WHERE kitchen_id = ? AND archived_at IS NULL AND (password_hash IS NOT NULL OR pin_hash IS NOT NULL) ORDER BY FIELD(role, 'manager', 'cook', 'reader'), name",
    [kitchenId],
  );

/** The hashes somebody signs in against; null where they have no password or no PIN. */
export const secretsOf = (
  sql: Sql,
  kitchenId: string,
  id: string,
): Promise<{ password: string | null; pin: string | null } | undefined> =>
  maybeOne(
    sql,
    z.object({ password: z.string().nullable(), pin: z.string().nullable() }),
    'SELECT password_hash AS password, pin_hash AS pin FROM person WHERE kitchen_id = ? AND id = ? AND archived_at IS NULL',
    [kitchenId, id],
  );

export const setPassword = (sql: Sql, kitchenId: string, id: string, hash: string): Promise<number> =>
  run(sql, 'UPDATE person SET password_hash = ? WHERE kitchen_id = ? AND id = ?', [hash, kitchenId, id]);

/** Everybody who ever worked here, those who have left among them. */
export const allPeople = (
  sql: Sql,
  kitchenId: string,
): Promise<
  (Person & { readonly leftAt: Date | null; readonly hasPin: boolean; readonly version: number })[]
> =>
  many(
    sql,
    Person.extend({ leftAt: z.date().nullable(), hasPin: z.coerce.boolean(), version: z.number() }),
    "SELECT id, name, role, archived_at AS leftAt, pin_hash IS NOT NULL AS hasPin, version FROM person WHERE kitchen_id = ? ORDER BY archived_at IS NOT NULL, FIELD(role, 'manager', 'cook', 'reader'), name",
    [kitchenId],
  );

/** Writes somebody down, or over; a hash that is not given stays. */
export async function writePerson(
  sql: Sql,
  kitchenId: string,
  p: Person,
  secrets: { readonly password?: string | undefined; readonly pin?: string | undefined },
): Promise<void> {
  await run(
    sql,
    'INSERT INTO person (kitchen_id, id, name, role, password_hash, pin_hash) VALUES (?,?,?,?,?,?) ON DUPLICATE KEY UPDATE name = VALUES(name), role = VALUES(role), password_hash = COALESCE(VALUES(password_hash), password_hash), pin_hash = COALESCE(VALUES(pin_hash), pin_hash)',
    [kitchenId, p.id, p.name, p.role, secrets.password ?? null, secrets.pin ?? null],
  );
}

/** Somebody has left (`at`), or is back (null). */
export const archivePerson = (sql: Sql, kitchenId: string, id: string, at: Date | null): Promise<number> =>
  run(sql, 'UPDATE person SET archived_at = ? WHERE kitchen_id = ? AND id = ?', [at, kitchenId, id]);

/** Managers who work here, each locked until the transaction ends: the last of them stays one. */
export const managersLocked = async (sql: Sql, kitchenId: string): Promise<readonly string[]> =>
  (
    await many(
      sql,
      z.object({ id: z.string() }),
      "SELECT id FROM person WHERE kitchen_id = ? AND role = 'manager' AND archived_at IS NULL AND password_hash IS NOT NULL FOR UPDATE",
      [kitchenId],
    )
  ).map((r) => r.id);
