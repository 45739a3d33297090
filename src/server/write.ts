import 'server-only';
import type { PoolConnection } from 'mysql2/promise';
import { lastChangeOf, takeVersion, type Aggregate } from '@/db/edits';
import type { PersonRole } from '@/db/people';
import { inTransaction } from '@/db/sql';
import { refuse, type Trouble } from '@/core/trouble';
import { database } from './database';
import { log } from './log';
import { may, worker, type Worker } from './session';

/** What an edit comes back with: done, or a sentence; of a stale edit, both sides. */
export type Edited<T = unknown> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly trouble: Trouble; readonly theirs?: unknown };

/** Thrown inside a transaction to undo it and hand the trouble to whoever asked. */
export class Refused extends Error {
  constructor(
    readonly trouble: Trouble,
    readonly theirs?: unknown,
  ) {
    super(trouble.message);
    this.name = 'Refused';
  }
}

/** Runs a write as somebody who may do it, in one transaction, with expected trouble handed back. */
export async function edit<T>(
  least: PersonRole,
  work: (sql: PoolConnection, who: Worker) => Promise<T>,
): Promise<Edited<T>> {
  const who = await worker();
  if (!who)
    return refuse('signed-out', '', 'You are signed out: sign in again and what you typed can be kept.');
  if (!may(who.role, least))
    return refuse('not-allowed', '', `A ${who.role} may look at this but not change it; a ${least} may.`);
  try {
    const value = await inTransaction(database(), (sql) => work(sql, who));
    return { ok: true, value };
  } catch (error) {
    if (error instanceof Refused) return { ok: false, trouble: error.trouble, theirs: error.theirs };
    log.error({ err: error }, 'a write failed');
    return refuse(
      'failed',
      '',
      'This could not be kept: something went wrong on our side. What you typed still stands here; try again.',
    );
  }
}

/** Takes the next version or refuses the write, telling who changed it meanwhile and what it says now. */
export async function mustBeFresh(
  sql: PoolConnection,
  who: Worker,
  table: Aggregate,
  id: string,
  seen: number,
  theirs: () => Promise<unknown>,
): Promise<void> {
  if (await takeVersion(sql, table, who.kitchenId, id, seen)) return;
  const last = await lastChangeOf(sql, who.kitchenId, id);
  const by = last
    ? `${last.who} changed this at ${last.at.toISOString().slice(11, 16)} UTC`
    : 'Somebody changed this';
  throw new Refused(
    refuse('stale', '', `${by} while you were at it. Both are shown: keep yours or take theirs.`).trouble,
    await theirs(),
  );
}
