import type { z } from 'zod';
import { kilos, putIn, trouble, type Doing, type Matter } from '../../pot';
import { amountAndName, asks, matchAt, findMatter } from '../../said';
import { doing, idsOfMatter, Of, Typed } from '../../written';
import { matterOf, then } from '../resolving';
import { noWarnings, nothing, usually, type Verb } from '../verb';

const Add = doing('add', { of: Of, amount: Typed });
type Written = z.infer<typeof Add>;

export interface AddStep extends Doing {
  readonly do: 'add';
  readonly what: Matter;
  readonly g: number;
}

/** Something goes in as it is: a bare amount and a name. */
export const add: Verb<Written, AddStep> = {
  written: [Add],
  ids: (step, each) => ({ ...step, of: idsOfMatter(step.of, each) }),
  takes: (step) => step.of,
  parts: nothing,
  amount: (step) => step.amount,
  flaw: nothing,
  says: (step, name) => `${step.amount} ${name.matter(step.of)}`,
  reads: [
    [
      amountAndName,
      (m, names) =>
        then(findMatter(matchAt(m, 2), names), (of) => ({ do: 'add', of, amount: matchAt(m, 1) })),
    ],
  ],
  everyday: [
    {
      form: '[add] <number> <matter> cloves',
      means: ({ matter, number }) => ({ do: 'add', of: matter, amount: `${number} cloves` }),
    },
    {
      form: '[(add|put in|throw in|stir in|tip in|pour in|mix in|in goes|in go|fold in)] [another] <amount> [of] <matter> [(in|to the pot)]',
      means: ({ matter, amount }) => ({ do: 'add', of: matter, amount }),
    },
    {
      form: '(top up|fill up|moisten|cover) with <litres> [of] <matter>',
      means: ({ matter, litres }) => ({ do: 'add', of: matter, amount: litres }),
    },
    {
      form: '[add] <matter> [,] <amount>',
      means: ({ matter, amount }) => ({ do: 'add', of: matter, amount }),
    },
    {
      form: '(add|put in|throw in|stir in|pour in|tip in) [the] <matter>',
      means: ({ called }) =>
        asks(`How much ${called}?`, `500 g ${called}`, `1 l ${called}`, `1 each ${called}`),
    },
    {
      form: '[add] [the] (rest of|half) [the] <matter>',
      means: ({ called }) => asks(`How much ${called} is that?`, `500 g ${called}`, `1 l ${called}`),
    },
  ],
  turn: 'after the verbs',
  resolve: (step, shelf) => then(matterOf(step.of, step.amount, shelf), (m) => ({ do: 'add', ...m })),
  run(pot, step, c, report) {
    if (!(step.g > 0))
      return trouble('nothing-added', `Add needs more than 0 g; ${kilos(step.g)} was asked for.`, step.g, 0);
    putIn(pot, step.what, step.g, c, report);
    return undefined;
  },
  scale: (step, factor) => ({ ...step, g: step.g * factor }),
  hands: usually('add'),
  warns: noWarnings,
  heats: false,
  seasons: false,
  filling: 'adds',
  caution: nothing,
  mark: 'in',
};
