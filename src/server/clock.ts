import { env } from './env';

/** Now; held still where tests and pictures ask for it. */
export const now = (): Date => new Date(env().HALFPOT_CLOCK ?? Date.now());

/** Business day of an instant in a kitchen's zone, YYYY-MM-DD. */
export const dayIn = (zone: string, at: Date): string =>
  new Intl.DateTimeFormat('en-CA', { timeZone: zone }).format(at);
