import type { z } from 'zod';
import { loseMl, mustBeFree, wallCling, type Doing, type Hob, type Vessel } from '../../pot';
import { matchAt } from '../../said';
import { doing, Id } from '../../written';
import { pouringHot } from '../cautions';
import { standIn, then } from '../resolving';
import { standSaid, standWords } from '../stand-words';
import { asItIs, noAmount, noWarnings, nothing, usually, type Verb } from '../verb';

const Into = doing('into', { vessel: Id, hob: Id });
type Written = z.infer<typeof Into>;

export interface IntoStep extends Doing {
  readonly do: 'into';
  readonly vessel: Vessel;
  readonly hob: Hob;
  /** ml left on the old wall, where somebody has measured it. */
  readonly clingMl?: number | undefined;
}

/** Pours everything into another vessel. What clings to the old wall goes by its wetted area. */
export const into: Verb<Written, IntoStep> = {
  written: [Into],
  ids: (step, each) => ({
    ...step,
    vessel: each('vessel', step.vessel, 'vessel'),
    hob: each('hob', step.hob, 'hob'),
  }),
  takes: nothing,
  parts: nothing,
  amount: noAmount,
  flaw: nothing,
  says: (step, name) => `into ${standWords(step, name)}`,
  reads: [
    [
      /^into\s+(.+?)(?:\s+on\s+(.+))?$/i,
      (m, names) =>
        then(standSaid(matchAt(m, 1), matchAt(m, 2), names), (stand) => ({ do: 'into', ...stand })),
    ],
  ],
  everyday: [],
  turn: 'in turn',
  resolve: (step, shelf) => then(standIn(shelf, step), (stand) => ({ do: 'into', ...stand })),
  run(pot, step, c, report) {
    const taken = pot.vessel.id === step.vessel.id ? undefined : mustBeFree('Into', pot, step.vessel);
    if (taken) return taken;
    loseMl(pot, step.clingMl ?? wallCling(pot, c), 'clung', report);
    pot.vessel = step.vessel;
    pot.hob = step.hob;
    return undefined;
  },
  scale: asItIs,
  hands: usually('into'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'no',
  caution: pouringHot,
  mark: 'out',
};
