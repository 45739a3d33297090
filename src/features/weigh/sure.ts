import 'server-only';
import { CONSTANTS } from '@/core/reference';
import type { Layer } from '@/core/layers';
import { BAND_STEP_H, rangesOf, TOLD, Trials, type Setup } from '@/core/uncertainty';
import type { Work } from '@/core/work';
import { pointsOf } from '@/db/read-past';
import { database } from '@/server/database';
import { inParts } from '@/server/in-parts';
import type { Laid } from './laying';
import { sureOf } from './told';

/** Seed of the draws: the same question is drawn alike wherever and whenever it is asked. */
const SEED = 1;
/** Draws on the server, where only the share of them that a way wins is wanted. */
const A_LOOK = 128;
/** Draws that a page is sent with: enough for a first band. */
const FIRST_DRAWS = 8;
/** Share of the draws from which an answer counts as sure. */
export const SURE = 0.9;

/** All it takes to draw a question, here or in a browser. */
export async function setupOf(kitchenId: string, laid: Laid, layers: readonly Layer[]): Promise<Setup> {
  const { costing, apart, ways } = laid;
  const articles = apart.stuffs.flatMap(([id]) => costing.supplies.get(id)?.price?.article.id ?? []);
  const points = await pointsOf(database(), kitchenId, articles);
  return {
    apart,
    ways,
    uncertain: rangesOf(costing, (article) => points.get(article) ?? [], apart, ways, CONSTANTS),
    layers,
    seed: SEED,
    stepH: BAND_STEP_H,
  };
}

/** The first so many trials, one after the other; a part of the work is one of them. */
function* drawsOf(setup: Setup, many: number): Work<Float64Array> {
  const trials = new Trials(setup);
  const width = setup.ways.length * TOLD.length;
  const values = new Float64Array(many * width);
  for (let n = 0; n < many; n += 1) {
    values.set(trials.tell(n), n * width);
    yield;
  }
  return values;
}

type Held = Map<string, Promise<readonly number[]>>;
const [wins, firsts] = [new WeakMap<Laid, Held>(), new WeakMap<Laid, Held>()];

/** What was worked out of a question in some layers, held while what was laid stands. */
function heldIn(
  all: WeakMap<Laid, Held>,
  laid: Laid,
  layers: readonly Layer[],
  work: () => Promise<readonly number[]>,
): Promise<readonly number[]> {
  const known = all.get(laid) ?? (new Map() as Held);
  all.set(laid, known);
  const key = layers.join();
  const found = known.get(key) ?? work();
  known.set(key, found);
  found.catch(() => known.delete(key));
  return found;
}

/**
 * The first trials of a question, as a browser would draw them: sent with its page, so that a band stands there before a worker has
 * begun.
 */
export const firstDraws = (laid: Laid, setup: Setup): Promise<readonly number[]> =>
  heldIn(firsts, laid, setup.layers, async () => [...(await inParts(drawsOf(setup, FIRST_DRAWS)))]);

/** In which share of some draws each way is the cheapest; held while what was laid stands. */
export function winsNow(kitchenId: string, laid: Laid, layers: readonly Layer[]): Promise<readonly number[]> {
  return heldIn(wins, laid, layers, async () => {
    const setup = await setupOf(kitchenId, laid, layers);
    return sureOf(await inParts(drawsOf(setup, A_LOOK)), laid.ways.length, laid.meets).wins;
  });
}
