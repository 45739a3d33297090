import 'server-only';
import { setTimeout as pause } from 'node:timers/promises';
import { endTurn, takeTurn, turnOf } from '@/db/commands';
import { newId } from '@/db/mapping/ids';
import { BusyError } from '@/db/sql';
import { database } from '../database';
import { withMutex } from '../mutex';

/** ms between two looks at a turn of another process, and how long anyone waits for one. */
const LOOK_AGAIN_MS = 40;
const LONGEST_WAIT_MS = 15_000;

/** Turns that writers of this process have, by kitchen: they are waited for without asking the database. */
const here = new Map<string, Promise<unknown>>();

/** Waits until nobody has the turn in a kitchen. */
export async function turnEnded(kitchenId: string): Promise<void> {
  const until = performance.now() + LONGEST_WAIT_MS;
  do {
    const own = here.get(kitchenId);
    if (own) await own;
    else await pause(LOOK_AGAIN_MS * Math.random());
    if (performance.now() > until) throw new BusyError('the turn of another writer did not end');
  } while (here.has(kitchenId) || (await turnOf(database(), kitchenId)) !== undefined);
}

/**
 * Does a write that was overtaken while those wait that would overtake it again: overtaken for ever, it would be lost as well. The turn is a row that
 * expires by itself. No lock is held while the write looks and works things out.
 *
 * @param restsOn ids that others may not change meanwhile; null where it may be anything
 * @param work given who has the turn
 */
export const inTurn = <T>(
  kitchenId: string,
  restsOn: readonly string[] | null,
  work: (holder: string) => Promise<T>,
): Promise<T> =>
  withMutex(kitchenId, async () => {
    const holder = newId();
    while (!(await takeTurn(database(), kitchenId, { holder, restsOn }))) await turnEnded(kitchenId);
    const done = work(holder).finally(() => endTurn(database(), kitchenId, holder));
    const settled = done.then(
      () => undefined,
      () => undefined,
    );
    here.set(kitchenId, settled);
    void settled.then(() => here.get(kitchenId) === settled && here.delete(kitchenId));
    return done;
  });
