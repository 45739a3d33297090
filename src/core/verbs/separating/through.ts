import { percent, trouble } from '../../pot';
import type { Trouble } from '../../trouble';

/** Refuses a share left in a machine or a sieve that cannot be. */
export const lossRefused = (verb: string, share: number): Trouble | undefined =>
  share >= 0 && share < 1
    ? undefined
    : trouble(
        'loss-out-of-range',
        `${verb}: a loss of ${percent(share * 100)} cannot be: it lies from 0 to below 100 %.`,
        share * 100,
        100,
      );
