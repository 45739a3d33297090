import 'server-only';
import { costKitchen, type KitchenCosting } from '@/core/costing';
import { shiftDay } from '@/core/kitchen-file';
import { CONSTANTS } from '@/core/reference';
import { kitchenRevision, kitchenZone, readKitchenForDay, type Versions } from '@/db/read-kitchen';
import { database } from './database';
import { dayIn, now } from './clock';

export interface CostedKitchen {
  readonly costing: KitchenCosting;
  readonly versions: Versions;
  readonly revision: number;
}

interface Kept {
  readonly revision: number;
  readonly made: Promise<CostedKitchen>;
}
const kept = new Map<string, Kept>();
const zones = new Map<string, string>();
const MOST_KEPT = 12;

/** The day it is in a kitchen. */
export async function todayIn(kitchenId: string): Promise<string> {
  const zone = zones.get(kitchenId) ?? (await kitchenZone(database(), kitchenId));
  zones.set(kitchenId, zone);
  return dayIn(zone, now());
}

/** A day to cost a kitchen for: as corrected since, or as it was known at the end of that day. */
export interface AsOf {
  readonly day: string;
  readonly known: 'since' | 'then';
}

/**
 * A kitchen costed for a day, today unless told: computed once for each revision of it. The revision
 * moves with every write and is asked for on each call, so what is kept can never be stale.
 */
export async function costedKitchen(kitchenId: string, asOf?: AsOf): Promise<CostedKitchen> {
  const revision = await kitchenRevision(database(), kitchenId);
  const { day, known } = asOf ?? { day: await todayIn(kitchenId), known: 'since' };
  const key = `${kitchenId} ${day} ${known}`;
  const before = kept.get(key);
  if (before?.revision === revision) return before.made;
  const made = costAnew(kitchenId, revision, day, known);
  kept.delete(key);
  kept.set(key, { revision, made });
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value as string);
  // A failed reading must not be handed to whoever asks next.
  made.catch(() => kept.delete(key));
  return made;
}

async function costAnew(
  kitchenId: string,
  revision: number,
  day: string,
  known: AsOf['known'],
): Promise<CostedKitchen> {
  const knownBy = known === 'then' ? new Date(`${shiftDay(day, 1)}T00:00:00Z`) : undefined;
  const { file, history, versions } = await readKitchenForDay(database(), kitchenId, day, knownBy);
  return { costing: costKitchen(file, day, CONSTANTS, history), versions, revision };
}
