import { configureGlobal, defaultReportMessage, type RunDetails } from 'fast-check';

/** ms after which a property stops: one that fails may look for a smaller case for hours. */
const LONGEST_MS = 240_000;

// Random cases of a whole run share one seed, which the run says and keeps: HALFPOT_SEED=… repeats it.
configureGlobal({
  interruptAfterTimeLimit: LONGEST_MS,
  // A slow machine is no mistake: what ran out of time is reported as interrupted, with how far it came.
  markInterruptAsFailure: false,
  ...(process.env.HALFPOT_SEED ? { seed: Number(process.env.HALFPOT_SEED) } : {}),
  reporter(ran) {
    const outOfTime = ran.interrupted && ran.counterexample === null;
    if (ran.failed && !outOfTime)
      throw new Error(defaultReportMessage(ran as RunDetails<unknown>) ?? 'a property failed');
    if (outOfTime)
      Object.assign(globalThis, {
        halfPotInterrupted: `stopped after ${ran.numRuns} of ${ran.runConfiguration.numRuns ?? 100} cases (seed ${ran.seed})`,
      });
  },
});
