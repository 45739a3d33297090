import { z } from 'zod';
import { kilos, liquidG, LONGEST_H, loseThroughWall, ROUX, trouble, type Doing, type Roux } from '../../pot';
import { matchAt } from '../../said';
import { fine } from '../../trouble';
import { doing, Typed } from '../../written';
import { maybeIn, then } from '../resolving';
import { asItIs, noWarnings, nothing, type Verb } from '../verb';

const RouxOf = doing('roux', { to: z.enum(ROUX), time: Typed.optional() });
type Written = z.infer<typeof RouxOf>;

export interface RouxStep extends Doing {
  readonly do: 'roux';
  readonly to: Roux;
  readonly hours: number;
}

/** Butter and flour hold about a sixth of water; twice that is no roux any more. */
const WET = 0.35;

/** Flour cooked in its fat, or kneaded with it cold: the browner, the less of its power is left. */
export const roux: Verb<Written, RouxStep> = {
  written: [RouxOf],
  ids: asItIs,
  takes: nothing,
  parts: nothing,
  amount: (step) => step.time ?? null,
  flaw: nothing,
  says: (step) =>
    `${step.to === 'kneaded' ? 'knead' : `cook the roux ${step.to}`}${step.time ? ` ${step.time}` : ''}`,
  reads: [
    [
      /^cook the roux (white|blond|brown|dark)(?:\s+(?:for\s+)?(.+))?$/i,
      (m) =>
        fine({
          do: 'roux',
          to: matchAt(m, 1).toLowerCase() as Roux,
          ...(m[2] ? { time: matchAt(m, 2) } : {}),
        }),
    ],
    [
      /^knead(?:\s+(?:for\s+)?(.+))?$/i,
      (m) => fine({ do: 'roux', to: 'kneaded', ...(m[1] ? { time: matchAt(m, 1) } : {}) }),
    ],
  ],
  everyday: [
    {
      form: '(cook out|cook the roux|cook the flour|stir out) [(white|for)] [for] <time>',
      means: ({ time }) => ({ do: 'roux', to: 'white', time }),
    },
    {
      form: '(cook|cook out) [(the|a)] (white|blond|blonde|brown|dark) roux [for] [<time>]',
      means: ({ said, time }) => ({
        do: 'roux',
        to: said.includes('brown')
          ? 'brown'
          : said.includes('dark')
            ? 'dark'
            : said.includes('white')
              ? 'white'
              : 'blond',
        ...(time === undefined ? {} : { time }),
      }),
    },
  ],
  turn: 'in turn',
  resolve: (step, shelf) =>
    then(maybeIn(shelf, 'time', step.time, 'time'), (hours = 0) => ({ do: 'roux', to: step.to, hours })),
  run(pot, step, c) {
    if (!(pot.liquid.binding > 0))
      return trouble('no-flour', `Roux, ${step.to}: there is no flour or starch in the pot.`, 0, 0);
    const water = pot.liquid.water;
    const most = liquidG(pot.liquid) * WET;
    if (water > most)
      return trouble(
        'too-wet-for-roux',
        `Roux, ${step.to}: there are ${kilos(water)} of water in ${kilos(liquidG(pot.liquid))}: flour is cooked in fat, before the liquid goes in.`,
        water,
        most,
      );
    if (!(step.hours >= 0 && step.hours <= LONGEST_H))
      return trouble(
        'time-out-of-range',
        `Roux: ${step.hours.toFixed(1)} h cannot be: from 0 to ${LONGEST_H} h.`,
        step.hours,
        LONGEST_H,
      );
    pot.liquid.binding *= c.roux[step.to];
    if (step.to !== 'kneaded') {
      pot.hobHours += step.hours;
      loseThroughWall(pot, c, step.hours);
    }
    pot.elapsedHours += step.hours;
    return undefined;
  },
  scale: asItIs,
  // A roux is stirred for as long as it is cooked.
  hands: (step) => step.hours,
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'no',
  caution: nothing,
  mark: 'hot',
};
