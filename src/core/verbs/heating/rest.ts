import type { z } from 'zod';
import { LONGEST_H, piecesG, standFor, trayOf, trouble, type Doing } from '../../pot';
import { matchAt } from '../../said';
import { fine } from '../../trouble';
import { doing, Typed } from '../../written';
import { then, valueIn } from '../resolving';
import { asItIs, noWarnings, nothing, type Verb } from '../verb';

const Rest = doing('rest', { time: Typed }).describe(
  'what is set aside, or else stands in the pot, lies off the fire',
);
type Written = z.infer<typeof Rest>;

export interface RestStep extends Doing {
  readonly do: 'rest';
  readonly hours: number;
}

/** Lets pieces lie: juice goes on running out of them, onto the tray if they are set aside. */
export const rest: Verb<Written, RestStep> = {
  written: [Rest],
  ids: asItIs,
  takes: nothing,
  parts: nothing,
  amount: (step) => step.time,
  flaw: nothing,
  says: (step) => `rest ${step.time}`,
  reads: [[/^rest\s+(?:for\s+)?(.+)$/i, (m) => fine({ do: 'rest', time: matchAt(m, 1) })]],
  everyday: [
    {
      form: '[(let|leave)] [(it|them|the meat|the bird)] [to] rest [(it|the meat|in a warm place)] [for] <time>',
      means: ({ time }) => ({ do: 'rest', time }),
    },
    {
      form: '(let stand|leave to stand|let it stand|stand off the heat|infuse|leave to infuse|steep) [for] <time>',
      means: ({ time }) => ({ do: 'rest', time }),
    },
  ],
  turn: 'in turn',
  resolve: (step, shelf) =>
    then(valueIn(shelf, 'time', step.time, 'time'), (hours) => ({ do: 'rest', hours })),
  run(pot, { hours }, c) {
    if (!(hours > 0 && hours <= LONGEST_H))
      return trouble(
        'time-out-of-range',
        `Rest for ${hours.toFixed(1)} h: above 0 and at most ${LONGEST_H} h.`,
        hours,
        LONGEST_H,
      );
    const tray = trayOf(pot);
    if (tray && tray.pieces.length > 0)
      standFor({ ...pot, ...tray }, c, hours, Math.min(tray.celsius, c.resting.celsius));
    else if (piecesG(pot) > 0)
      standFor(
        pot,
        c,
        hours,
        Math.min(pot.celsius, Math.max(c.resting.celsius, pot.celsius - c.resting.cooler)),
      );
    else return trouble('nothing-rests', 'Rest: there are no pieces in the pot or set aside.', 0, 0);
    pot.elapsedHours += hours;
    return undefined;
  },
  scale: asItIs,
  hands: () => 0,
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'no',
  caution: nothing,
  mark: 'out',
};
