import type { z } from 'zod';
import { WATER } from '../../larder';
import { liquidMl, putIn, trouble, type Doing } from '../../pot';
import { DENSITY } from '../../quantity';
import { fine } from '../../trouble';
import { doing } from '../../written';
import { asItIs, noAmount, noWarnings, nothing, usually, type Verb } from '../verb';

const TopUp = doing('top up', {}).describe('to the litres before the heat');
type Written = z.infer<typeof TopUp>;

export interface TopUpStep extends Doing {
  readonly do: 'top up';
}

/** Water up to the litres it held before it was put on the heat. */
export const topUp: Verb<Written, TopUpStep> = {
  written: [TopUp],
  ids: asItIs,
  takes: nothing,
  parts: nothing,
  amount: noAmount,
  flaw: nothing,
  says: () => 'top up',
  reads: [[/^top up$/i, () => fine({ do: 'top up' })]],
  everyday: [
    {
      form: '(top up|fill up) [again] [with water] [(again|to where it was|to the same level|to the mark)]',
      means: () => ({ do: 'top up' }),
    },
  ],
  turn: 'in turn',
  resolve: () => fine({ do: 'top up' }),
  run(pot, _step, c, report) {
    const before = pot.beforeHeatMl;
    if (before === undefined)
      return trouble(
        'nothing-to-top-up',
        'Top up: the pot has not been on the heat, so nothing has boiled away.',
        0,
        0,
      );
    const now = liquidMl(pot.liquid);
    // What pieces have given may be more than has boiled away: then there is nothing to put in.
    if (now >= before) return undefined;
    putIn(pot, { is: 'stuff', supply: 'free', stuff: WATER }, (before - now) * DENSITY.water, c, report);
    return undefined;
  },
  scale: asItIs,
  hands: usually('top up'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'adds',
  caution: nothing,
  mark: 'in',
};
