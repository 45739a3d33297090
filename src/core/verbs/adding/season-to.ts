import type { z } from 'zod';
import {
  liquidG,
  nameOf,
  percent,
  putIn,
  saltPct,
  saltShare,
  trouble,
  type Doing,
  type Matter,
} from '../../pot';
import { asks, matchAt, findMatter } from '../../said';
import { doing, idsOfMatter, Of, Typed } from '../../written';
import { then, thingOf, valueIn } from '../resolving';
import { asItIs, noWarnings, nothing, usually, type Verb } from '../verb';

const SeasonTo = doing('season to', { of: Of, salt: Typed });
type Written = z.infer<typeof SeasonTo>;

export interface SeasonToStep extends Doing {
  readonly do: 'season to';
  readonly what: Matter;
  readonly saltPct: number;
}

/** Seasons to a salt share of the liquid's mass; the seasoning's own mass counts. */
export const seasonTo: Verb<Written, SeasonToStep> = {
  written: [SeasonTo],
  ids: (step, each) => ({ ...step, of: idsOfMatter(step.of, each) }),
  takes: (step) => step.of,
  parts: nothing,
  amount: (step) => step.salt,
  flaw: nothing,
  says: (step, name) => `season to ${step.salt} with ${name.matter(step.of)}`,
  reads: [
    [
      /^season\s+to\s+(.+?%)(?:\s+(?:salt\s*)?)?(?:with\s+(.+))?$/i,
      (m, names) =>
        then(findMatter(matchAt(m, 2) || 'salt', names), (of) => ({
          do: 'season to',
          of,
          salt: matchAt(m, 1),
        })),
    ],
  ],
  everyday: [
    {
      form: 'season [with <matter>] [to taste]',
      means: ({ called = 'salt' }) =>
        asks(
          'To how much salt?',
          `season to 0.8 % with ${called}`,
          `season to 1 % with ${called}`,
          `season with 10 g ${called}`,
        ),
    },
    {
      form: '(check|adjust|correct) [the] seasoning',
      means: () => asks('To how much salt?', 'season to 0.8 %', 'season to 1 %'),
    },
    {
      form: '[a] (pinch|pinches) of <matter>',
      means: ({ called }) => asks('A pinch is some 0.5 g.', `0.5 g ${called}`, `1 g ${called}`),
    },
  ],
  turn: 'in turn',
  resolve(step, shelf) {
    const thing = thingOf(step.of, shelf);
    if (!thing.ok) return thing;
    return then(valueIn(shelf, 'share', step.salt, 'salt'), (share) => ({
      do: 'season to',
      what: thing.value.what,
      saltPct: share * 100,
    }));
  },
  run(pot, step, c, report) {
    const mass = liquidG(pot.liquid);
    const there = saltPct(pot);
    const goal = step.saltPct / 100;
    if (mass === 0) return trouble('empty', 'Season: there is no liquid in the pot.', 0, 0);
    const saltiness = saltShare(step.what);
    if (saltiness <= goal)
      return trouble(
        'not-salty-enough',
        `Season to ${percent(step.saltPct)} with ${nameOf(step.what)}: it holds only ${percent(saltiness * 100)} salt itself.`,
        step.saltPct,
        saltiness * 100,
      );
    if (step.saltPct < there)
      return trouble(
        'already-saltier',
        `Season to ${percent(step.saltPct)} salt: the pot already holds ${percent(there)}.`,
        step.saltPct,
        there,
      );
    const g = (goal * mass - pot.liquid.salt) / (saltiness - goal);
    if (g > 0) putIn(pot, step.what, g, c, report);
    return undefined;
  },
  scale: asItIs,
  hands: usually('season to'),
  warns: noWarnings,
  heats: false,
  seasons: true,
  filling: 'no',
  caution: nothing,
  mark: 'in',
};
