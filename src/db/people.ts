import { z } from 'zod';
import { many, maybeOne, run, type Sql } from './sql';

export const ROLES = ['reader', 'cook', 'manager'] as const;
export type PersonRole = (typeof ROLES)[number];

const Person = z.object({ id: z.string(), name: z.string(), role: z.enum(ROLES) });
export type Person = z.infer<typeof Person>;

/** Everybody who can sign in, by role and name. */
export const peopleOf = (sql: Sql, kitchenId: string): Promise<Person[]> =>
  many(
    sql,
    Person,
    "SELECT id, name, role FROM person WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY FIELD(role, 'manager', 'cook', 'reader'), name",
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
