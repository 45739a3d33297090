import type { z } from 'zod';
import { copyLiquid, liquidMl, loseShare, pieceG, scaleLiquid, trouble, type Doing } from '../../pot';
import { matchAt } from '../../said';
import { fine } from '../../trouble';
import { doing, Typed } from '../../written';
import { maybeIn, then } from '../resolving';
import { lossRefused } from './through';
import { asItIs, noWarnings, nothing, usually, type Verb } from '../verb';

const Sieve = doing('sieve', { loss: Typed.optional() });
type Written = z.infer<typeof Sieve>;

export interface SieveStep extends Doing {
  readonly do: 'sieve';
  /** Share that stays in the sieve; the usual one where it does not say. */
  readonly loss?: number | undefined;
}

/** Passes what has been puréed through a sieve: a share of it all stays there, until a second pass wins some back. */
export const sieve: Verb<Written, SieveStep> = {
  written: [Sieve],
  ids: asItIs,
  takes: nothing,
  parts: nothing,
  amount: (step) => step.loss ?? null,
  flaw: nothing,
  says: (step) => `sieve${step.loss ? `, ${step.loss} lost` : ''}`,
  reads: [
    [/^sieve(?:,\s*(.+?)\s+lost)?$/i, (m) => fine({ do: 'sieve', ...(m[1] ? { loss: matchAt(m, 1) } : {}) })],
  ],
  everyday: [
    {
      form: '(pass|rub|push|press) [(it|everything|the soup)] through [a] (drum sieve|tamis|sieve|fine sieve)',
      means: () => ({ do: 'sieve' }),
    },
  ],
  turn: 'in turn',
  resolve: (step, shelf) =>
    then(maybeIn(shelf, 'share', step.loss, 'loss'), (loss) => ({ do: 'sieve', loss })),
  run(pot, step, c, report) {
    const loss = step.loss ?? c.sieveLoss;
    if (liquidMl(pot.liquid) === 0)
      return trouble('empty', 'Sieve: there is nothing in the pot to pass.', 0, 0);
    if (pot.pieces.length > 0)
      return trouble(
        'pieces-in-sieve',
        `Sieve: ${(pot.pieces.reduce((g, p) => g + pieceG(p), 0) / 1000).toFixed(2)} kg of pieces are in the pot: strain them out, or purée them first.`,
        pot.pieces.length,
        0,
      );
    const wrong = lossRefused('Sieve', loss);
    if (wrong) return wrong;
    const kept = copyLiquid(pot.liquid);
    scaleLiquid(kept, loss);
    loseShare(pot, loss, 'left in the sieve', report);
    pot.inSieve = kept;
    return undefined;
  },
  scale: asItIs,
  hands: usually('sieve'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'no',
  caution: nothing,
  mark: 'out',
};
