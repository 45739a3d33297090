import { z } from 'zod';
import {
  bookLoss,
  liquidG,
  liquidMl,
  litres,
  scaleLiquid,
  scaleUnderFat,
  trouble,
  type Doing,
} from '../../pot';
import { DENSITY } from '../../quantity';
import { matchAt } from '../../said';
import { fine } from '../../trouble';
import { doing, Typed } from '../../written';
import { then, valueIn } from '../resolving';
import { asItIs, noWarnings, nothing, usually, type Verb } from '../verb';

const Skim = doing('skim', { amount: Typed, from: z.enum(['body', 'surface']) });
/** What one skimming takes, where nobody says how much: a ladle. */
const USUALLY = '100 ml';

type Written = z.infer<typeof Skim>;

export interface SkimStep extends Doing {
  readonly do: 'skim';
  readonly ml: number;
  readonly from: 'body' | 'surface';
}

/**
 * Skims some ml off the body of the liquid (a share of everything), or off the surface: floating
 * fat first, each gram taking `skimDrag` g of the rest with it, and what is left to skim from below.
 */
export const skim: Verb<Written, SkimStep> = {
  written: [Skim],
  ids: asItIs,
  takes: nothing,
  parts: nothing,
  amount: (step) => step.amount,
  flaw: nothing,
  says: (step) => `skim ${step.amount}${step.from === 'surface' ? ' off the surface' : ''}`,
  reads: [
    [
      /^skim\s+(.+?)(\s+off the surface)?$/i,
      (m) => fine({ do: 'skim', amount: matchAt(m, 1), from: m[2] ? 'surface' : 'body' }),
    ],
  ],
  everyday: [
    {
      form: 'skim [(well|off|it|the pot|the scum|the foam|the froth|off the scum|off the foam|off the froth|the surface|the stock|any scum)] [(well|off)]',
      means: () => ({ do: 'skim', amount: USUALLY, from: 'surface' }),
    },
    {
      form: 'skim [off] <litres> [(off the surface|off the top|of scum)]',
      means: ({ litres, said }) => ({
        do: 'skim',
        amount: litres,
        from: said.includes('surface') || said.includes('top') ? 'surface' : 'body',
      }),
    },
    {
      form: '(take|lift|spoon) off the (scum|foam|froth)',
      means: () => ({ do: 'skim', amount: USUALLY, from: 'surface' }),
    },
  ],
  turn: 'in turn',
  resolve: (step, shelf) =>
    then(valueIn(shelf, 'volume', step.amount, 'amount'), (ml) => ({ do: 'skim', ml, from: step.from })),
  run(pot, step, c, report) {
    const there = liquidMl(pot.liquid);
    if (!(step.ml > 0))
      return trouble(
        'nothing-skimmed',
        `Skim needs more than 0 ml; ${step.ml} ml was asked for.`,
        step.ml,
        0,
      );
    if (step.ml >= there)
      return trouble(
        'skim-too-much',
        `Skim ${litres(step.ml)}: there are only ${litres(there)} of liquid in the pot.`,
        step.ml,
        there,
      );
    const before = liquidG(pot.liquid);
    if (step.from === 'body') {
      const share = step.ml / there;
      bookLoss(pot, report, 'skimmed', share);
      scaleLiquid(pot.liquid, 1 - share);
    } else {
      const underG = before - pot.liquid.freeFat;
      const underMl = there - pot.liquid.freeFat / DENSITY.fat;
      // Nothing but fat has nothing to drag along.
      const mlPerFatG = 1 / DENSITY.fat + (underG > 0 ? (c.skimDrag * underMl) / underG : 0);
      const fat = Math.min(pot.liquid.freeFat, step.ml / mlPerFatG);
      const restMl = step.ml - fat / DENSITY.fat;
      const share = underMl > 0 ? Math.min(1, restMl / underMl) : 0;
      bookLoss(pot, report, 'skimmed', share);
      scaleUnderFat(pot.liquid, 1 - share);
      pot.liquid.freeFat -= fat;
    }
    pot.lost.skimmed += before - liquidG(pot.liquid);
    return undefined;
  },
  scale: (step, factor) => ({ ...step, ml: step.ml * factor }),
  hands: usually('skim'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'no',
  caution: nothing,
  mark: 'out',
};
