import 'server-only';
import { CONSTANTS } from '@/core/reference';
import type { Layer } from '@/core/layers';
import { BAND_STEP_H, rangesOf, SIMULATED, Simulation, type SimulationSetup } from '@/core/uncertainty';
import type { Work } from '@/core/work';
import { pointsOf } from '@/db/kitchen/read-past';
import { database } from '@/server/database';
import { runInSlices } from '@/server/run-in-slices';
import type { QuestionAnswer } from './question-answer';
import { certaintyOf } from './certainty';

/** Seed of the draws: the same question is drawn alike wherever and whenever it is asked. */
const SEED = 1;
/** Draws on the server, where only the share of them that a way wins is wanted. */
const A_LOOK = 128;
/** Draws that a page is sent with: enough for a first band. */
const FIRST_DRAWS = 8;
/** Share of the draws from which an answer counts as sure. */
export const SURE_SHARE = 0.9;

/** All it takes to draw a question, here or in a browser. */
export async function simulationSetup(
  kitchenId: string,
  laid: QuestionAnswer,
  layers: readonly Layer[],
): Promise<SimulationSetup> {
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
function* drawsOf(setup: SimulationSetup, many: number): Work<Float64Array> {
  const trials = new Simulation(setup);
  const width = setup.ways.length * SIMULATED.length;
  const values = new Float64Array(many * width);
  for (let n = 0; n < many; n += 1) {
    values.set(trials.tell(n), n * width);
    yield;
  }
  return values;
}

type Held = Map<string, Promise<readonly number[]>>;
const [wins, firsts] = [new WeakMap<QuestionAnswer, Held>(), new WeakMap<QuestionAnswer, Held>()];

/** What was worked out of a question in some layers, held while what was laid stands. */
function heldIn(
  all: WeakMap<QuestionAnswer, Held>,
  laid: QuestionAnswer,
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
export const firstSimulations = (laid: QuestionAnswer, setup: SimulationSetup): Promise<readonly number[]> =>
  heldIn(firsts, laid, setup.layers, async () => [...(await runInSlices(drawsOf(setup, FIRST_DRAWS)))]);

/** In which share of some draws each way is the cheapest; held while what was laid stands. */
export function currentWins(
  kitchenId: string,
  laid: QuestionAnswer,
  layers: readonly Layer[],
): Promise<readonly number[]> {
  return heldIn(wins, laid, layers, async () => {
    const setup = await simulationSetup(kitchenId, laid, layers);
    return certaintyOf(await runInSlices(drawsOf(setup, A_LOOK)), laid.ways.length, laid.meets).wins;
  });
}
