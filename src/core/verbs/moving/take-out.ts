import type { z } from 'zod';
import {
  bookLoss,
  chosenPieces,
  liftWet,
  liquidG,
  pieceG,
  wetShare,
  type Doing,
  type PieceChoice,
} from '../../pot';
import { matchAt, whichSaid, whichWords } from '../../said';
import { fine, type Trouble } from '../../trouble';
import { doing } from '../../written';
import { then } from '../resolving';
import { asItIs, noAmount, noWarnings, nothing, usually, type Verb } from '../verb';
import { idsOfPieces, Pieces } from './which-form';

const TakeOut = doing('take out', { pieces: Pieces }).describe(
  'pieces are lifted out and go, unless they are picked',
);
type Written = z.infer<typeof TakeOut>;

export interface TakeOutStep extends Doing {
  readonly do: 'take out';
  readonly pieces?: PieceChoice;
}

/**
 * Lifts pieces out for good, with the liquid that clings to them: the bones, while the rest goes on. They can still be picked, or
 * kept for a second wash, as what a strainer holds.
 */
export const takeOut: Verb<Written, TakeOutStep> = {
  written: [TakeOut],
  ids: idsOfPieces,
  takes: nothing,
  parts: nothing,
  amount: noAmount,
  flaw: nothing,
  says: (step, name) => `take out ${whichWords(step.pieces, name)}`,
  reads: [
    [
      /^take out\s+(.+)$/i,
      (m, names) => then(whichSaid(matchAt(m, 1), names), (found) => ({ do: 'take out', ...found })),
    ],
  ],
  everyday: [
    {
      form: '(take|lift|fish|scoop|pick|pull) out <which>',
      means: ({ which }) => ({ do: 'take out', ...which }),
    },
    {
      form: '(take|lift|fish|scoop|pull) <which> out',
      means: ({ which }) => ({ do: 'take out', ...which }),
    },
    {
      form: '(take|lift|fish|scoop|pull) out <which> [and] (throw|throw it|throw them) away',
      means: ({ which }) => ({ do: 'take out', ...which }),
    },
    { form: '(remove|discard|throw away) <which>', means: ({ which }) => ({ do: 'take out', ...which }) },
  ],
  turn: 'in turn',
  resolve: ({ pieces }) => fine({ do: 'take out', pieces }),
  run(pot, { pieces }, _c, report) {
    const chosen = chosenPieces('Take out', pot, pieces, 'in the pot');
    if (!Array.isArray(chosen)) return chosen as Trouble;
    bookLoss(pot, report, 'held in solids', wetShare(pot, chosen, 1));
    const lifted = liftWet(pot, chosen, 1);
    pot.lost['held in solids'] += liquidG(lifted.liquid);
    pot.lost['solids discarded'] += lifted.pieces.reduce((g, p) => g + pieceG(p), 0);
    pot.inStrainer = { pieces: lifted.pieces, liquid: lifted.liquid };
    return undefined;
  },
  scale: asItIs,
  hands: usually('take out'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'no',
  caution: nothing,
  mark: 'out',
};
