import 'server-only';
import { setTimeout as pause } from 'node:timers/promises';
import { releaseLease, acquireLease, leaseHolder } from '@/db/commands';
import { newId } from '@/db/mapping/ids';
import { BusyError } from '@/db/sql';
import { database } from '../database';
import { withMutex } from '../mutex';

/** ms between two looks at another process's lease, and how long a writer waits for one to end. */
const LOOK_AGAIN_MS = 40;
const LONGEST_WAIT_MS = 15_000;

/** Leases that writers of this process hold, by kitchen: they are waited for without asking the database. */
const here = new Map<string, Promise<unknown>>();

/** Waits until nobody holds the lease of a kitchen. */
export async function leaseReleased(kitchenId: string): Promise<void> {
  const until = performance.now() + LONGEST_WAIT_MS;
  do {
    const own = here.get(kitchenId);
    if (own) await own;
    else await pause(LOOK_AGAIN_MS * Math.random());
    if (performance.now() > until) throw new BusyError('the lease of another writer did not end');
  } while (here.has(kitchenId) || (await leaseHolder(database(), kitchenId)) !== undefined);
}

/**
 * Does a write that was overtaken, and holds back those that would overtake it again. The lease is a row that expires by itself. No
 * lock is held while the write looks and works things out.
 *
 * @param dependsOn ids that others may not change meanwhile; null where it may be anything
 * @param work given the holder of the lease
 */
export const withLease = <T>(
  kitchenId: string,
  dependsOn: readonly string[] | null,
  work: (holder: string) => Promise<T>,
): Promise<T> =>
  withMutex(kitchenId, async () => {
    const holder = newId();
    while (!(await acquireLease(database(), kitchenId, { holder, dependsOn })))
      await leaseReleased(kitchenId);
    const done = work(holder).finally(() => releaseLease(database(), kitchenId, holder));
    const settled = done.then(
      () => undefined,
      () => undefined,
    );
    here.set(kitchenId, settled);
    void settled.then(() => here.get(kitchenId) === settled && here.delete(kitchenId));
    return done;
  });
