import { z } from 'zod';
import {
  bringTo,
  fireOf,
  fries,
  heatForHours,
  HEATS,
  LIDS,
  liquidG,
  LONGEST_H,
  piecesG,
  trouble,
  type Doing,
  type Heat,
  type Lid,
} from '../../pot';
import { asks, matchAt } from '../../said';
import { fine } from '../../trouble';
import { doing, Typed } from '../../written';
import { boiledDry, burnerLimits, clouded, uncovered } from './heat-warnings';
import { heatSaid, LID_WORDS, lidSaid, takeLid } from './heat-words';
import { then, valueIn } from '../resolving';
import { asItIs, nothing, usually, type Verb } from '../verb';

const Cook = doing('cook', {
  heat: z.enum(HEATS),
  time: Typed,
  lid: z.enum(LIDS),
  underFat: z.boolean().optional().describe('under the layer of its own fat, which slows what boils away'),
});
type Written = z.infer<typeof Cook>;

export interface CookStep extends Doing {
  readonly do: 'cook';
  readonly heat: Heat;
  readonly hours: number;
  readonly lid: Lid;
  /** Under the layer of its own fat, which slows what boils away. */
  readonly underFat?: boolean | undefined;
}

const UNDER_FAT = /,?\s*under its fat$/i;

/** Keeps the pot at a heat for some time; the minutes count from when the heat is reached. */
export const cook: Verb<Written, CookStep> = {
  written: [Cook],
  ids: asItIs,
  takes: nothing,
  parts: nothing,
  amount: (step) => step.time,
  flaw: nothing,
  says: (step) => `${step.heat} ${step.time}${LID_WORDS[step.lid]}${step.underFat ? ' under its fat' : ''}`,
  reads: [
    [
      new RegExp(String.raw`^(${HEATS.join('|')})\s+(.+)$`, 'i'),
      (m) => {
        const { rest, lid } = takeLid(matchAt(m, 2).replace(UNDER_FAT, ''));
        return fine({
          do: 'cook',
          heat: matchAt(m, 1).toLowerCase() as Heat,
          time: rest.replace(/^,?\s*for\s+/i, '').trim(),
          lid,
          ...(UNDER_FAT.test(matchAt(m, 2)) ? { underFat: true } : {}),
        });
      },
    ],
  ],
  everyday: [
    {
      form: '[let] [it] [leave to] (simmer|boil|cook|stew|poach|braise|bubble|tremble|barely simmer|bare simmer|brisk boil|hard boil|rolling boil|wide pan|boil hard|boil fast|simmer very gently) [,] [(gently|slowly|very gently|softly|hard|briskly)] [,] [(covered|uncovered|half covered|partly covered|lid on|lid off|lid ajar|open|with the lid on|with a lid on|with the lid off|without a lid|with the lid ajar|under paper)] [,] [for] <time> [(gently|slowly|hard)] [,] [(covered|uncovered|half covered|partly covered|lid on|lid off|lid ajar|open|with the lid on|with a lid on|with the lid off|without a lid|with the lid ajar|under paper)]',
      means: ({ said, time }) => ({ do: 'cook', heat: heatSaid(said), time, lid: lidSaid(said) }),
    },
    {
      form: '[for] <time> (at|on) a (bare simmer|simmer|boil|brisk boil|hard boil|gentle simmer) [,] [(covered|uncovered|half covered|partly covered|lid on|lid off|lid ajar|open|with the lid on|with a lid on|with the lid off|without a lid|with the lid ajar|under paper)]',
      means: ({ said, time }) => ({ do: 'cook', heat: heatSaid(said), time, lid: lidSaid(said) }),
    },
    {
      form: '[let] [it] (simmer|boil|cook|stew|poach|braise) [gently] [covered] [until (done|tender|soft|cooked)]',
      means: ({ said }) =>
        asks('For how long?', ...['20 min', '1 h', '4 h'].map((t) => `${heatSaid(said)} ${t}`)),
    },
  ],
  turn: 'in turn',
  resolve: (step, shelf) =>
    then(valueIn(shelf, 'time', step.time, 'time'), (hours) => ({
      do: 'cook',
      heat: step.heat,
      hours,
      lid: step.lid,
      underFat: step.underFat,
    })),
  run(pot, step, c, report) {
    if (!(step.hours > 0 && step.hours <= LONGEST_H))
      return trouble(
        'time-out-of-range',
        `${step.heat} for ${step.hours.toFixed(1)} h: a step on the heat lasts above 0 and at most ${LONGEST_H} h.`,
        step.hours,
        LONGEST_H,
      );
    if (liquidG(pot.liquid) + piecesG(pot) === 0)
      return trouble('empty', `${step.heat}: the pot is empty.`, 0, 0);
    const open = fireOf(c, step.heat, step.lid, pot.vessel);
    if (step.underFat && open.celsius > c.heats.simmer.celsius)
      return trouble(
        'fat-layer-broken',
        `${step.heat} under its fat: above ${c.heats.simmer.celsius.toFixed(0)} °C the layer breaks; ${step.heat} is ${open.celsius.toFixed(0)} °C.`,
        open.celsius,
        c.heats.simmer.celsius,
      );
    const fire = step.underFat ? { ...open, rate: open.rate * c.factors.fatLayer } : open;
    report.fries = fries(pot);
    report.upHours = bringTo(pot, c, fire.celsius);
    report.dryAfterHours = heatForHours(pot, c, fire, step.hours);
    report.heatHours = step.hours;
    return undefined;
  },
  scale: asItIs,
  hands: usually('cook'),
  warns: (pot, step, c, report) => [
    ...(report.fries ? [] : uncovered(pot, step.lid)),
    ...(report.fries ? [] : clouded(pot, step.heat, step.hours, c)),
    ...(report.fries ? [] : boiledDry('Cook', report)),
    ...burnerLimits(pot, step.heat, step.lid, c),
  ],
  heats: true,
  seasons: false,
  filling: 'no',
  caution: nothing,
  mark: 'hot',
};
