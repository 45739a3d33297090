import { z } from 'zod';
import {
  bookLoss,
  DEFATS,
  liquidG,
  partFat,
  scaleUnderFat,
  trouble,
  type Defat,
  type Doing,
  type JointCost,
  fatPct,
  percent,
  type Warning,
} from '../../pot';
import { matchAt } from '../../said';
import { fine } from '../../trouble';
import { Cost, doing, Name } from '../../written';
import { cautions } from '../../safety';
import { COST, fatIn, fatWords } from '../joint-words';
import { jointCost, then } from '../resolving';
import { asItIs, noAmount, nothing, usually, type Verb } from '../verb';
import * as texts from './texts';

const TakeFat = doing('defat', {
  by: z.enum(DEFATS),
  as: Name.optional().describe('the name under which the fat goes on to another use'),
  cost: Cost.optional().describe('of that fat; nothing where it is left out'),
});
type Written = z.infer<typeof TakeFat>;

export interface DefatStep extends Doing {
  readonly do: 'defat';
  readonly by: Defat;
  /** The name under which the fat goes on to another use. */
  readonly as?: string | undefined;
  readonly cost?: JointCost | undefined;
}

/** °C at which fat sets as a disc. */
const COLD = 4;
/** °C below which a pot has been in the cold. */
const COOLED = 10;

/** g of free fat that are none; and % of held fat from which somebody would look for some to take off. */
const NO_FAT_G = 0.5;
const HELD_PCT = 0.5;

/** Fat that blending or mounting holds cannot be taken off, and anyone who looks for it should know. */
function onlyHeld(step: DefatStep, held: number | undefined): Warning[] {
  if (held === undefined) return [];
  const name = step.as === undefined ? '' : `, so that there is no “${step.as}” to go on`;
  return [
    {
      code: 'no-free-fat',
      message: texts.noFatTakeOff(percent(held), name),
      value: 0,
      limit: held,
      unit: '%',
      cure: {
        do: 'take the fat off first',
        message: texts.takeOffBeforeAnything,
        value: held,
        unit: '%',
      },
    },
  ];
}

/** Takes the floating fat off, to another use where it has a name; some of the rest goes with every gram of it. Bound fat stays. */
export const defat: Verb<Written, DefatStep> = {
  written: [TakeFat],
  ids: asItIs,
  takes: nothing,
  parts: (step) => step.as,
  amount: noAmount,
  flaw: nothing,
  says: (step, name) =>
    `${step.by === 'cold' ? 'chill and lift the fat' : `take off the fat with a ${step.by}`}${fatWords(step, name)}`,
  reads: [
    [
      new RegExp(
        String.raw`^(?:chill and lift the fat|take off the fat cold)(?:\s+as\s+(.+?)${COST})?$`,
        'i',
      ),
      (m) => then(fatIn(matchAt(m, 1), matchAt(m, 2)), (fat) => ({ do: 'defat', by: 'cold', ...fat })),
    ],
    [
      new RegExp(String.raw`^take off the fat with a (ladle|jug)(?:\s+as\s+(.+?)${COST})?$`, 'i'),
      (m) =>
        then(fatIn(matchAt(m, 2), matchAt(m, 3)), (fat) => ({
          do: 'defat',
          by: matchAt(m, 1).toLowerCase() as 'ladle' | 'jug',
          ...fat,
        })),
    ],
  ],
  everyday: [
    {
      form: '(take off|lift off|skim off|skim|spoon off|remove|ladle off) (the fat|all the fat|any fat|fat) [with a ladle]',
      means: () => ({ do: 'defat', by: 'ladle' }),
    },
    {
      form: '(take off|remove|separate|pour off) (the fat|all the fat|any fat|fat) (with a jug|in a jug|with a separator)',
      means: () => ({ do: 'defat', by: 'jug' }),
    },
    {
      form: '(chill|cool) [overnight] [,] and (lift|take|scrape) [off] the fat [off]',
      means: () => ({ do: 'defat', by: 'cold' }),
    },
    { form: 'degrease', means: () => ({ do: 'defat', by: 'ladle' }) },
  ],
  turn: 'in turn',
  resolve: (step) => fine({ do: 'defat', by: step.by, as: step.as, cost: step.cost && jointCost(step.cost) }),
  run(pot, step, c, report) {
    if (liquidG(pot.liquid) === 0)
      return trouble('nothing-to-defat', 'Take off the fat: there is no liquid in the pot.', 0, 0);
    const { left, drag, hours } = c.defat[step.by];
    const fat = pot.liquid.freeFat * (1 - left);
    if (fat < NO_FAT_G && fatPct(pot) > HELD_PCT) report.onlyHeldFatPct = fatPct(pot);
    const under = liquidG(pot.liquid) - pot.liquid.freeFat;
    const dragged = Math.min(under, fat * drag);
    pot.liquid.freeFat -= fat;
    if (under > 0) {
      bookLoss(pot, report, 'dragged with fat', dragged / under);
      scaleUnderFat(pot.liquid, 1 - dragged / under);
    }
    if (step.as === undefined) pot.lost['fat lifted'] += fat;
    else partFat(pot, step, fat, report);
    pot.lost['dragged with fat'] += dragged;
    if (step.by === 'cold') pot.celsius = COLD;
    pot.elapsedHours += hours;
    return undefined;
  },
  scale: asItIs,
  hands: usually('defat'),
  warns: (_pot, step, _c, { onlyHeldFatPct }) => onlyHeld(step, onlyHeldFatPct),
  heats: false,
  seasons: false,
  filling: 'no',
  caution: (row) => (row.celsius < COOLED ? cautions.coolBeforeResting : undefined),
  mark: 'out',
};
