import 'server-only';
import { LRUCache } from 'lru-cache';
import { costKitchen, type KitchenCosting } from '@/core/costing';
import { beginOfDay, dayIn, shiftDay } from '@/core/day';
import { historyMerged, withoutMerged, type History, type KitchenState } from '@/core/kitchen-state';
import { suppliesOn, type Supply } from '@/core/prices';
import { CONSTANTS } from '@/core/reference';
import { kitchenRevision, kitchenZone, readKitchenState, type Versions } from '@/db/read-kitchen';
import { readHistory } from '@/db/read-past';
import { inSnapshot } from '@/db/sql';
import { now } from './clock';
import { database } from './database';

export interface CostedKitchen {
  readonly costing: KitchenCosting;
  readonly versions: Versions;
  readonly revision: number;
}

/** A day to cost a kitchen for: as corrected since, or as it was known at the end of that day. */
export interface AsOf {
  readonly day: string;
  readonly known: 'since' | 'then';
}

/** What stands in a kitchen: as it is written, and with other spellings followed. */
interface Stands {
  readonly written: KitchenState;
  readonly state: KitchenState;
  readonly versions: Versions;
}

/** What was made for a revision of a kitchen; true for that one alone. */
interface Made<T> {
  readonly revision: number;
  readonly made: Promise<T>;
}
const MOST_KEPT = 12;
const keeping = <T>(): LRUCache<string, Made<T>> => new LRUCache({ max: MOST_KEPT });

const costed = keeping<CostedKitchen>();
const priced = keeping<Map<string, Supply>>();
const states = keeping<Stands>();

/** What was made for a revision under a key, or made now; a failure is handed to nobody who asks next. */
function onceFor<T>(
  kept: LRUCache<string, Made<T>>,
  key: string,
  revision: number,
  make: () => Promise<T>,
): Promise<T> {
  const before = kept.get(key);
  if (before?.revision === revision) return before.made;
  const made = make();
  kept.set(key, { revision, made });
  made.catch(() => kept.delete(key));
  return made;
}

/** The day it is in a kitchen. */
export const todayIn = async (kitchenId: string): Promise<string> =>
  dayIn(await kitchenZone(database(), kitchenId), now());

/**
 * A kitchen costed for a day, today unless told: computed once for each revision of it. The revision
 * moves with every write and is asked for on each call, so what is kept can never be stale.
 */
export async function costedKitchen(kitchenId: string, asOf?: AsOf): Promise<CostedKitchen> {
  const revision = await kitchenRevision(database(), kitchenId);
  const at = asOf ?? { day: await todayIn(kitchenId), known: 'since' };
  return onceFor(costed, `${kitchenId} ${at.day} ${at.known}`, revision, async () => {
    const { written, versions } = await standsAt(kitchenId, revision);
    const history = await historyOf(kitchenId, written, at);
    return { costing: costKitchen(written, at.day, CONSTANTS, history), versions, revision };
  });
}

/** What a kitchen would cost today with something about it changed: nothing is written, nothing kept. */
export async function costedWith(
  { costing }: CostedKitchen,
  change: (state: KitchenState) => KitchenState,
): Promise<KitchenCosting> {
  const { state, day } = costing;
  const history = await historyOf(state.kitchen.id, state, { day, known: 'since' });
  return costKitchen(change(state), day, CONSTANTS, history);
}

/** What stands in a kitchen now, other spellings followed, and the revision it stands at. */
export async function standingKitchen(kitchenId: string): Promise<Stands & { readonly revision: number }> {
  const revision = await kitchenRevision(database(), kitchenId);
  return { ...(await standsAt(kitchenId, revision)), revision };
}

/** Only what ingredients cost on a day, today unless told: no pot is run for it. */
export async function pricedKitchen(
  kitchenId: string,
  asOf?: AsOf,
): Promise<{ readonly supplies: ReadonlyMap<string, Supply>; readonly revision: number }> {
  const revision = await kitchenRevision(database(), kitchenId);
  const at = asOf ?? { day: await todayIn(kitchenId), known: 'since' };
  const supplies = await onceFor(priced, `${kitchenId} ${at.day} ${at.known}`, revision, async () => {
    const { written, state } = await standsAt(kitchenId, revision);
    const history = await historyOf(kitchenId, written, at);
    return suppliesOn(state, at.day, historyMerged(written, history));
  });
  return { supplies, revision };
}

/** As much of the past as a day's prices need. *Known then* ends at the kitchen's own midnight. */
const historyOf = (kitchenId: string, state: KitchenState, { day, known }: AsOf): Promise<History> =>
  readHistory(
    database(),
    kitchenId,
    state,
    day,
    known === 'then' ? beginOfDay(shiftDay(day, 1), state.kitchen.zone) : undefined,
  );

/** What stands in the kitchen at a revision, read once whatever days it is costed for, and read as of one moment. */
const standsAt = (kitchenId: string, revision: number): Promise<Stands> =>
  onceFor(states, kitchenId, revision, async () => {
    const { state: written, versions } = await inSnapshot(database(), (sql) =>
      readKitchenState(sql, kitchenId),
    );
    return { written, state: withoutMerged(written), versions };
  });
