import type { z } from 'zod';
import type { Doing, Matter } from '../../pot';
import { asks, matchAt, findMatter } from '../../said';
import { doing, idsOfMatter, Of, Typed } from '../../written';
import { add } from './add';
import { matterOf, then } from '../resolving';
import { noWarnings, nothing, usually, type Verb } from '../verb';

const ToTaste = doing('to taste', {
  of: Of,
  usual: Typed.describe('what it usually comes to: to taste still costs something'),
});
type Written = z.infer<typeof ToTaste>;

export interface ToTasteStep extends Doing {
  readonly do: 'to taste';
  readonly what: Matter;
  readonly g: number;
}

/** What goes in by the spoon until it tastes right, with what that usually comes to. */
export const toTaste: Verb<Written, ToTasteStep> = {
  written: [ToTaste],
  ids: (step, each) => ({ ...step, of: idsOfMatter(step.of, each) }),
  takes: (step) => step.of,
  parts: nothing,
  amount: (step) => step.usual,
  flaw: nothing,
  says: (step, name) => `${name.matter(step.of)} to taste, usually ${step.usual}`,
  reads: [
    [
      /^(.+?)\s+to taste,\s*usually\s+(.+)$/i,
      (m, names) =>
        then(findMatter(matchAt(m, 1), names), (of) => ({ do: 'to taste', of, usual: matchAt(m, 2) })),
    ],
  ],
  everyday: [
    {
      form: '(sharpen|acidulate) [it] with <amount> [of] <matter>',
      means: ({ matter, amount }) => ({ do: 'to taste', of: matter, usual: amount }),
    },
    {
      form: '[add] [(a|some)] (splash|dash|drizzle|knob|handful|glug|touch) [of] <matter>',
      means: ({ called }) =>
        asks(`How much ${called} is that?`, `20 ml ${called}`, `20 g ${called}`, `50 g ${called}`),
    },
    {
      form: '<matter> to taste [,] [(about|usually|some)] <amount>',
      means: ({ matter, amount }) => ({ do: 'to taste', of: matter, usual: amount }),
    },
    {
      form: '[(finish with|season with|sharpen with|adjust with)] <matter> to taste',
      means: ({ called }) =>
        asks(
          `How much ${called} is it usually?`,
          `${called} to taste, usually 10 ml`,
          `${called} to taste, usually 10 g`,
        ),
    },
  ],
  turn: 'before the verbs',
  resolve: (step, shelf) => then(matterOf(step.of, step.usual, shelf), (m) => ({ do: 'to taste', ...m })),
  run: (pot, step, c, report) => add.run(pot, { ...step, do: 'add' }, c, report),
  scale: (step, factor) => ({ ...step, g: step.g * factor }),
  hands: usually('to taste'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'no',
  caution: nothing,
  mark: 'in',
};
