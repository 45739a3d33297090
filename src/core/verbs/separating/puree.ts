import type { z } from 'zod';
import { loseShare, trouble, type Doing } from '../../pot';
import { matchAt } from '../../said';
import { fine } from '../../trouble';
import { doing, Typed } from '../../written';
import { cautions } from '../../safety';
import { isScalding } from '../cautions';
import { maybeIn, then } from '../resolving';
import { lossRefused } from './through';
import { asItIs, noWarnings, nothing, usually, type Verb } from '../verb';

const Puree = doing('puree', { loss: Typed.optional() });
type Written = z.infer<typeof Puree>;

export interface PureeStep extends Doing {
  readonly do: 'puree';
  /** Share left in the machine; the usual one where it does not say. */
  readonly loss?: number | undefined;
}

/**
 * Purées everything in the pot: pieces join the liquid with all their masses, what gelatin they have not given
 * stays protein, their fat is held, their starch binds. What stays in the machine is a share of it all.
 */
export const puree: Verb<Written, PureeStep> = {
  written: [Puree],
  ids: asItIs,
  takes: nothing,
  parts: nothing,
  amount: (step) => step.loss ?? null,
  flaw: nothing,
  says: (step) => `purée${step.loss ? `, ${step.loss} lost` : ''}`,
  reads: [
    [
      /^(?:pur[ée]e|blend)(?:,\s*(.+?)\s+lost)?$/i,
      (m) => fine({ do: 'puree', ...(m[1] ? { loss: matchAt(m, 1) } : {}) }),
    ],
  ],
  everyday: [
    {
      form: '(blend|puree|purée|liquidise|liquidize|blitz|mill|mouli) [(it|everything|the soup|all|well|the lot)] [(until smooth|smooth|fine|finely|until fine)]',
      means: () => ({ do: 'puree' }),
    },
  ],
  turn: 'in turn',
  resolve: (step, shelf) =>
    then(maybeIn(shelf, 'share', step.loss, 'loss'), (loss) => ({ do: 'puree', loss })),
  run(pot, step, c, report) {
    const loss = step.loss ?? c.puree.loss;
    if (pot.pieces.length === 0)
      return trouble('nothing-to-puree', 'Purée: there are no pieces in the pot to purée.', 0, 0);
    const wrong = lossRefused('Purée', loss);
    if (wrong) return wrong;
    const { liquid } = pot;
    for (const piece of pot.pieces) {
      const { parts } = piece;
      liquid.water += parts.water;
      liquid.boundFat += parts.fat;
      liquid.salt += parts.salt;
      liquid.sugar += parts.sugar;
      liquid.starch += parts.starch;
      liquid.gelatin += parts.gelatin;
      liquid.rest += parts.rest;
      // A share of a raw piece has that share of what it binds with.
      liquid.binding += parts.starch * c.puree.starchBinding + piece.stuff.binding * piece.rawG;
      liquid.pulp += piece.stuff.pulp * piece.rawG;
    }
    pot.pieces = [];
    // The blade holds what fat there is.
    liquid.boundFat += liquid.freeFat;
    liquid.freeFat = 0;
    loseShare(pot, loss, 'left in the blender', report);
    return undefined;
  },
  scale: asItIs,
  hands: usually('puree'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'no',
  caution: (_row, before) => (isScalding(before) ? cautions.hotBlending : undefined),
  mark: 'out',
};
