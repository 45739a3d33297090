import { configureGlobal } from 'fast-check';

/** ms after which a law that has not come to an end is told as it stands: one that fails may look for a smaller case for hours. */
const LONGEST_MS = 240_000;

// Random cases of a whole run share one seed, which the run says and keeps: HALFPOT_SEED=… repeats it.
configureGlobal({
  interruptAfterTimeLimit: LONGEST_MS,
  markInterruptAsFailure: true,
  ...(process.env.HALFPOT_SEED ? { seed: Number(process.env.HALFPOT_SEED) } : {}),
});
