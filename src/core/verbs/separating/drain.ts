import type { z } from 'zod';
import {
  copyLiquid,
  heldBackMl,
  liquidG,
  liquidMl,
  partOff,
  scaleLiquid,
  trouble,
  type Doing,
  type JointCost,
  type PotState,
  type StepReport,
} from '../../pot';
import { matchAt, plain } from '../../said';
import { fine } from '../../trouble';
import { Cost, doing, Name } from '../../written';
import { pouringHot } from '../cautions';
import { COST, costIn, costWords } from '../joint-words';
import { jointCost, then } from '../resolving';
import { asItIs, noAmount, noWarnings, nothing, usually, type Verb } from '../verb';

const Drain = doing('drain', {
  as: Name.optional().describe(
    'the name under which the liquid goes on to another use; left out, it is thrown away',
  ),
  cost: Cost.optional().describe('of that liquid; nothing where it is left out'),
}).describe('the pieces stay, their liquid goes');
type Written = z.infer<typeof Drain>;

export interface DrainStep extends Doing {
  readonly do: 'drain';
  readonly as?: string | undefined;
  readonly cost?: JointCost | undefined;
}

/**
 * Pours the liquid off what it has cooked; what the pieces hold unpressed stays. Thrown away it takes no money along: what it was
 * bought for is the pieces (docs/model.md, "Where the money went").
 */
export function pourOff(
  pot: PotState,
  goes: { as?: string | undefined; cost?: JointCost | undefined },
  report: StepReport,
): void {
  const there = liquidMl(pot.liquid);
  const held = pot.pieces.reduce((ml, p) => ml + heldBackMl(p, false), 0);
  const off = there > 0 ? 1 - Math.min(1, held / there) : 0;
  const liquid = copyLiquid(pot.liquid);
  scaleLiquid(liquid, off);
  scaleLiquid(pot.liquid, 1 - off);
  if (goes.as === undefined) pot.lost['poured away'] += liquidG(liquid);
  else partOff(pot, goes, liquid, [], report);
}

/** Drains: the pieces stay, the liquid goes, for another use where it has a name. */
export const drain: Verb<Written, DrainStep> = {
  written: [Drain],
  ids: asItIs,
  takes: nothing,
  parts: (step) => step.as,
  amount: noAmount,
  flaw: nothing,
  says: (step, name) =>
    step.as === undefined
      ? 'drain'
      : `drain, the liquid as ${name.part(step.as)}${step.cost ? costWords(step.cost, 'credit') : ''}`,
  reads: [
    [/^drain$/i, () => fine({ do: 'drain' })],
    [
      new RegExp(String.raw`^drain,\s*the liquid as\s+(.+?)${COST}$`, 'i'),
      (m) =>
        then(costIn(matchAt(m, 2), { by: 'credit', perKg: '0' }), (cost) => ({
          do: 'drain',
          as: plain(matchAt(m, 1)),
          ...(matchAt(m, 2) === '' ? {} : { cost }),
        })),
    ],
  ],
  everyday: [
    {
      form: '(drain|drain off|pour off|throw away|throw out|discard|tip away) [(well|it|them)] [(and|,)] [(throw away|throw out|discard|pour off)] [the] (water|liquid|blanching water|cooking water|liquor) [(away|off)] [,] [and] [keep] [the] [(pieces|bones|vegetables)]',
      means: () => ({ do: 'drain' }),
    },
    {
      form: 'drain [(well|it|them|the pieces|the bones|the vegetables|and keep the pieces|and rinse|and refresh)]',
      means: () => ({ do: 'drain' }),
    },
    {
      form: '(pour|throw|tip) [the] (water|liquid|blanching water|cooking water) (away|off|out)',
      means: () => ({ do: 'drain' }),
    },
  ],
  turn: 'in turn',
  resolve: (step) => fine({ do: 'drain', as: step.as, cost: step.cost && jointCost(step.cost) }),
  run(pot, step, _c, report) {
    if (pot.pieces.length === 0)
      return trouble(
        'nothing-to-keep',
        'Drain: there are no pieces in the pot to keep; to pour it off, draw it off.',
        0,
        0,
      );
    if (liquidG(pot.liquid) === 0)
      return trouble('nothing-to-drain', 'Drain: there is no liquid in the pot.', 0, 0);
    pourOff(pot, step, report);
    return undefined;
  },
  scale: asItIs,
  hands: usually('drain'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'ends',
  caution: pouringHot,
  mark: 'out',
};
