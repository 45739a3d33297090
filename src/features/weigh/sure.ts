import 'server-only';
import { CONSTANTS } from '@/core/reference';
import type { Layer } from '@/core/layers';
import { BAND_STEP_H, rangesOf, Trials, type Setup } from '@/core/uncertainty';
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

function* drawsOf(setup: Setup, may: readonly boolean[]): Work<number[]> {
  const trials = new Trials(setup);
  const width = trials.tell(0).length;
  const values = new Float64Array(A_LOOK * width);
  for (let n = 0; n < A_LOOK; n += 1) {
    values.set(trials.tell(n), n * width);
    yield;
  }
  return [...sureOf(values, setup.ways.length, may).wins];
}

const held = new WeakMap<Laid, Map<string, Promise<readonly number[]>>>();

/** In which share of some draws each way is the cheapest; held while what was laid stands. */
export function winsNow(kitchenId: string, laid: Laid, layers: readonly Layer[]): Promise<readonly number[]> {
  const known = held.get(laid) ?? new Map<string, Promise<readonly number[]>>();
  held.set(laid, known);
  const key = layers.join();
  const wins =
    known.get(key) ?? setupOf(kitchenId, laid, layers).then((setup) => inParts(drawsOf(setup, laid.meets)));
  known.set(key, wins);
  wins.catch(() => known.delete(key));
  return wins;
}
