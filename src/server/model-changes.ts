import 'server-only';
import { LRUCache } from 'lru-cache';
import { costOfProduct, type KitchenCosting } from '@/core/costing';
import { MODEL } from '@/core/reference';
import { newId } from '@/db/mapping/ids';
import type { Costs, CostChanges } from '@/db/mapping/json-columns';
import { addModelChange, lastCosts, lastModel, setLastCosts } from '@/db/kitchen/model-changes';
import { isSameRevision, type RevisionMark } from '@/db/revisions';
import { inTransaction } from '@/db/sql';
import { now } from './clock';
import { database } from './database';
import { log } from './log';
import { withMutex } from './mutex';

/** What everything costs: a litre of each product and each plate, of ingredients; of hands too where an hour has a price. */
export function costsOf(costing: KitchenCosting): Costs {
  const found: Costs = [];
  const { recipes, plates, kitchen } = costing.state;
  const hands = kitchen.wagePerHour === undefined ? undefined : costing.layer('hands');
  for (const { id, name } of recipes) {
    const { perL, ml, g } = costOfProduct(costing, id);
    found.push([`product:${id}`, name, perL]);
    const perG = hands?.cost(`product:${id}`) ?? null;
    if (hands)
      found.push([`hands product:${id}`, name, perG === null || ml === 0 ? null : (perG * g * 1000) / ml]);
  }
  for (const { id, name } of plates) {
    found.push([`plate:${id}`, name, costing.graph.cost(`plate:${id}`)]);
    if (hands) found.push([`hands plate:${id}`, name, hands.cost(`plate:${id}`)]);
  }
  return found;
}

/** Below a twentieth of a cent nothing has moved that anybody pays. */
const LEAST = 0.0005;

/** What is another cost in one list than in the other; what stands in one alone is nothing that a model moved. */
export function costChangesBetween(before: Costs, after: Costs): CostChanges {
  const was = new Map(before.map(([key, , cost]) => [key, cost]));
  return after.flatMap(([key, name, cost]): CostChanges => {
    const had = was.get(key);
    if (had === undefined || had === cost) return [];
    if (had !== null && cost !== null && Math.abs(had - cost) < LEAST) return [];
    return [[key, name, had, cost]];
  });
}

type CostedFor = (
  kitchenId: string,
  day: string,
) => Promise<{ costing: KitchenCosting; stood: RevisionMark }>;

/** Of each kitchen where it stood when its costs were last written down by this process. */
const noted = new LRUCache<string, RevisionMark>({ max: 100 });
const waiting = new Map<string, NodeJS.Timeout>();
/** ms after the last costing: while somebody types nothing is written. */
const QUIET_MS = 3000;

/**
 * Writes down what everything costs, so that the next model can show what it moved; and where an older one wrote it down last, first
 * finds what this one moved: the same kitchen on the same day, costed by both.
 */
export async function recordCosts(
  kitchenId: string,
  { costing, stood }: { readonly costing: KitchenCosting; readonly stood: RevisionMark },
  costedFor: CostedFor,
): Promise<void> {
  const before = noted.get(kitchenId);
  if (before && isSameRevision(before, stood)) return;
  const older = await lastModel(database(), kitchenId);
  const moved = older !== undefined && older < MODEL ? await movedByModel(kitchenId, costedFor) : undefined;
  const last = { model: MODEL, ...stood, forDay: costing.day, costs: costsOf(costing) };
  await inTransaction(database(), async (sql) => {
    // Another process may have found them meanwhile.
    const still = ((await lastModel(sql, kitchenId, true)) ?? MODEL) < MODEL;
    if (still && moved && moved.moves.length > 0) await addModelChange(sql, kitchenId, moved);
    await setLastCosts(sql, kitchenId, last);
  });
  noted.set(kitchenId, stood);
}

async function movedByModel(kitchenId: string, costedFor: CostedFor) {
  const last = await lastCosts(database(), kitchenId);
  if (!last) return undefined;
  const then = await costedFor(kitchenId, last.forDay);
  return {
    id: newId(),
    fromModel: last.model,
    toModel: MODEL,
    foundAt: now(),
    forDay: last.forDay,
    exact: isSameRevision(last, then.stood),
    moves: costChangesBetween(last.costs, costsOf(then.costing)),
  };
}

/** Has costs written down once nothing has been costed for a few seconds. */
export function recordCostsSoon(
  kitchenId: string,
  costed: () => Promise<{ readonly costing: KitchenCosting; readonly stood: RevisionMark }>,
  costedFor: CostedFor,
): void {
  // Tests end their database under a timer.
  if (process.env.NODE_ENV === 'test') return;
  clearTimeout(waiting.get(kitchenId));
  const timer = setTimeout(() => {
    waiting.delete(kitchenId);
    withMutex(`note ${kitchenId}`, async () => recordCosts(kitchenId, await costed(), costedFor)).catch(
      (error: unknown) => log.warn({ error }, 'what everything costs could not be written down'),
    );
  }, QUIET_MS);
  timer.unref();
  waiting.set(kitchenId, timer);
}
