import type { z } from 'zod';
import {
  asideIn,
  liquidG,
  liquidMl,
  mixedCelsius,
  notAside,
  piecesG,
  pourShare,
  wallCling,
  type Doing,
  type Vessel,
} from '../../pot';
import { matchAt, findNamed } from '../../said';
import { doing, Id } from '../../written';
import { then, vesselIn } from '../resolving';
import { asItIs, noAmount, noWarnings, nothing, usually, type Verb } from '../verb';

const Combine = doing('combine', { vessel: Id }).describe('what stands aside comes back');
type Written = z.infer<typeof Combine>;

export interface CombineStep extends Doing {
  readonly do: 'combine';
  readonly vessel: Vessel;
}

/** Pours what stands aside into the vessel at work; some of it clings to the wall it leaves. */
export const combine: Verb<Written, CombineStep> = {
  written: [Combine],
  ids: (step, each) => ({ ...step, vessel: each('vessel', step.vessel, 'vessel') }),
  takes: nothing,
  parts: nothing,
  amount: noAmount,
  flaw: nothing,
  says: (step, name) => `combine with ${name.vessel(step.vessel)}`,
  reads: [
    [
      /^combine with\s+(?:the\s+)?(.+)$/i,
      (m, names) =>
        then(findNamed(matchAt(m, 1), names.vessels, 'vessel', 'taken'), ({ id }) => ({
          do: 'combine',
          vessel: id,
        })),
    ],
  ],
  everyday: [],
  turn: 'in turn',
  resolve: (step, shelf) => then(vesselIn(shelf, step.vessel), (vessel) => ({ do: 'combine', vessel })),
  run(pot, step, c, report) {
    const other = asideIn(pot, step.vessel);
    if (!other) return notAside('Combine with', pot, step.vessel);
    pot.aside = pot.aside.filter((s) => s !== other);
    const there = liquidMl(other.liquid);
    const clung = there > 0 ? Math.min(1, wallCling(other, c) / there) : 0;
    const clungG = liquidG(other.liquid) * clung;
    const here = liquidG(pot.liquid);
    const poured = liquidG(other.liquid) - clungG;
    pot.celsius = mixedCelsius(pot, c, poured, 'liquid', other.celsius);
    pot.celsius = mixedCelsius(pot, c, piecesG(other), 'pieces', other.celsius);
    pourShare(pot.liquid, other.liquid, 1 - clung);
    pot.pieces.push(...other.pieces);
    pot.lost.clung += clungG;
    // What clings is a share of all there was, in this vessel, in that one, and wherever else some stands.
    const all = here + poured + clungG + pot.aside.reduce((g, s) => g + liquidG(s.liquid), 0);
    if (clungG > 0) report.shares.push({ loss: 'clung', share: clungG / all });
    // Anyone who combines waits for the slower of the two.
    pot.elapsedHours = Math.max(pot.elapsedHours, other.elapsedHours);
    return undefined;
  },
  scale: asItIs,
  hands: usually('combine'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'adds',
  caution: nothing,
  mark: 'in',
};
