import type { z } from 'zod';
import { liquidG, noLiquid, percent, pourShare, scaleLiquid, trouble, type Doing } from '../../pot';
import { matchAt } from '../../said';
import { fine } from '../../trouble';
import { doing, Typed } from '../../written';
import { then, valueIn } from '../resolving';
import { asItIs, noWarnings, nothing, usually, type Verb } from '../verb';

const SecondPass = doing('second pass', {
  back: Typed.describe('share of what the sieve kept that comes back'),
});
type Written = z.infer<typeof SecondPass>;

export interface SecondPassStep extends Doing {
  readonly do: 'second pass';
  readonly share: number;
}

/** What the last sieve kept goes through again: a share of it comes back as it was. */
export const secondPass: Verb<Written, SecondPassStep> = {
  written: [SecondPass],
  ids: asItIs,
  takes: nothing,
  parts: nothing,
  amount: (step) => step.back,
  flaw: nothing,
  says: (step) => `second pass, ${step.back} back`,
  reads: [[/^second pass,\s*(.+?)\s+back$/i, (m) => fine({ do: 'second pass', back: matchAt(m, 1) })]],
  everyday: [],
  turn: 'in turn',
  resolve: (step, shelf) =>
    then(valueIn(shelf, 'share', step.back, 'back'), (share) => ({ do: 'second pass', share })),
  run(pot, step, _c, report) {
    const kept = pot.inSieve;
    if (!kept || liquidG(kept) <= 0)
      return trouble('nothing-in-sieve', 'Second pass: no sieve has kept anything of this pot.', 0, 0);
    if (!(step.share > 0 && step.share <= 1))
      return trouble(
        'share-out-of-range',
        `Second pass: ${percent(step.share * 100)} of what the sieve kept cannot come back: above 0 and at most 100 %.`,
        step.share * 100,
        100,
      );
    const back = noLiquid();
    pourShare(back, kept, step.share);
    pourShare(pot.liquid, back, 1);
    pot.lost['left in the sieve'] -= liquidG(back);
    scaleLiquid(kept, 1 - step.share);
    report.shares.push({ loss: 'left in the sieve', share: -step.share });
    return undefined;
  },
  scale: asItIs,
  hands: usually('second pass'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'no',
  caution: nothing,
  mark: 'in',
};
