import { z } from 'zod';
import { newId } from '../mapping/ids';
import { inTransaction, many, maybeOne, run, untilFree, type Pool, type Sql } from '../sql';
import { ROLES } from './people';

const instant = z.date();
const flag = z.coerce.boolean();

/** Days after which somebody signs in again. */
export const SIGNED_IN_DAYS = 14;
/** Refusals that are kept. */
const MOST_REFUSED = 500;

/** Somebody who is signed in, as the database has them now. */
export const SignIn = z.object({
  id: z.string(),
  personId: z.string(),
  name: z.string(),
  role: z.enum(ROLES),
  byPin: flag,
  zone: z.string(),
  /** Whether the house lets its cooks change recipes and prices. */
  cooksMayChange: flag,
  seenAt: instant,
});
export type SignIn = z.infer<typeof SignIn>;

/** The person signed in under an id: not ended, not too old, on a device that has not been ended, somebody who still works here. */
export const signedIn = (sql: Sql, kitchenId: string, id: string, now: Date): Promise<SignIn | undefined> =>
  maybeOne(
    sql,
    SignIn,
    `SELECT s.id, s.person_id AS personId, p.name, p.role, s.by_pin AS byPin, k.zone, k.cooks_may_change AS cooksMayChange, s.seen_at AS seenAt
       FROM signed_in s
       JOIN person p ON p.kitchen_id = s.kitchen_id AND p.id = s.person_id AND p.archived_at IS NULL
       JOIN kitchen k ON k.id = s.kitchen_id
       LEFT JOIN device d ON d.kitchen_id = s.kitchen_id AND d.id = s.device_id
      WHERE s.kitchen_id = ? AND s.id = ? AND s.ended_at IS NULL AND s.began_at > ? AND (s.by_pin = 0 OR d.ended_at IS NULL)`,
    [kitchenId, id, new Date(now.getTime() - SIGNED_IN_DAYS * 86_400_000)],
  );

export interface SigningIn {
  readonly id: string;
  readonly personId: string;
  readonly deviceId: string | null;
  readonly byPin: boolean;
  readonly address: string;
  readonly browser: string;
}

export async function beginSignedIn(sql: Sql, kitchenId: string, s: SigningIn, at: Date): Promise<void> {
  await run(
    sql,
    'INSERT INTO signed_in (kitchen_id, id, person_id, device_id, by_pin, began_at, seen_at, address, browser) VALUES (?,?,?,?,?,?,?,?,?)',
    [kitchenId, s.id, s.personId, s.deviceId, s.byPin ? 1 : 0, at, at, s.address, s.browser],
  );
}

/** Writes down that somebody is still there. */
export const seenSignedIn = (sql: Sql, kitchenId: string, id: string, at: Date): Promise<number> =>
  run(sql, 'UPDATE signed_in SET seen_at = ? WHERE kitchen_id = ? AND id = ?', [at, kitchenId, id]);

export const revokeSignIn = (sql: Sql, kitchenId: string, id: string, at: Date): Promise<number> =>
  run(sql, 'UPDATE signed_in SET ended_at = ? WHERE kitchen_id = ? AND id = ? AND ended_at IS NULL', [
    at,
    kitchenId,
    id,
  ]);

/** Ends everything somebody is signed in by, but for the one they do it with. */
/** Ends wherever somebody is signed in by PIN: it is another one from now on. */
export const revokePinSignIns = (sql: Sql, kitchenId: string, personId: string, at: Date): Promise<number> =>
  run(
    sql,
    'UPDATE signed_in SET ended_at = ? WHERE kitchen_id = ? AND person_id = ? AND by_pin = 1 AND ended_at IS NULL',
    [at, kitchenId, personId],
  );

export const revokeOtherSignIns = (
  sql: Sql,
  kitchenId: string,
  personId: string,
  but: string | undefined,
  at: Date,
): Promise<number> =>
  run(
    sql,
    'UPDATE signed_in SET ended_at = ? WHERE kitchen_id = ? AND person_id = ? AND id <> ? AND ended_at IS NULL',
    [at, kitchenId, personId, but ?? ''],
  );

const Where = z.object({
  id: z.string(),
  personId: z.string(),
  name: z.string(),
  device: z.string().nullable(),
  byPin: flag,
  beganAt: instant,
  seenAt: instant,
  address: z.string(),
  browser: z.string(),
});
export type SignedInWhere = z.infer<typeof Where>;

/** Where people are signed in, latest seen first: one person's, or everybody's. */
export const signedInWhere = (
  sql: Sql,
  kitchenId: string,
  personId: string | undefined,
  now: Date,
): Promise<SignedInWhere[]> =>
  many(
    sql,
    Where,
    `SELECT s.id, s.person_id AS personId, p.name, d.name AS device, s.by_pin AS byPin, s.began_at AS beganAt, s.seen_at AS seenAt, s.address, s.browser
       FROM signed_in s
       JOIN person p ON p.kitchen_id = s.kitchen_id AND p.id = s.person_id
       LEFT JOIN device d ON d.kitchen_id = s.kitchen_id AND d.id = s.device_id
      WHERE s.kitchen_id = ? AND s.ended_at IS NULL AND s.began_at > ?${personId === undefined ? '' : ' AND s.person_id = ?'}
      ORDER BY s.seen_at DESC LIMIT 200`,
    [
      kitchenId,
      new Date(now.getTime() - SIGNED_IN_DAYS * 86_400_000),
      ...(personId === undefined ? [] : [personId]),
    ],
  );

/** Whose a sign-in is; undefined where there is none of that id any more. */
export const signedInOf = (
  sql: Sql,
  kitchenId: string,
  id: string,
): Promise<{ personId: string } | undefined> =>
  maybeOne(
    sql,
    z.object({ personId: z.string() }),
    'SELECT person_id AS personId FROM signed_in WHERE kitchen_id = ? AND id = ? AND ended_at IS NULL',
    [kitchenId, id],
  );

/** Why somebody was not let in at the door. */
export type WhyRefused = 'wrong' | 'too soon' | 'not let in' | 'nobody';

export interface SignInRefusal {
  readonly personId: string | null;
  readonly address: string;
  readonly byPin: boolean;
  readonly why: WhyRefused;
}

/** Writes a refusal down, and forgets the oldest of too many: anyone who knocks for ever fills nothing. */
export async function rememberRefusal(
  sql: Sql,
  kitchenId: string,
  r: SignInRefusal,
  at: Date,
): Promise<void> {
  await run(
    sql,
    'INSERT INTO sign_in_refused (kitchen_id, id, at, person_id, address, by_pin, why) VALUES (?,?,?,?,?,?,?)',
    [kitchenId, newId(), at, r.personId, r.address, r.byPin ? 1 : 0, r.why],
  );
  const least = await maybeOne(
    sql,
    z.object({ at: instant }),
    `SELECT at FROM sign_in_refused WHERE kitchen_id = ? ORDER BY at DESC LIMIT 1 OFFSET ${MOST_REFUSED - 1}`,
    [kitchenId],
  );
  if (least)
    await untilFree(() =>
      run(sql, 'DELETE FROM sign_in_refused WHERE kitchen_id = ? AND at < ?', [kitchenId, least.at]),
    );
}

const Refused = z.object({
  at: instant,
  name: z.string().nullable(),
  address: z.string(),
  byPin: flag,
  why: z.enum(['wrong', 'too soon', 'not let in', 'nobody']),
  times: z.coerce.number(),
});
export type RefusedRow = z.infer<typeof Refused>;

/** What the door refused, newest first: tries of one person from one place on one day together. */
export const refusals = (sql: Sql, kitchenId: string): Promise<RefusedRow[]> =>
  many(
    sql,
    Refused,
    `SELECT MAX(r.at) AS at, p.name, r.address, r.by_pin AS byPin, r.why, COUNT(*) AS times
       FROM sign_in_refused r LEFT JOIN person p ON p.kitchen_id = r.kitchen_id AND p.id = r.person_id
      WHERE r.kitchen_id = ?
      GROUP BY DATE(r.at), p.name, r.address, r.by_pin, r.why ORDER BY 1 DESC LIMIT 50`,
    [kitchenId],
  );

/** A try that is open, or how many ms it is until the next one is. */
export type TryOpen = { readonly open: true } | { readonly open: false; readonly inMs: number };

/** Wrong tries that cost nothing: from one place, and from wherever it may be. Addresses can be made up, so that all of them together count too. */
export const FREE_TRIES = { here: 3, anywhere: 30 };
/** The longest pause after more of them: nobody is locked out for longer by anybody. */
const LONGEST_PAUSE_MS = 8000;
/** After so long without a try, what was wrong is forgiven. */
const FORGIVEN_MS = 15 * 60_000;

/** Who is tried from where, and how many wrong tries of that cost nothing. */
export interface TryResult {
  readonly what: string;
  readonly free: number;
}

/**
 * Takes a try at somebody from somewhere, under a lock: two at once are one after the other. It counts as wrong until
 * `tryWasRight` says otherwise, so that nobody tries many at once while the first is still being looked at.
 */
export const countTry = (
  pool: Pool,
  kitchenId: string,
  { what, free }: TryResult,
  at: Date,
): Promise<TryOpen> =>
  untilFree(() => inTransaction(pool, (sql) => takenTry(sql, kitchenId, { what, free }, at)));

async function takenTry(sql: Sql, kitchenId: string, { what, free }: TryResult, at: Date): Promise<TryOpen> {
  await run(
    sql,
    'INSERT INTO sign_in_tries (kitchen_id, what, wrong, last_at, open_at) VALUES (?,?,0,?,?) ON DUPLICATE KEY UPDATE what = what',
    [kitchenId, what, at, at],
  );
  const had = await maybeOne(
    sql,
    z.object({ wrong: z.coerce.number(), lastAt: instant, openAt: instant }),
    'SELECT wrong, last_at AS lastAt, open_at AS openAt FROM sign_in_tries WHERE kitchen_id = ? AND what = ? FOR UPDATE',
    [kitchenId, what],
  );
  if (!had) throw new Error('a try that was just written down is gone');
  const inMs = had.openAt.getTime() - at.getTime();
  if (inMs > 0) return { open: false, inMs };
  const before = at.getTime() - had.lastAt.getTime() > FORGIVEN_MS ? 0 : had.wrong;
  const wrong = before + 1;
  const pause = wrong <= free ? 0 : Math.min(LONGEST_PAUSE_MS, 1000 * 2 ** Math.min(9, wrong - free - 1));
  await run(
    sql,
    'UPDATE sign_in_tries SET wrong = ?, last_at = ?, open_at = ? WHERE kitchen_id = ? AND what = ?',
    [wrong, at, new Date(at.getTime() + pause), kitchenId, what],
  );
  return { open: true };
}

/** Forgives what was wrong before: the right secret was typed. Also forgets tries of long ago. */
export async function clearTries(sql: Sql, kitchenId: string, what: string, at: Date): Promise<void> {
  await run(sql, 'DELETE FROM sign_in_tries WHERE kitchen_id = ? AND (what = ? OR last_at < ?)', [
    kitchenId,
    what,
    new Date(at.getTime() - FORGIVEN_MS),
  ]);
}
