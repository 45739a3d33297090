import os from 'node:os';
import { waysOf, type Snapshot } from '@/core/compare';
import { costKitchen } from '@/core/costing';
import { historyFrom, stateFrom } from '@/core/kitchen-state';
import { countedIn } from '@/core/layers';
import { CONSTANTS } from '@/core/reference';
import { BAND_STEP_H, rangesOf, Simulation, type SimulationSetup } from '@/core/uncertainty';
import { DEMO_FILE, mustRead } from '../kitchens';
import { Stop } from '../stop';
import { SeveralWorkers } from '@/cli/several';
import { THREADS } from './compare';
import type { Line } from './bench-pot';

/** The largest comparison of the demo, ready to be drawn. */
export function largestQuestion(): SimulationSetup & { readonly apart: Snapshot } {
  const file = mustRead(DEMO_FILE);
  const day = file.referenceDay;
  const [question] = file.questions;
  if (!question) throw new Stop('The demo keeps no question.');
  const state = stateFrom(file);
  const history = historyFrom(file, day);
  const costing = costKitchen(state, day, CONSTANTS, history);
  const made = waysOf(costing, [], question.asks, CONSTANTS);
  if (!made.ok) throw new Stop(made.trouble.message);
  const { apart, ways } = made.value;
  return {
    apart,
    ways,
    uncertain: rangesOf(costing, (article) => history.article(article).points, apart, ways, CONSTANTS),
    layers: countedIn(question.beside.join('.')),
    seed: 1,
    stepH: BAND_STEP_H,
  };
}

/**
 * The same heat without pots: eight things in flat arrays, what passes out of them, what boils away, step after step for as many
 * hours. What is measured is held against this.
 */
function plainTrial(hours: number, stepH: number): number {
  const things = 8;
  const pools = new Float64Array(things * 4).fill(40);
  const halves = Float64Array.of(4, 1, 0.5, 0.75);
  const liquid = Float64Array.of(14_000, 0, 0, 0, 0);
  for (let t = 0; t < hours; t += stepH) {
    for (let i = 0; i < things; i += 1)
      for (let k = 0; k < 4; k += 1) {
        const g = pools[i * 4 + k]! * (1 - 2 ** (-stepH / halves[k]!));
        pools[i * 4 + k]! -= g;
        liquid[k]! += g;
      }
    const level = Math.cbrt(liquid[0]! / 40);
    liquid[0]! -= Math.min(liquid[0]!, 6 * (0.1 + level * 1e-3) * stepH * 1000);
  }
  return liquid[0]!;
}

const N = 400;

/** `halfpot bench trials`: draws a second of the demo’s largest comparison, in one worker and in all, against a plain loop of the same heat. */
export async function benchTrials(line: Line): Promise<void> {
  const setup = largestQuestion();
  const trials = new Simulation(setup);
  let hours = 0;
  for (const way of setup.ways) hours += way.recipes.length > 0 ? 3 : 12;
  const timed = (work: (n: number) => void): number => {
    for (let n = 0; n < N / 4; n += 1) work(n);
    const start = performance.now();
    for (let n = 0; n < N; n += 1) work(n);
    return (performance.now() - start) / N;
  };
  const one = timed((n) => trials.tell(n));
  const plain = timed(() => plainTrial(hours, setup.stepH));
  line(
    'one draw of five ways',
    one,
    `${Math.round(1000 / one)} a second in one worker; ${setup.uncertain.length} figures drawn`,
  );
  line(
    'a plain loop over as many hours of heat',
    plain,
    `${(one / plain).toFixed(1)} times faster than a draw`,
  );
  const started = performance.now();
  const several = SeveralWorkers.begin(setup, os.availableParallelism(), THREADS);
  let firstMs = 0;
  await several.tell(2000, () => (firstMs ||= performance.now() - started));
  const all = performance.now() - started;
  await several.end();
  line(
    '2,000 draws in all workers',
    all,
    `${Math.round((2000 / all) * 1000)} a second, first of them after ${Math.round(firstMs)} ms`,
  );
}
