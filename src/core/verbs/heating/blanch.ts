import type { z } from 'zod';
import {
  bringTo,
  fireOf,
  heatForHours,
  kilos,
  liquidG,
  LONGEST_H,
  piecesG,
  trouble,
  type Doing,
} from '../../pot';
import { asks, matchAt } from '../../said';
import { fine } from '../../trouble';
import { doing, Typed } from '../../written';
import { pouringHot } from '../cautions';
import { pourOff } from '../separating/drain';
import { then, valueIn } from '../resolving';
import { asItIs, noWarnings, nothing, usually, type Verb } from '../verb';
import { fillWithWater } from '../adding/water';

const Blanch = doing('blanch', { time: Typed }).describe(
  'covered with cold water, brought to the boil, boiled so long, and the water thrown away',
);
type Written = z.infer<typeof Blanch>;

export interface BlanchStep extends Doing {
  readonly do: 'blanch';
  readonly hours: number;
}

/** cm of water over the pieces. */
const OVER_CM = 2;
/** Share of the pieces' weight of liquid that may stand with them: more would be thrown away with the water. */
const DAMP = 0.25;

/** Blanches what is in the pot and throws the water away: white stock begins so, and scum, blood and some salt go with the water. */
export const blanch: Verb<Written, BlanchStep> = {
  written: [Blanch],
  ids: asItIs,
  takes: nothing,
  parts: nothing,
  amount: (step) => step.time,
  flaw: nothing,
  says: (step) => `blanch ${step.time}`,
  reads: [[/^blanch\s+(?:for\s+)?(.+)$/i, (m) => fine({ do: 'blanch', time: matchAt(m, 1) })]],
  everyday: [
    {
      form: '(blanch|parboil) [(it|them|the bones|the pieces|the vegetables|the meat)] [(from cold|in boiling water|in cold water)] [for] <time> [,] [(drain|and drain|and throw the water away|throw the water away|discard the water|and discard the water|and refresh|drain and rinse|and rinse)]',
      means: ({ time }) => ({ do: 'blanch', time }),
    },
    {
      form: '(blanch|parboil) [(it|them|the bones|the pieces|the vegetables|the meat)] [,] [(drain|and drain|and throw the water away|throw the water away|discard the water)]',
      means: () => asks('For how long, once it boils?', 'blanch 5 min', 'blanch 2 min'),
    },
  ],
  turn: 'in turn',
  resolve: (step, shelf) =>
    then(valueIn(shelf, 'time', step.time, 'time'), (hours) => ({ do: 'blanch', hours })),
  run(pot, { hours }, c, report) {
    if (pot.pieces.length === 0)
      return trouble('nothing-to-blanch', 'Blanch: there are no pieces in the pot to blanch.', 0, 0);
    if (!(hours > 0 && hours <= LONGEST_H))
      return trouble(
        'time-out-of-range',
        `Blanch for ${hours.toFixed(1)} h: above 0 and at most ${LONGEST_H} h.`,
        hours,
        LONGEST_H,
      );
    const [there, most] = [liquidG(pot.liquid), piecesG(pot) * DAMP];
    if (there > most)
      return trouble(
        'throws-away',
        `Blanch: ${kilos(there)} of liquid stand with the pieces and would be thrown away with the water: drain it off first (up to ${kilos(most)} are let pass).`,
        there,
        most,
      );
    const cannot = fillWithWater(pot, { to: { by: 'cover', value: OVER_CM } }, c, report, 'Blanch: water');
    if (cannot) return cannot;
    const boil = fireOf(c, 'brisk boil', 'off', pot.vessel);
    report.upHours = bringTo(pot, c, boil.celsius);
    heatForHours(pot, c, boil, hours);
    report.heatHours = hours;
    pourOff(pot, {}, report);
    return undefined;
  },
  scale: asItIs,
  hands: usually('blanch'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'ends',
  caution: pouringHot,
  mark: 'hot',
};
