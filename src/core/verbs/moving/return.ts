import { z } from 'zod';
import {
  chosenPieces,
  clearTray,
  liquidG,
  mixedCelsius,
  piecesG,
  pieceG,
  pourShare,
  scaleLiquid,
  shareOfPiece,
  trayOf,
  trouble,
  type Doing,
  type PotState,
  type ProcessConstants,
  type StandLevel,
  type PieceChoice,
} from '../../pot';
import { matchAt, whichWords } from '../../said';
import { fine, type Trouble } from '../../trouble';
import { doing, Typed } from '../../written';
import { then } from '../resolving';
import { shareRefused } from './set-aside';
import { asItIs, noWarnings, nothing, usually, type Verb } from '../verb';
import { idsOfPieces, Pieces, SHARE_OF, shareAndWhich, shareIn } from './which-form';

const Return = doing('return', {
  pieces: Pieces,
  share: Typed.optional(),
  juicesOnly: z.literal(true).optional().describe('only the juices that have run out of them'),
}).describe('what was set aside comes back into the pot');
type Written = z.infer<typeof Return>;

export interface ReturnStep extends Doing {
  readonly do: 'return';
  readonly pieces?: PieceChoice;
  readonly share?: number | undefined;
  readonly juicesOnly?: boolean | undefined;
}

/** Pours what has run out of pieces on the tray into the pot, a share of it. */
function pourJuices(pot: PotState, tray: StandLevel, share: number, c: ProcessConstants): void {
  const g = liquidG(tray.liquid) * share;
  pot.celsius = mixedCelsius(pot, c, g, 'liquid', tray.celsius);
  pourShare(pot.liquid, tray.liquid, share);
  scaleLiquid(tray.liquid, 1 - share);
}

/** What was set aside comes back: pieces with their juices, a share of them, or the juices alone. */
export const returned: Verb<Written, ReturnStep> = {
  written: [Return],
  ids: idsOfPieces,
  takes: nothing,
  parts: nothing,
  amount: (step) => step.share ?? null,
  flaw: (step) =>
    step.juicesOnly && (step.pieces !== undefined || step.share !== undefined)
      ? {
          code: 'juices-and-pieces',
          field: 'juicesOnly',
          words: 'the juices alone have no share and no pieces.',
        }
      : undefined,
  says: (step, name) =>
    step.juicesOnly
      ? 'return the juices'
      : `return ${step.share === undefined ? '' : `${step.share} of `}${whichWords(step.pieces, name)}`,
  reads: [
    [/^return the juices$/i, () => fine({ do: 'return', juicesOnly: true })],
    [
      new RegExp(String.raw`^return\s+${SHARE_OF}$`, 'i'),
      (m, names) =>
        then(shareAndWhich(matchAt(m, 1), matchAt(m, 2), names), (found) => ({ do: 'return', ...found })),
    ],
  ],
  everyday: [
    {
      form: '(return|put back|pour back|add back|tip back|stir in|pour in) [the] [resting] (juices|juice) [(from the meat|of the meat|to the pan|to the sauce|to the pot)]',
      means: () => ({ do: 'return', juicesOnly: true }),
    },
    {
      form: '(put|pour|tip) [the] [resting] (juices|juice) back [(in|to the pan|to the sauce|to the pot)]',
      means: () => ({ do: 'return', juicesOnly: true }),
    },
    {
      form: '(return|put back|add back|tip back|in go again) [(<share> of)] <which> [(to the pot|to the pan|in|to the sauce)]',
      means: ({ which, share }) => ({ do: 'return', ...which, ...(share === undefined ? {} : { share }) }),
    },
    {
      form: '(put|tip|bring|give|take) [(<share> of)] <which> back [(in|into the pot|into the pan|to the pot|into the sauce)]',
      means: ({ which, share }) => ({ do: 'return', ...which, ...(share === undefined ? {} : { share }) }),
    },
  ],
  turn: 'in turn',
  resolve: (step, shelf) =>
    then(shareIn(shelf, step.share), (share) => ({
      do: 'return',
      pieces: step.pieces,
      share,
      juicesOnly: step.juicesOnly,
    })),
  run(pot, { pieces, share = 1, juicesOnly }, c) {
    const tray = trayOf(pot);
    if (!tray) return trouble('nothing-set-aside', 'Return: nothing of this pot has been set aside.', 0, 1);
    const wrong = shareRefused('Return', share);
    if (wrong) return wrong;
    if (juicesOnly) {
      if (liquidG(tray.liquid) < 1e-9)
        return trouble('no-juices', 'Return the juices: none have run out of what is set aside.', 0, 0);
      pourJuices(pot, tray, 1, c);
      clearTray(pot);
      return undefined;
    }
    const chosen = chosenPieces('Return', tray, pieces, 'set aside');
    if (!Array.isArray(chosen)) return chosen as Trouble;
    const back = chosen.map((p) => shareOfPiece(p, share));
    const g = back.reduce((sum, p) => sum + pieceG(p), 0);
    const there = piecesG(tray);
    // Their juices come along, each with its part of them.
    if (there > 0) pourJuices(pot, tray, Math.min(1, g / there), c);
    pot.celsius = mixedCelsius(pot, c, g, 'pieces', tray.celsius);
    pot.pieces.push(...back);
    tray.pieces = tray.pieces.flatMap((p) =>
      !chosen.includes(p) ? [p] : share < 1 ? [shareOfPiece(p, 1 - share)] : [],
    );
    clearTray(pot);
    return undefined;
  },
  scale: asItIs,
  hands: usually('return'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'adds',
  caution: nothing,
  mark: 'in',
};
