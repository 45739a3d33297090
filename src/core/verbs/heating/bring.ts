import type { z } from 'zod';
import { bringTo, liquidG, piecesG, trouble, type Doing } from '../../pot';
import { asks, matchAt } from '../../said';
import { fine } from '../../trouble';
import { doing, Typed } from '../../written';
import { then, valueIn } from '../resolving';
import { asItIs, noWarnings, nothing, type Verb } from '../verb';

const Bring = doing('bring', { to: Typed });
type Written = z.infer<typeof Bring>;

export interface BringStep extends Doing {
  readonly do: 'bring';
  readonly celsius: number;
}

/** Brings the pot to a temperature; it stands alone meanwhile. */
export const bring: Verb<Written, BringStep> = {
  written: [Bring],
  ids: asItIs,
  takes: nothing,
  parts: nothing,
  amount: (step) => step.to,
  flaw: nothing,
  says: (step) => `bring to ${step.to}`,
  reads: [[/^bring\s+to\s+(.+)$/i, (m) => fine({ do: 'bring', to: matchAt(m, 1) })]],
  everyday: [
    {
      form: '(bring|come|heat|take) [(it|everything|the pot|the stock|the milk)] [(back|up|back up)] to <temperature>',
      means: ({ temperature }) => ({ do: 'bring', to: temperature }),
    },
    {
      form: '(heat|warm|warm up|heat up|reheat) [(it|up|gently)] [to] <temperature>',
      means: ({ temperature }) => ({ do: 'bring', to: temperature }),
    },
    {
      form: '(heat|warm|reheat|bring) [(it|up|gently|through)]',
      means: () => asks('To what?', 'bring to 96 °C', 'bring to 100 °C', 'bring to 75 °C'),
    },
  ],
  turn: 'in turn',
  resolve: (step, shelf) =>
    then(valueIn(shelf, 'temperature', step.to, 'to'), (celsius) => ({ do: 'bring', celsius })),
  run(pot, step, c, report) {
    if (liquidG(pot.liquid) + piecesG(pot) === 0)
      return trouble('empty', 'Bring to heat: the pot is empty.', 0, 0);
    if (!(step.celsius > pot.celsius && step.celsius <= 100))
      return trouble(
        'bring-out-of-range',
        `Bring to ${step.celsius.toFixed(0)} °C: the pot is at ${pot.celsius.toFixed(0)} °C and boils at 100 °C.`,
        step.celsius,
        100,
      );
    report.upHours = bringTo(pot, c, step.celsius);
    return undefined;
  },
  scale: asItIs,
  hands: () => 0,
  warns: noWarnings,
  heats: true,
  seasons: false,
  filling: 'no',
  caution: nothing,
  mark: 'hot',
};
