import type { z } from 'zod';
import {
  clearTray,
  noLiquid,
  partOff,
  percent,
  pieceG,
  piecesG,
  pourShare,
  scaleLiquid,
  shareOfPiece,
  trayOf,
  trouble,
  type Doing,
  type JointCost,
  type Piece,
  type PotState,
  type StandLevel,
  type StepReport,
} from '../../pot';
import { matchAt, findNamed, plain } from '../../said';
import { Cost, doing, Id, Name, Typed } from '../../written';
import { COST, costIn, costWords } from '../joint-words';
import { jointCost, then, valueIn } from '../resolving';
import { asItIs, noWarnings, nothing, usually, type Verb } from '../verb';

const Pick = doing('pick', {
  piece: Id.optional().describe('the one ingredient picked; else all the strainer holds'),
  share: Typed,
  as: Name.optional().describe('a joint product of that name; left out, it goes back into the pot'),
  cost: Cost.default({ by: 'weight' }),
});
type Written = z.infer<typeof Pick>;

export interface PickStep extends Doing {
  readonly do: 'pick';
  readonly share: number;
  /** Id of the one thing picked; everything in the strainer where it is left out. */
  readonly of?: string | undefined;
  readonly as?: string | undefined;
  readonly cost: JointCost;
}

/** What is not picked of a piece on the tray goes; what has run out of it goes into the pot. */
function pickFromTray(
  pot: PotState,
  tray: StandLevel,
  wanted: readonly Piece[],
  step: PickStep,
  report: StepReport,
): undefined {
  const all = piecesG(tray);
  const g = wanted.reduce((sum, p) => sum + pieceG(p), 0);
  const juices = all > 0 ? Math.min(1, g / all) : 0;
  pourShare(pot.liquid, tray.liquid, juices);
  scaleLiquid(tray.liquid, 1 - juices);
  tray.pieces = tray.pieces.filter((p) => !wanted.includes(p));
  pot.lost['solids discarded'] += g * (1 - step.share);
  const picked = wanted.map((p) => shareOfPiece(p, step.share));
  if (step.as === undefined) pot.pieces.push(...picked);
  else partOff(pot, step, noLiquid(), picked, report);
  clearTray(pot);
  return undefined;
}

/** Picks a share of the cooked pieces out of the strainer: back into the pot, or as a joint product. */
export const pick: Verb<Written, PickStep> = {
  written: [Pick],
  ids: (step, each) =>
    step.piece === undefined ? step : { ...step, piece: each('ingredient', step.piece, 'piece') },
  takes: nothing,
  parts: (step) => step.as,
  amount: (step) => step.share,
  flaw: nothing,
  says: (step, name) =>
    `pick ${step.share}${step.piece === undefined ? '' : ` of the ${name.ingredient(step.piece)}`}${step.as === undefined ? ' back' : ` as ${name.part(step.as)}`}${costWords(step.cost, 'weight')}`,
  reads: [
    [
      new RegExp(
        String.raw`^pick\s+(\S+(?:\s*%)?)(?:\s+of the\s+(.+?))?(?:\s+(back)|\s+as\s+(.+?))${COST}$`,
        'i',
      ),
      (m, names) => {
        const [share, piece, back, as] = [matchAt(m, 1), matchAt(m, 2), matchAt(m, 3), matchAt(m, 4)];
        const found = piece === '' ? undefined : findNamed(piece, names.ingredients, 'ingredient');
        if (found && !found.ok) return found;
        return then(costIn(matchAt(m, 5), { by: 'weight' }), (cost) => ({
          do: 'pick',
          share,
          ...(found ? { piece: found.value.id } : {}),
          ...(back === '' ? { as: plain(as) } : {}),
          cost,
        }));
      },
    ],
  ],
  everyday: [],
  turn: 'in turn',
  resolve: (step, shelf) =>
    then(valueIn(shelf, 'share', step.share, 'share'), (share) => ({
      do: 'pick',
      share,
      of: step.piece,
      as: step.as,
      cost: jointCost(step.cost),
    })),
  run(pot, step, _c, report) {
    const isWanted = (p: Piece): boolean => step.of === undefined || p.stuff.id === step.of;
    const [strainer, tray] = [pot.inStrainer, trayOf(pot)];
    const held = strainer?.pieces.some(isWanted) ? strainer : tray?.pieces.some(isWanted) ? tray : strainer;
    if (!held || held.pieces.length === 0)
      return trouble(
        'nothing-in-strainer',
        'Pick: no strainer holds anything of this pot, and nothing is set aside.',
        0,
        0,
      );
    if (!(step.share > 0 && step.share <= 1))
      return trouble(
        'share-out-of-range',
        `Pick ${percent(step.share * 100)}: above 0 and at most 100 % of what the strainer holds.`,
        step.share * 100,
        100,
      );
    const wanted = held.pieces.filter(isWanted);
    if (wanted.length === 0)
      return trouble(
        'not-in-strainer',
        'Pick: what is to be picked is neither in the strainer nor set aside.',
        0,
        0,
      );
    if (held === tray) return pickFromTray(pot, tray, wanted, step, report);
    const picked = wanted.map((p) => shareOfPiece(p, step.share));
    held.pieces = held.pieces.flatMap((p) =>
      !wanted.includes(p) ? [p] : step.share < 1 ? [shareOfPiece(p, 1 - step.share)] : [],
    );
    pot.lost['solids discarded'] -= picked.reduce((g, p) => g + pieceG(p), 0);
    if (step.as === undefined) pot.pieces.push(...picked);
    else partOff(pot, step, noLiquid(), picked, report);
    return undefined;
  },
  scale: asItIs,
  hands: usually('pick', 'heldKg'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'no',
  caution: nothing,
  mark: 'out',
};
