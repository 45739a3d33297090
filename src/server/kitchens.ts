import 'server-only';
import { setTimeout } from 'node:timers/promises';
import { LRUCache } from 'lru-cache';
import { costingKitchen, type KitchenCosting, type Workings } from '@/core/costing';
import { dayIn, endOfDay } from '@/core/day';
import { historyMerged, withoutMerged, type History, type KitchenState } from '@/core/kitchen-state';
import { workSupplies, type KeptSupplies, type Supply } from '@/core/prices';
import { CONSTANTS } from '@/core/reference';
import { changedIdsSince, isSameRevision, currentRevision, type RevisionMark } from '@/db/revisions';
import { kitchenZone, readKitchenState, type KitchenRead, type Versions } from '@/db/kitchen/read-kitchen';
import { readHistory, type ReadPast } from '@/db/kitchen/read-past';
import { inSnapshot, type Sql } from '@/db/sql';
import { now } from './clock';
import { database } from './database';
import { runInSlices } from './run-in-slices';
import { recordCostsSoon } from './model-changes';
import { withMutex } from './mutex';

export interface CostedKitchen {
  readonly costing: KitchenCosting;
  readonly versions: Versions;
  readonly stood: RevisionMark;
}

/** A day to cost a kitchen for: as corrected since, or as it was known at the end of that day. */
export interface AsOf {
  readonly day: string;
  readonly known: 'since' | 'then';
}

/** What stands in a kitchen with other spellings followed, and where it stood then. */
export interface StandingKitchen {
  readonly state: KitchenState;
  readonly versions: Versions;
  readonly stood: RevisionMark;
}

export interface PricedKitchen {
  readonly supplies: ReadonlyMap<string, Supply>;
  readonly kept: KeptSupplies;
  readonly stood: RevisionMark;
}

/** What was made of a kitchen, and where the kitchen stood when it was asked for. */
interface Made<T> {
  stood: RevisionMark;
  /** Whether it is being read already; until then it will read what stands later than now. */
  begun: boolean;
  readonly made: Promise<T>;
}

/**
 * Kitchens and days that are held in memory; the one that was not asked for the longest makes room. Nothing true lives here
 * alone: every call asks the database where the kitchen stands, and what is held is brought up to that.
 */
const MOST_KEPT = 12;
const keeping = <T extends object>(): LRUCache<string, T> => new LRUCache<string, T>({ max: MOST_KEPT });

const costed = keeping<Made<CostedKitchen>>();
const priced = keeping<Made<PricedKitchen>>();
const standing = keeping<Made<StandingKitchen>>();
/** Of each kitchen what it was last costed with, whatever the day: its pots are hardly ever others on another. */
const lastWorkings = keeping<Workings>();
const reads = keeping<KitchenRead>();
const pasts = keeping<{ readonly stood: RevisionMark; readonly past: ReadPast }>();

/** Where what is held may stand, for whom it is good enough. */
export interface Freshness {
  /** Revisions that it may lie behind: for a write that asks again, when it writes, whether what it depends on has changed since. */
  readonly behind: number;
}
const UP_TO_DATE: Freshness = { behind: 0 };

/**
 * What is held under a key while the kitchen stands where it stood, or not much further; else made again out of it. Anyone who asks
 * meanwhile waits for the same; a failure is handed to nobody who asks next.
 */
function upToDate<T extends { readonly stood: RevisionMark }>(
  kept: LRUCache<string, Made<T>>,
  key: string,
  stood: RevisionMark,
  { behind }: Freshness,
  make: (before: T | undefined) => Promise<T>,
): Promise<T> {
  const before = kept.get(key);
  if (before && (isSameRevision(before.stood, stood) || !before.begun)) return before.made;
  const behindBy = before && stood.revision - before.stood.revision;
  if (before && behindBy !== undefined && behindBy > 0 && behindBy <= behind) return before.made;
  const made = Promise.resolve(before?.made.catch(() => undefined)).then((was) => {
    entry.begun = true;
    return make(was);
  });
  const entry: Made<T> = { stood, begun: false, made };
  kept.set(key, entry);
  made.then(
    (found) => (entry.stood = found.stood),
    () => kept.get(key) === entry && kept.delete(key),
  );
  return made;
}

/** The day it is in a kitchen. */
export const todayIn = async (kitchenId: string): Promise<string> =>
  dayIn(await kitchenZone(database(), kitchenId), now());

/** Where a kitchen stands now, and the day that is asked for: today there, unless told. */
async function nowAt(kitchenId: string, asOf?: AsOf) {
  const { zone, ...stood } = await currentRevision(database(), kitchenId);
  const at = asOf ?? ({ day: dayIn(zone, now()), known: 'since' } as const);
  return { stood, at, key: `${kitchenId} ${at.day} ${at.known}` };
}

/**
 * A kitchen costed for a day, today unless told. Of what has moved since it was last costed only that is read, and only what
 * depends on it is worked out again (`costingKitchen`), others being answered meanwhile.
 */
export async function costedKitchen(
  kitchenId: string,
  asOf?: AsOf,
  fresh = UP_TO_DATE,
): Promise<CostedKitchen> {
  const { stood, at, key } = await nowAt(kitchenId, asOf);
  return upToDate(costed, key, stood, fresh, async (before) => {
    const { read, history } = await readFor(kitchenId, at);
    const last = lastWorkings.get(kitchenId);
    const begun = last?.matter.day === at.day ? last : (before?.costing.workings ?? last);
    const work = costingKitchen(read.state, at.day, CONSTANTS, history, begun);
    const costing = begun ? await runInSlices(work) : await fromNothing(read.state, work);
    lastWorkings.set(kitchenId, costing.workings);
    if (!asOf)
      recordCostsSoon(
        kitchenId,
        () => costedKitchen(kitchenId),
        (id, day) => costedKitchen(id, { day, known: 'since' }),
      );
    return { costing, versions: read.versions, stood: read.stood };
  });
}

/** How far a kitchen is that is costed from nothing: pots done, of all. */
export interface Progress {
  readonly done: number;
  readonly of: number;
}
const underWay = new Map<string, { done: number; of: number }>();

/** A kitchen costed from nothing, as the first time after a start: how far it is can be asked meanwhile. */
async function fromNothing(state: KitchenState, work: ReturnType<typeof costingKitchen>) {
  const progress = { done: 0, of: state.recipes.length };
  underWay.set(state.kitchen.id, progress);
  try {
    return await runInSlices(work, () => (progress.done = Math.min(progress.of, progress.done + 1)));
  } finally {
    underWay.delete(state.kitchen.id);
  }
}

/** How far a kitchen is that is being costed from nothing; undefined where none is. */
export const progressOf = (kitchenId: string): Progress | undefined => underWay.get(kitchenId);

/**
 * Whether a kitchen has been costed since the start; where it is being costed for the first time, waited for so many ms at most.
 * One that is only brought up to somebody's edit counts as costed: that takes no time to speak of.
 */
export async function costedWithin(kitchenId: string, ms: number): Promise<boolean> {
  if (lastWorkings.has(kitchenId)) return true;
  const late = new AbortController();
  const costing = costedKitchen(kitchenId).then(() => true);
  const waiting = setTimeout(ms, false, { signal: late.signal }).catch(() => false);
  try {
    return await Promise.race([costing, waiting]);
  } finally {
    late.abort();
  }
}

/**
 * What a kitchen would cost today with something about it changed: nothing is written, nothing kept.
 * @param past what its past would be, where that is another
 */
export async function costedWith(
  { costing }: Pick<CostedKitchen, 'costing'>,
  change: (state: KitchenState) => KitchenState,
  past: (history: History) => History = (history) => history,
): Promise<KitchenCosting> {
  const { state, day } = costing;
  const { history } = await readFor(state.kitchen.id, { day, known: 'since' });
  const changed = await runInSlices(
    costingKitchen(change(state), day, CONSTANTS, past(history), costing.workings),
  );
  // What is tried out is mostly done a moment later.
  lastWorkings.set(state.kitchen.id, changed.workings);
  return changed;
}

/** What stands in a kitchen now, other spellings followed. */
export async function standingKitchen(kitchenId: string, fresh = UP_TO_DATE): Promise<StandingKitchen> {
  const { stood } = await nowAt(kitchenId);
  return upToDate(standing, kitchenId, stood, fresh, async () => {
    const read = await withMutex(`read ${kitchenId}`, () =>
      inSnapshot(database(), (sql) => readNow(sql, kitchenId)),
    );
    return { state: withoutMerged(read.state), versions: read.versions, stood: read.stood };
  });
}

/** Only what ingredients cost on a day, today unless told: no pot is run for it. */
export async function pricedKitchen(
  kitchenId: string,
  asOf?: AsOf,
  fresh = UP_TO_DATE,
): Promise<PricedKitchen> {
  const { stood, at, key } = await nowAt(kitchenId, asOf);
  return upToDate(priced, key, stood, fresh, async (before) => {
    const { read, history } = await readFor(kitchenId, at);
    const past = historyMerged(read.state, history);
    const { supplies, kept } = await runInSlices(
      workSupplies(withoutMerged(read.state), at.day, past, before?.kept),
    );
    return { supplies, kept, stood: read.stood };
  });
}

/** A kitchen and as much of its past as a day's prices need, read as of one moment; of what is held only what has moved. */
export const readFor = (
  kitchenId: string,
  at: AsOf,
): Promise<{ readonly read: KitchenRead; readonly history: History }> =>
  withMutex(`read ${kitchenId}`, () =>
    inSnapshot(database(), async (sql) => {
      const read = await readNow(sql, kitchenId);
      const key = `${kitchenId} ${at.day} ${at.known}`;
      const was = pasts.get(key);
      if (was && isSameRevision(was.stood, read.stood)) return { read, history: was.past.history };
      const moved = was && (await changedIdsSince(sql, kitchenId, was.stood, read.stood));
      const before = was && moved ? { read: was.past, moved } : undefined;
      const past = await readHistory(sql, kitchenId, read.state, at.day, knownBy(read.state, at), before);
      pasts.set(key, { stood: read.stood, past });
      return { read, history: past.history };
    }),
  );

/** *Known then* ends just before the kitchen's own midnight. */
const knownBy = ({ kitchen }: KitchenState, { day, known }: AsOf): Date | undefined =>
  known === 'then' ? endOfDay(day, kitchen.zone) : undefined;

async function readNow(sql: Sql, kitchenId: string): Promise<KitchenRead> {
  const read = await readKitchenState(sql, kitchenId, reads.get(kitchenId));
  reads.set(kitchenId, read);
  return read;
}
