import { configureGlobal } from 'fast-check';

// Random cases of a whole run share one seed, which the run says and keeps: HALFPOT_SEED=… repeats it.
if (process.env.HALFPOT_SEED) configureGlobal({ seed: Number(process.env.HALFPOT_SEED) });
