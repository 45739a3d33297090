import 'server-only';
import { costKitchen, suppliesOn, type KitchenCosting, type Supply } from '@/core/costing';
import { shiftDay, withoutMerged, type KitchenFile } from '@/core/kitchen-file';
import { CONSTANTS } from '@/core/reference';
import { kitchenRevision, kitchenZone, readKitchenState, type Versions } from '@/db/read-kitchen';
import { readHistory } from '@/db/read-past';
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
  const { file, versions } = await stateOf(kitchenId, revision);
  const history = await readHistory(database(), kitchenId, file, day, knownBy(day, known));
  return { costing: costKitchen(file, day, CONSTANTS, history), versions, revision };
}

/** What a kitchen would cost today with something about it changed: nothing is written, nothing kept. */
export async function costedWith(
  { costing }: CostedKitchen,
  change: (file: KitchenFile) => KitchenFile,
): Promise<KitchenCosting> {
  const { file, day } = costing;
  const history = await readHistory(database(), file.kitchen.id, file, day, undefined);
  return costKitchen(change(file), day, CONSTANTS, history);
}

const knownBy = (day: string, known: AsOf['known']): Date | undefined =>
  known === 'then' ? new Date(`${shiftDay(day, 1)}T00:00:00Z`) : undefined;

const states = new Map<string, { revision: number; read: ReturnType<typeof readKitchenState> }>();

/** What stands in the kitchen at a revision, read once whatever days it is costed for. */
async function stateOf(kitchenId: string, revision: number): ReturnType<typeof readKitchenState> {
  const before = states.get(kitchenId);
  if (before?.revision === revision) return before.read;
  const read = readKitchenState(database(), kitchenId);
  states.set(kitchenId, { revision, read });
  read.catch(() => states.delete(kitchenId));
  return read;
}

const pricedOn = new Map<string, { revision: number; made: Promise<Map<string, Supply>> }>();

/** Only what ingredients cost on a day, for comparing: no pot is run for it. */
export async function suppliesAsOf(kitchenId: string, { day, known }: AsOf): Promise<Map<string, Supply>> {
  const revision = await kitchenRevision(database(), kitchenId);
  const key = `${kitchenId} ${day} ${known}`;
  const before = pricedOn.get(key);
  if (before?.revision === revision) return before.made;
  const made = stateOf(kitchenId, revision).then(async ({ file }) =>
    suppliesOn(
      withoutMerged(file),
      day,
      await readHistory(database(), kitchenId, file, day, knownBy(day, known)),
    ),
  );
  pricedOn.delete(key);
  pricedOn.set(key, { revision, made });
  if (pricedOn.size > MOST_KEPT) pricedOn.delete(pricedOn.keys().next().value as string);
  made.catch(() => pricedOn.delete(key));
  return made;
}
