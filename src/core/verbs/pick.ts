import type { z } from 'zod';
import {
  noLiquid,
  partOff,
  percent,
  pieceG,
  shareOfPiece,
  trouble,
  type Doing,
  type JointCost,
} from '../pot';
import { at, findNamed, plain } from '../said';
import { Cost, doing, Id, Name, Typed } from '../written';
import { COST, costIn, costWords } from './joint-words';
import { jointCost, then, valueIn } from './resolving';
import { asItIs, noWarnings, nothing, usually, type Verb } from './verb';

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
        const [share, piece, back, as] = [at(m, 1), at(m, 2), at(m, 3), at(m, 4)];
        const found = piece === '' ? undefined : findNamed(piece, names.ingredients, 'ingredient');
        if (found && !found.ok) return found;
        return then(costIn(at(m, 5), { by: 'weight' }), (cost) => ({
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
    const held = pot.inStrainer;
    if (!held || held.pieces.length === 0)
      return trouble('nothing-in-strainer', 'Pick: no strainer holds anything of this pot.', 0, 0);
    if (!(step.share > 0 && step.share <= 1))
      return trouble(
        'share-out-of-range',
        `Pick ${percent(step.share * 100)}: above 0 and at most 100 % of what the strainer holds.`,
        step.share * 100,
        100,
      );
    const wanted = held.pieces.filter((p) => step.of === undefined || p.stuff.id === step.of);
    if (wanted.length === 0)
      return trouble('not-in-strainer', 'Pick: what is to be picked is not in the strainer.', 0, 0);
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
  hands: usually('pick'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'no',
  caution: nothing,
  mark: 'out',
};
