import 'server-only';
import { setImmediate as soon } from 'node:timers/promises';
import { LRUCache } from 'lru-cache';
import {
  handsToldOf,
  leftToldOf,
  lessonsOf,
  runningOf,
  saysHowMuch,
  type LeftLesson,
  type Lesson,
  type RunningBatch,
} from '@/core/batch';
import type { KitchenCosting } from '@/core/costing';
import type { WrittenBatch } from '@/core/kitchen-file';
import { ownConstants } from '@/core/kitchen-state';
import type { ProcessConstants } from '@/core/pot';
import { CONSTANTS } from '@/core/reference';
import { usableOf } from '@/core/supply';
import { physicsOf } from './queries';

/** What a batch says of everything that is learned from batches. */
export interface BatchLessons {
  readonly boils: readonly Lesson[];
  readonly left: readonly LeftLesson[];
  readonly hands: ReturnType<typeof handsToldOf>;
  /** What its bones gave, of the ingredient that gives most. */
  readonly gave: { readonly of: string; readonly times: number; readonly sd: number } | undefined;
}

/** Batches that are looked back on at the most, twice over. */
const MOST_HELD = 1600;

/** What readings of a batch say by themselves, by what it is and what was told of it: a batch that stands is not followed again. */
const read = new LRUCache<string, Pick<BatchLessons, 'boils' | 'left'>>({ max: MOST_HELD });
/** What batches say, held while the kitchen they are costed in stands. */
const held = new WeakMap<KitchenCosting, Map<string, BatchLessons | undefined>>();

function readHeld(
  batch: WrittenBatch,
  running: RunningBatch,
  c: ProcessConstants,
): Pick<BatchLessons, 'boils' | 'left'> {
  const key = JSON.stringify([
    batch.id,
    batch.events.map((e) => e.id),
    running.pot,
    c.strainers,
    c.wallCling,
  ]);
  const counted = batch.events.some((e) => e.is === 'ended' && e.portions !== undefined);
  const known = read.get(key) ?? {
    boils: lessonsOf(running, c),
    left: counted || batch.events.some(saysHowMuch) ? leftToldOf(running, c) : [],
  };
  read.set(key, known);
  return known;
}

/** g of gelatin a kilo of each ingredient, by how it goes in. */
type Gelatin = ReadonlyMap<string, { readonly id: string; readonly gPerKg: number }>;

/** What of a batch gives most of its gelatin: an ingredient’s id; undefined where nothing does. */
function giverOf(gelatin: Gelatin, inputs: readonly { readonly supply: string; readonly g: number }[]) {
  let most: { id: string; g: number } | undefined;
  for (const { supply, g } of inputs) {
    const of = gelatin.get(supply);
    if (of && of.gPerKg * g > (most?.g ?? 0)) most = { id: of.id, g: of.gPerKg * g };
  }
  return most?.id;
}

function saidBy(
  batch: WrittenBatch,
  costing: KitchenCosting,
  c: ProcessConstants,
  gelatin: Gelatin,
): BatchLessons | undefined {
  const running = runningOf(batch, costing.shelf);
  if (!running) return undefined;
  const metered = batch.events.some((e) => e.is === 'brix' || e.is === 'sets');
  const timed = batch.events.some((e) => e.is === 'done' && e.handsMin !== undefined);
  const physics = metered || timed ? physicsOf(batch, running, c) : undefined;
  const gave = metered ? physics?.followed.gave : undefined;
  const giver = gave && physics && giverOf(gelatin, physics.run.inputs);
  return {
    ...readHeld(batch, running, c),
    hands: timed && physics ? handsToldOf(running, physics.run.rows) : [],
    gave: gave && giver !== undefined ? { of: giver, ...gave } : undefined,
  };
}

/** What each of some batches says, by its id; nothing of one whose vessel has been put away. Others are answered in between. */
export async function batchLessons(
  costing: KitchenCosting,
  batches: readonly WrittenBatch[],
): Promise<ReadonlyMap<string, BatchLessons>> {
  const c = ownConstants(costing.state.kitchen, CONSTANTS);
  const gelatin: Gelatin = new Map(
    costing.state.ingredients.map((i) => [
      usableOf(i.id) as string,
      { id: i.id, gPerKg: i.gelatin?.gPerKg ?? 0 },
    ]),
  );
  const all = held.get(costing) ?? new Map<string, BatchLessons | undefined>();
  held.set(costing, all);
  const found = new Map<string, BatchLessons>();
  for (const batch of batches) {
    const key = `${batch.id} ${batch.events.map((e) => e.id).join()}`;
    if (!all.has(key)) {
      all.set(key, saidBy(batch, costing, c, gelatin));
      await soon();
    }
    const said = all.get(key);
    if (said) found.set(batch.id, said);
  }
  return found;
}
