import { env } from './env';

/** Now; held still where tests and pictures ask for it. */
export const now = (): Date => new Date(env().HALFPOT_CLOCK ?? Date.now());
