import 'server-only';
import { costKitchen, type KitchenCosting } from '@/core/costing';
import { CONSTANTS } from '@/core/reference';
import { kitchenRevision, readKitchenFrom, type Versions } from '@/db/read-kitchen';
import { database } from './database';
import { dayIn, now } from './clock';

export interface CostedKitchen {
  readonly costing: KitchenCosting;
  readonly versions: Versions;
  readonly revision: number;
}

interface Kept {
  readonly revision: number;
  readonly day: string;
  readonly made: Promise<CostedKitchen>;
}
const kept = new Map<string, Kept>();
const zones = new Map<string, string>();
const MOST_KEPT = 8;

/**
 * A kitchen costed as of today, computed once for each revision of it and each day. The revision
 * moves with every write and is asked for on each call, so what is kept can never be stale.
 */
export async function costedKitchen(kitchenId: string): Promise<CostedKitchen> {
  const revision = await kitchenRevision(database(), kitchenId);
  const zone = zones.get(kitchenId);
  const before = kept.get(kitchenId);
  if (before && zone && before.revision === revision && before.day === dayIn(zone, now())) return before.made;
  const made = costAnew(kitchenId, revision);
  kept.delete(kitchenId);
  kept.set(kitchenId, { revision, day: zone ? dayIn(zone, now()) : '', made });
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value as string);
  // A failed reading must not be handed to whoever asks next.
  made.catch(() => kept.delete(kitchenId));
  return made;
}

async function costAnew(kitchenId: string, revision: number): Promise<CostedKitchen> {
  const { file, versions } = await readKitchenFrom(database(), kitchenId);
  zones.set(kitchenId, file.kitchen.zone);
  return { costing: costKitchen(file, dayIn(file.kitchen.zone, now()), CONSTANTS), versions, revision };
}
