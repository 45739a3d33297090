import type { z } from 'zod';
import { liquidG, LONGEST_H, piecesG, trouble, type Doing } from '../pot';
import { at } from '../said';
import { fine } from '../trouble';
import { doing, Typed } from '../written';
import { caution } from './cautions';
import { maybeIn, then, valueIn } from './resolving';
import { asItIs, noWarnings, nothing, usually, type Verb } from './verb';

const Chill = doing('chill', { to: Typed, time: Typed.optional() });
type Written = z.infer<typeof Chill>;

export interface ChillStep extends Doing {
  readonly do: 'chill';
  readonly celsius: number;
  /** The usual time where it does not say. */
  readonly hours?: number | undefined;
}

/** Cools the pot down; it takes its time, and nothing leaves. */
export const chill: Verb<Written, ChillStep> = {
  written: [Chill],
  ids: asItIs,
  takes: nothing,
  parts: nothing,
  amount: (step) => step.to,
  flaw: nothing,
  says: (step) => `chill to ${step.to}${step.time ? `, takes ${step.time}` : ''}`,
  reads: [
    [
      /^chill\s+to\s+(.+?)(?:,\s*takes\s+(.+))?$/i,
      (m) => fine({ do: 'chill', to: at(m, 1), ...(m[2] ? { time: at(m, 2) } : {}) }),
    ],
  ],
  turn: 'in turn',
  resolve(step, shelf) {
    const to = valueIn(shelf, 'temperature', step.to, 'to');
    if (!to.ok) return to;
    return then(maybeIn(shelf, 'time', step.time, 'time'), (hours) => ({
      do: 'chill',
      celsius: to.value,
      hours,
    }));
  },
  run(pot, step, c) {
    if (liquidG(pot.liquid) + piecesG(pot) === 0) return trouble('empty', 'Chill: the pot is empty.', 0, 0);
    if (!(step.celsius >= -1 && step.celsius < pot.celsius))
      return trouble(
        'chill-out-of-range',
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
    pot.celsius = step.celsius;
    pot.elapsedHours += hours;
    return undefined;
  },
  scale: asItIs,
  hands: usually('chill'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'no',
  caution: () => caution('Cool fast in shallow pans or small tubs, never deep on the bench.'),
  mark: 'out',
};
