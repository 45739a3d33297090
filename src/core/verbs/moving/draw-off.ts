import { z } from 'zod';
import {
  copyLiquid,
  liquidMl,
  litres,
  partOff,
  piecesMl,
  scaleLiquid,
  shareOfPiece,
  trouble,
  type Doing,
  type JointCost,
} from '../../pot';
import { matchAt, plain } from '../../said';
import { Cost, doing, Name, Typed } from '../../written';
import { COST, costIn, costWords } from '../joint-words';
import { jointCost, then, valueIn } from '../resolving';
import { asItIs, noWarnings, nothing, usually, type Verb } from '../verb';

const DrawOff = doing('draw off', {
  amount: Typed,
  as: Name,
  liquidOnly: z.boolean().default(false),
  cost: Cost.default({ by: 'weight' }),
});
type Written = z.infer<typeof DrawOff>;

export interface DrawOffStep extends Doing {
  readonly do: 'draw off';
  readonly ml: number;
  readonly as: string;
  readonly liquidOnly: boolean;
  readonly cost: JointCost;
}

/** Draws some of the pot off as a joint product: liquid and pieces alike, or the liquid alone. */
export const drawOff: Verb<Written, DrawOffStep> = {
  written: [DrawOff],
  ids: asItIs,
  takes: nothing,
  parts: (step) => step.as,
  amount: (step) => step.amount,
  flaw: nothing,
  says: (step, name) =>
    `draw off ${step.amount}${step.liquidOnly ? ' of the liquid' : ''} as ${name.part(step.as)}${costWords(step.cost, 'weight')}`,
  reads: [
    [
      new RegExp(String.raw`^draw off\s+(.+?)(\s+of the liquid)?\s+as\s+(.+?)${COST}$`, 'i'),
      (m) =>
        then(costIn(matchAt(m, 4), { by: 'weight' }), (cost) => ({
          do: 'draw off',
          amount: matchAt(m, 1),
          as: plain(matchAt(m, 3)),
          liquidOnly: m[2] !== undefined,
          cost,
        })),
    ],
  ],
  everyday: [],
  turn: 'in turn',
  resolve: (step, shelf) =>
    then(valueIn(shelf, 'volume', step.amount, 'amount'), (ml) => ({
      do: 'draw off',
      ml,
      as: step.as,
      liquidOnly: step.liquidOnly,
      cost: jointCost(step.cost),
    })),
  run(pot, step, _c, report) {
    const there = liquidMl(pot.liquid) + (step.liquidOnly ? 0 : piecesMl(pot));
    if (!(step.ml > 0))
      return trouble('nothing-drawn', `Draw off ${litres(step.ml)}: more than 0 l is drawn off.`, step.ml, 0);
    if (step.ml > there * (1 + 1e-9))
      return trouble(
        'draws-too-much',
        `Draw off ${litres(step.ml)}: there are only ${litres(there)} in the pot.`,
        step.ml,
        there,
      );
    const share = Math.min(1, step.ml / there);
    const liquid = copyLiquid(pot.liquid);
    scaleLiquid(liquid, share);
    scaleLiquid(pot.liquid, 1 - share);
    const pieces = step.liquidOnly ? [] : pot.pieces.map((p) => shareOfPiece(p, share));
    if (!step.liquidOnly) pot.pieces = share < 1 ? pot.pieces.map((p) => shareOfPiece(p, 1 - share)) : [];
    partOff(pot, step, liquid, pieces, report);
    return undefined;
  },
  scale: (step, factor) => ({ ...step, ml: step.ml * factor }),
  hands: usually('draw off'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'no',
  caution: nothing,
  mark: 'out',
};
