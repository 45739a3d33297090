import type { z } from 'zod';
import { asideIn, notAside, standingOf, type Doing, type Vessel } from '../../pot';
import { matchAt, findNamed } from '../../said';
import { doing, Id } from '../../written';
import { then, vesselIn } from '../resolving';
import { asItIs, noAmount, noWarnings, nothing, type Verb } from '../verb';

const TurnTo = doing('turn to', { vessel: Id }).describe('goes on in a vessel that stands aside');
type Written = z.infer<typeof TurnTo>;

export interface TurnToStep extends Doing {
  readonly do: 'turn to';
  readonly vessel: Vessel;
}

/** Leaves the vessel at work standing and goes on in one that stands aside. */
export const turnTo: Verb<Written, TurnToStep> = {
  written: [TurnTo],
  ids: (step, each) => ({ ...step, vessel: each('vessel', step.vessel, 'vessel') }),
  takes: nothing,
  parts: nothing,
  amount: noAmount,
  flaw: nothing,
  says: (step, name) => `turn to ${name.vessel(step.vessel)}`,
  reads: [
    [
      /^turn to\s+(?:the\s+)?(.+)$/i,
      (m, names) =>
        then(findNamed(matchAt(m, 1), names.vessels, 'vessel', 'taken'), ({ id }) => ({
          do: 'turn to',
          vessel: id,
        })),
    ],
  ],
  everyday: [],
  turn: 'in turn',
  resolve: (step, shelf) => then(vesselIn(shelf, step.vessel), (vessel) => ({ do: 'turn to', vessel })),
  run(pot, step) {
    const next = asideIn(pot, step.vessel);
    if (!next) return notAside('Turn to', pot, step.vessel);
    pot.aside = [...pot.aside.filter((s) => s !== next), standingOf(pot)];
    Object.assign(pot, next);
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
