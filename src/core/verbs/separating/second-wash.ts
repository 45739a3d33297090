import type { z } from 'zod';
import { liquidG, partOff, pieceG, trouble, type Doing, type JointCost } from '../../pot';
import { matchAt, plain } from '../../said';
import { fine } from '../../trouble';
import { Cost, doing, Name } from '../../written';
import { COST, costIn, costWords } from '../joint-words';
import { jointCost, then } from '../resolving';
import { asItIs, noAmount, noWarnings, nothing, usually, type Verb } from '../verb';

const SecondWash = doing('second wash', {
  as: Name.describe('what the strainer still holds, for another pot'),
  cost: Cost.default({ by: 'credit', perKg: '0' }),
});
type Written = z.infer<typeof SecondWash>;

export interface SecondWashStep extends Doing {
  readonly do: 'second wash';
  readonly as: string;
  readonly cost: JointCost;
}

/** What is left in the strainer goes on to another pot, with the liquid it keeps and the pools it still has. */
export const secondWash: Verb<Written, SecondWashStep> = {
  written: [SecondWash],
  ids: asItIs,
  takes: nothing,
  parts: (step) => step.as,
  amount: noAmount,
  flaw: nothing,
  says: (step, name) => `keep for a second wash as ${name.part(step.as)}${costWords(step.cost, 'credit')}`,
  reads: [
    [
      new RegExp(String.raw`^keep for a second wash as\s+(.+?)${COST}$`, 'i'),
      (m) =>
        then(costIn(matchAt(m, 2), { by: 'credit', perKg: '0' }), (cost) => ({
          do: 'second wash',
          as: plain(matchAt(m, 1)),
          cost,
        })),
    ],
  ],
  everyday: [],
  turn: 'in turn',
  resolve: (step) => fine({ do: 'second wash', as: step.as, cost: jointCost(step.cost) }),
  run(pot, step, _c, report) {
    const held = pot.inStrainer;
    if (!held || held.pieces.length === 0)
      return trouble('nothing-in-strainer', 'Second wash: no strainer holds anything of this pot.', 0, 0);
    pot.lost['solids discarded'] -= held.pieces.reduce((g, p) => g + pieceG(p), 0);
    pot.lost['held in solids'] -= liquidG(held.liquid);
    // The liquid they keep was no loss after all, nor was its money.
    if (liquidG(held.liquid) > 0) report.shares.push({ loss: 'held in solids', share: -1 });
    pot.inStrainer = undefined;
    partOff(pot, step, held.liquid, held.pieces, report);
    return undefined;
  },
  scale: asItIs,
  hands: usually('second wash', 'heldKg'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'no',
  caution: nothing,
  mark: 'out',
};
