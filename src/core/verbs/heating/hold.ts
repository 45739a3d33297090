import type { z } from 'zod';
import { liquidG, LONGEST_H, loseThroughWall, percent, standFor, trouble, type Doing } from '../../pot';
import { asks, matchAt } from '../../said';
import { fine } from '../../trouble';
import { doing, Typed } from '../../written';
import { cautions } from '../../safety';
import { maybeIn, then, valueIn } from '../resolving';
import { asItIs, noWarnings, nothing, type Verb } from '../verb';

const Hold = doing('hold', {
  time: Typed,
  loss: Typed.optional().describe('share of its water that leaves in an hour'),
});
type Written = z.infer<typeof Hold>;

export interface HoldStep extends Doing {
  readonly do: 'hold';
  readonly hours: number;
  /** Share of its water that leaves in an hour; the usual one where it does not say. */
  readonly lossPerHour?: number | undefined;
}

/** Keeps it warm: a share of its water leaves each hour, compounding. */
export const hold: Verb<Written, HoldStep> = {
  written: [Hold],
  ids: asItIs,
  takes: nothing,
  parts: nothing,
  amount: (step) => step.time,
  flaw: nothing,
  says: (step) => `hold ${step.time}${step.loss ? `, ${step.loss} an hour lost` : ''}`,
  reads: [
    [
      /^hold\s+(?:for\s+)?(.+?)(?:,\s*(.+?)\s+an hour lost)?$/i,
      (m) => fine({ do: 'hold', time: matchAt(m, 1), ...(m[2] ? { loss: matchAt(m, 2) } : {}) }),
    ],
  ],
  everyday: [
    {
      form: '(keep warm|keep hot|hold|hold hot|hold warm|stand warm|keep it warm|keep it hot|leave on the pass) [for] <time>',
      means: ({ time }) => ({ do: 'hold', time }),
    },
    { form: '(keep warm|keep hot|hold warm)', means: () => asks('For how long?', 'hold 1 h', 'hold 3 h') },
  ],
  turn: 'in turn',
  resolve(step, shelf) {
    const time = valueIn(shelf, 'time', step.time, 'time');
    if (!time.ok) return time;
    return then(maybeIn(shelf, 'share', step.loss, 'loss'), (lossPerHour) => ({
      do: 'hold',
      hours: time.value,
      lossPerHour,
    }));
  },
  run(pot, step, c) {
    const perHour = step.lossPerHour ?? c.holdLossPerHour;
    if (liquidG(pot.liquid) === 0) return trouble('empty', 'Hold: there is no liquid in the pot.', 0, 0);
    if (!(step.hours > 0 && step.hours <= LONGEST_H))
      return trouble(
        'time-out-of-range',
        `Hold for ${step.hours.toFixed(1)} h: above 0 and at most ${LONGEST_H} h.`,
        step.hours,
        LONGEST_H,
      );
    if (!(perHour >= 0 && perHour < 1))
      return trouble(
        'loss-out-of-range',
        `Hold: ${percent(perHour * 100)} of the water an hour cannot be: from 0 to below 100 %.`,
        perHour * 100,
        100,
      );
    standFor(pot, c, step.hours, pot.celsius);
    const gone = pot.liquid.water * (1 - (1 - perHour) ** step.hours);
    pot.liquid.water -= gone;
    pot.lost.evaporated += gone;
    pot.netKj += (gone / 1000) * c.latentKj;
    loseThroughWall(pot, c, step.hours);
    pot.elapsedHours += step.hours;
    return undefined;
  },
  scale: asItIs,
  hands: () => 0,
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'no',
  caution: () => cautions.keptWarm,
  mark: 'hot',
};
