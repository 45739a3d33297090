import type { z } from 'zod';
import {
  bindingGPerL,
  bringTo,
  fireOf,
  heatForHours,
  liquidG,
  LONGEST_H,
  loseShare,
  pieceG,
  putIn,
  trouble,
  type Doing,
  type Matter,
  type PotState,
  type ProcessConstants,
  type StepReport,
} from '../../pot';
import { amountAndName, asks, matchAt, findMatter } from '../../said';
import { refuse } from '../../trouble';
import { doing, idsOfMatter, Of, Typed } from '../../written';
import { matterOf, maybeIn, then } from '../resolving';
import { noWarnings, nothing, usually, type Verb } from '../verb';
import * as texts from './texts';

const Clarify = doing('clarify', { of: Of, amount: Typed, time: Typed.optional() }).describe(
  'with a raft of egg white or minced meat, which sets, catches what clouds and is lifted off',
);
type Written = z.infer<typeof Clarify>;

export interface ClarifyStep extends Doing {
  readonly do: 'clarify';
  readonly what: Matter;
  readonly g: number;
  /** At a bare simmer; the usual time where it does not say. */
  readonly hours?: number | undefined;
}

/** What sets of a raft that goes in as a liquid, g per g: its protein. */
const sets = (what: Matter): number =>
  what.is === 'stuff' && what.stuff.role === 'liquid' ? what.stuff.parts.rest : 0;

/** Lifts off what the raft has caught: itself, all pieces, most of the floating fat and of the pulp, and the liquid it keeps. */
function liftRaft(pot: PotState, solidG: number, c: ProcessConstants, report: StepReport): void {
  const { liquid } = pot;
  const pieces = pot.pieces.reduce((g, p) => g + pieceG(p), 0);
  const solid = Math.min(solidG, liquid.rest - liquid.pulp);
  const pulp = liquid.pulp * c.clarify.pulpCaught;
  liquid.rest -= solid + pulp;
  liquid.pulp -= pulp;
  pot.pieces = [];
  pot.inStrainer = undefined;
  pot.lost['solids discarded'] += pieces + solid + pulp;
  const fat = liquid.freeFat * c.clarify.fatCaught;
  liquid.freeFat -= fat;
  pot.lost['fat lifted'] += fat;
  loseShare(pot, c.clarify.held, 'held in solids', report);
}

/** Clarifies: a raft goes in cold, is brought slowly to a bare simmer, sets, and takes with it what clouds. */
export const clarify: Verb<Written, ClarifyStep> = {
  written: [Clarify],
  ids: (step, each) => ({ ...step, of: idsOfMatter(step.of, each) }),
  takes: (step) => step.of,
  parts: nothing,
  amount: (step) => step.amount,
  flaw: nothing,
  says: (step, name) =>
    `clarify with ${step.amount} ${name.matter(step.of)}${step.time ? `, takes ${step.time}` : ''}`,
  reads: [
    [
      /^clarify with\s+(.+?)(?:,\s*takes\s+([^,]+))?$/i,
      (m, names) => {
        const match = amountAndName(names).exec(matchAt(m, 1));
        if (!match) return refuse('not-understood', '', texts.clarifyNeedsAmountName(matchAt(m, 1)));
        return then(findMatter(matchAt(match, 2), names), (of) => ({
          do: 'clarify',
          of,
          amount: matchAt(match, 1),
          ...(matchAt(m, 2) === '' ? {} : { time: matchAt(m, 2) }),
        }));
      },
    ],
  ],
  everyday: [
    {
      form: '(clarify|clear|clear it|fine) [it] [(with|using)] [(a raft of|the raft of)] <amount> [of] <matter> [,] [(for|takes)] [<time>]',
      means: ({ matter, amount, time }) => ({
        do: 'clarify',
        of: matter,
        amount,
        ...(time === undefined ? {} : { time }),
      }),
    },
    {
      form: '(clarify|clear) [it] [with <matter>]',
      means: ({ called = 'egg white' }) =>
        asks('With how much of what?', `clarify with 200 g ${called}`, `clarify with 60 g ${called}`),
    },
  ],
  turn: 'in turn',
  resolve(step, shelf) {
    const matter = matterOf(step.of, step.amount, shelf);
    if (!matter.ok) return matter;
    return then(maybeIn(shelf, 'time', step.time, 'time'), (hours) => ({
      do: 'clarify',
      ...matter.value,
      hours,
    }));
  },
  run(pot, step, c, report) {
    const hours = step.hours ?? c.clarify.hours;
    if (liquidG(pot.liquid) === 0) return trouble('empty', 'Clarify: there is no liquid in the pot.', 0, 0);
    if (!(step.g > 0))
      return trouble('nothing-added', 'Clarify needs more than 0 g of something that sets.', step.g, 0);
    if (!(hours > 0 && hours <= LONGEST_H))
      return trouble(
        'time-out-of-range',
        `Clarify for ${hours.toFixed(1)} h: above 0 and at most ${LONGEST_H} h.`,
        hours,
        LONGEST_H,
      );
    const binds = bindingGPerL(pot);
    if (binds > c.bands.soup.low)
      return trouble(
        'bound-cannot-clear',
        `Clarify: it is bound with ${binds.toFixed(0)} g of flour or starch a litre; above ${c.bands.soup.low.toFixed(0)} it does not clear.`,
        binds,
        c.bands.soup.low,
      );
    const { curdlesAt, curdler } = pot.liquid;
    putIn(pot, step.what, step.g, c, report);
    // A raft is meant to set in the heat: only what was delicate before it still is.
    Object.assign(pot.liquid, { curdlesAt, curdler });
    const fire = fireOf(c, 'bare simmer', 'off', pot.vessel);
    report.upHours = bringTo(pot, c, fire.celsius);
    heatForHours(pot, c, fire, hours);
    report.heatHours = hours;
    liftRaft(pot, sets(step.what) * step.g, c, report);
    return undefined;
  },
  scale: (step, factor) => ({ ...step, g: step.g * factor }),
  hands: usually('clarify'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'ends',
  caution: nothing,
  mark: 'hot',
};
