import type { z } from 'zod';
import {
  chosenPieces,
  layTray,
  liftWet,
  percent,
  pourShare,
  trouble,
  type Doing,
  type PieceChoice,
} from '../../pot';
import { matchAt, whichWords } from '../../said';
import type { Trouble } from '../../trouble';
import { doing, Typed } from '../../written';
import { then } from '../resolving';
import { asItIs, noWarnings, nothing, usually, type Verb } from '../verb';
import { idsOfPieces, Pieces, SHARE_OF, shareAndWhich, shareIn } from './which-form';

const SetAside = doing('set aside', { pieces: Pieces, share: Typed.optional() }).describe(
  'pieces are lifted onto a tray, to come back later',
);
type Written = z.infer<typeof SetAside>;

export interface SetAsideStep extends Doing {
  readonly do: 'set aside';
  readonly pieces?: PieceChoice;
  /** Share of them; all where it is left out. */
  readonly share?: number | undefined;
}

/** Refuses a share of pieces that cannot be. */
export const shareRefused = (verb: string, share: number): Trouble | undefined =>
  share > 0 && share <= 1
    ? undefined
    : trouble(
        'share-out-of-range',
        `${verb} ${percent(share * 100)}: above 0 and at most 100 %.`,
        share * 100,
        100,
      );

/** Lifts pieces out onto a tray, as wet as they come: out of the pan while the sauce is made, or to be picked. */
export const setAside: Verb<Written, SetAsideStep> = {
  written: [SetAside],
  ids: idsOfPieces,
  takes: nothing,
  parts: nothing,
  amount: (step) => step.share ?? null,
  flaw: nothing,
  says: (step, name) =>
    `set aside ${step.share === undefined ? '' : `${step.share} of `}${whichWords(step.pieces, name)}`,
  reads: [
    [
      new RegExp(String.raw`^set aside\s+${SHARE_OF}$`, 'i'),
      (m, names) =>
        then(shareAndWhich(matchAt(m, 1), matchAt(m, 2), names), (found) => ({ do: 'set aside', ...found })),
    ],
  ],
  everyday: [
    {
      form: '(set|put|keep|leave|lay) [(<share> of)] <which> (aside|to one side|on one side|on a tray)',
      means: ({ which, share }) => ({ do: 'set aside', ...which, ...(share === undefined ? {} : { share }) }),
    },
    {
      form: '(take|lift|fish|scoop) <which> out [(of the pan|of the pot)] and (set|put|keep) [(it|them)] (aside|to one side)',
      means: ({ which }) => ({ do: 'set aside', ...which }),
    },
    {
      form: '(remove|lift out|take out|reserve) [(<share> of)] <which> [and] (set|put|keep) [(it|them)] (aside|to one side)',
      means: ({ which, share }) => ({ do: 'set aside', ...which, ...(share === undefined ? {} : { share }) }),
    },
    {
      form: '(reserve|set aside) <which>',
      means: ({ which }) => ({ do: 'set aside', ...which }),
    },
  ],
  turn: 'in turn',
  resolve: (step, shelf) =>
    then(shareIn(shelf, step.share), (share) => ({
      do: 'set aside',
      pieces: step.pieces,
      share,
    })),
  run(pot, { pieces, share = 1 }) {
    const wrong = shareRefused('Set aside', share);
    if (wrong) return wrong;
    const chosen = chosenPieces('Set aside', pot, pieces, 'in the pot');
    if (!Array.isArray(chosen)) return chosen as Trouble;
    const lifted = liftWet(pot, chosen, share);
    const tray = layTray(pot);
    tray.pieces.push(...lifted.pieces);
    pourShare(tray.liquid, lifted.liquid, 1);
    tray.celsius = pot.celsius;
    return undefined;
  },
  scale: asItIs,
  hands: usually('set aside'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'no',
  caution: nothing,
  mark: 'out',
};
