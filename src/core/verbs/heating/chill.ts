import { z } from 'zod';
import {
  liquidG,
  LONGEST_H,
  piecesG,
  standFor,
  trouble,
  type Doing,
  type PotState,
  type ProcessConstants,
  type Warning,
} from '../../pot';
import { matchAt } from '../../said';
import { fine } from '../../trouble';
import { doing, Typed } from '../../written';
import { cautions } from '../../safety';
import { maybeIn, then, valueIn } from '../resolving';
import { asItIs, nothing, usually, type Verb } from '../verb';
import * as texts from './texts';

const Chill = doing('chill', {
  to: Typed,
  time: Typed.optional(),
  covered: z.boolean().optional().describe('under a lid or film; else open'),
});
type Written = z.infer<typeof Chill>;

export interface ChillStep extends Doing {
  readonly do: 'chill';
  readonly celsius: number;
  /** The usual time where it does not say. */
  readonly hours?: number | undefined;
  /** Under a lid or film; else open. */
  readonly covered?: boolean | undefined;
}

/** Where a chilled pot ends, where nobody says. */
const COLD = '4 °C';

/** Water that leaves while the pot cools down: in proportion to how far it does of the way from hot to cold. */
function coolingLoss(pot: PotState, { celsius, covered }: ChillStep, { cooling }: ProcessConstants): number {
  const { from, to } = cooling;
  const way = (t: number): number => Math.min(1, Math.max(0, (t - to) / (from - to)));
  const share = (covered ? cooling.covered : cooling.open) * (way(pot.celsius) - way(celsius));
  return Math.min(pot.liquid.water, liquidG(pot.liquid) * share);
}

/**
 * A pot that stays too long where germs multiply, by the limits of the house. It falls towards the cold as what is hot does in the
 * open, by the same share in the same time: the time to any degree on the way follows from the time to where it ends.
 */
function tooSlow(step: ChillStep, c: ProcessConstants): Warning[] {
  const hours = step.hours ?? c.chillHours;
  const way = (toC: number): number => Math.log(c.cooling.from / Math.max(1, toC));
  const late = (c.coolingLimits ?? [])
    .filter(({ toC }) => toC >= step.celsius)
    .map((limit) => ({ ...limit, at: (hours * way(limit.toC)) / way(step.celsius) }))
    .find(({ at: then_, withinH }) => then_ > withinH + 1e-9);
  if (!late) return [];
  return [
    {
      code: 'cools-slowly',
      message: texts.cOnlyAfterH(late.toC, late.at.toFixed(1), late.withinH),
      value: late.at,
      limit: late.withinH,
      unit: 'h',
      cure: {
        do: 'cool faster',
        message: texts.coolShallowPansOr,
        value: late.withinH,
        unit: 'h',
      },
    },
  ];
}

/** Cools the pot down: it takes its time, some water steams away meanwhile, and what passes between pieces and liquid passes on. */
export const chill: Verb<Written, ChillStep> = {
  written: [Chill],
  ids: asItIs,
  takes: nothing,
  parts: nothing,
  amount: (step) => step.to,
  flaw: nothing,
  says: (step) =>
    `chill${step.covered ? ' covered' : ''} to ${step.to}${step.time ? `, takes ${step.time}` : ''}`,
  reads: [
    [
      /^chill(\s+covered)?\s+to\s+(.+?)(?:,\s*takes\s+(.+))?$/i,
      (m) =>
        fine({
          do: 'chill',
          to: matchAt(m, 2),
          ...(m[3] ? { time: matchAt(m, 3) } : {}),
          ...(m[1] ? { covered: true } : {}),
        }),
    ],
  ],
  everyday: [
    {
      form: '(chill|cool|cool down) [(it|down|covered|open|quickly)] [to <temperature>] [(for|over)] [<time>]',
      means: ({ temperature, time, said }) => ({
        do: 'chill',
        to: temperature ?? COLD,
        ...(time === undefined ? {} : { time }),
        ...(said.includes('covered') ? { covered: true } : {}),
      }),
    },
    {
      form: '(refrigerate|put in the fridge|into the fridge|into the cold|leave to cool) [(for|until)] [<time>]',
      means: ({ time }) => ({ do: 'chill', to: COLD, ...(time === undefined ? {} : { time }) }),
    },
  ],
  turn: 'in turn',
  resolve(step, shelf) {
    const to = valueIn(shelf, 'temperature', step.to, 'to');
    if (!to.ok) return to;
    return then(maybeIn(shelf, 'time', step.time, 'time'), (hours) => ({
      do: 'chill',
      celsius: to.value,
      hours,
      covered: step.covered,
    }));
  },
  run(pot, step, c) {
    if (liquidG(pot.liquid) + piecesG(pot) === 0) return trouble('empty', 'Chill: the pot is empty.', 0, 0);
    if (!(step.celsius >= -1 && step.celsius < pot.celsius))
      return trouble(
        step.celsius < -1 ? 'chill-out-of-range' : 'already-colder',
        `Chill to ${step.celsius.toFixed(0)} °C: the pot is at ${pot.celsius.toFixed(0)} °C; chilling ends below that and not below -1 °C.`,
        step.celsius,
        pot.celsius,
      );
    const hours = step.hours ?? c.chillHours;
    if (!(hours >= 0 && hours <= LONGEST_H))
      return trouble(
        'time-out-of-range',
        `Chill for ${hours.toFixed(1)} h: from 0 to ${LONGEST_H} h.`,
        hours,
        LONGEST_H,
      );
    standFor(pot, c, hours, (pot.celsius + step.celsius) / 2);
    const gone = coolingLoss(pot, step, c);
    pot.liquid.water -= gone;
    pot.lost.evaporated += gone;
    pot.celsius = step.celsius;
    pot.elapsedHours += hours;
    return undefined;
  },
  scale: asItIs,
  hands: usually('chill'),
  warns: (_pot, step, c) => tooSlow(step, c),
  heats: false,
  seasons: false,
  filling: 'no',
  caution: () => cautions.coolFast,
  mark: 'out',
};
