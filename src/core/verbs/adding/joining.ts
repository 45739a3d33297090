import {
  delicate,
  heldFatShare,
  liquidG,
  MOUNTED,
  mustJoin,
  putIn,
  trouble,
  type Doing,
  type LedgerRow,
  type Matter,
  type PotVerb,
} from '../../pot';
import { amountAndName, matchAt, findMatter, type Form } from '../../said';
import { refuse, type Outcome } from '../../trouble';
import { doing, idsOfMatter, Of, Typed, type Written } from '../../written';
import { matterOf, then } from '../resolving';
import { noWarnings, nothing, usually, type Verb } from '../verb';
import * as texts from './texts';

/** Something goes in and joins the liquid: “thicken with”, “loosen with”, “mount with” … are one idea under several names. */
export interface JoinStep<Do extends string> extends Doing {
  readonly do: Do;
  readonly what: Matter;
  readonly g: number;
}
export interface WrittenJoin<Do extends string> extends Written {
  readonly do: Do;
  readonly of: Of;
  readonly amount: string;
}

/** What tells one of them from another. */
export interface Joining {
  /** As refusals name it. */
  readonly called: string;
  /** Whether the fat that comes in is held: roux, mounted butter, cream. */
  readonly holdsFat: boolean;
  /** Whether there must be liquid for it to join. */
  readonly intoLiquid: boolean;
  /** Whether the fat lets go again when it gets too hot: mounted butter. */
  readonly lets?: boolean;
  readonly seasons: boolean;
  readonly filling: PotVerb<Doing>['filling'];
}

export const joinForm = <Do extends string>(verb: Do) => doing(verb, { of: Of, amount: Typed });

/** A verb of that idea, said `VERB with AMOUNT NAME`. */
export function joining<Do extends string>(
  verb: Do,
  written: Verb<WrittenJoin<Do>, JoinStep<Do>>['written'],
  { called, holdsFat, intoLiquid, lets = false, seasons, filling }: Joining,
  everyday: readonly Form<WrittenJoin<Do>>[] = [],
): Verb<WrittenJoin<Do>, JoinStep<Do>> {
  return {
    written,
    ids: (step, each) => ({ ...step, of: idsOfMatter(step.of, each) }),
    takes: (step) => step.of,
    parts: nothing,
    amount: (step) => step.amount,
    flaw: nothing,
    says: (step, name) => `${verb} with ${step.amount} ${name.matter(step.of)}`,
    reads: [
      [
        new RegExp(`^${verb} with\\s+(.+)$`, 'i'),
        (m, names): Outcome<WrittenJoin<Do>> => {
          const match = amountAndName(names).exec(matchAt(m, 1));
          if (!match)
            return refuse('not-understood', '', texts.needsAmountAndName(String(verb), matchAt(m, 1)));
          const of = findMatter(matchAt(match, 2), names);
          return then(of, (value) => ({ do: verb, of: value, amount: matchAt(match, 1) }));
        },
      ],
    ],
    everyday,
    turn: 'in turn',
    resolve: (step, shelf) => then(matterOf(step.of, step.amount, shelf), (m) => ({ do: verb, ...m })),
    run(pot, step, c, report) {
      const cannot = mustJoin(called, step.what, step.g);
      if (cannot) return cannot;
      if (intoLiquid && liquidG(pot.liquid) === 0)
        return trouble('empty', `${called}: there is no liquid in the pot.`, 0, 0);
      putIn(pot, step.what, step.g, c, report, holdsFat);
      if (lets && heldFatShare(pot) > 0) {
        const { butterSauceC, butterSauceShare, mountedC } = c.delicate;
        delicate(pot.liquid, heldFatShare(pot) > butterSauceShare ? butterSauceC : mountedC, MOUNTED);
      }
      return undefined;
    },
    scale: (step, factor) => ({ ...step, g: step.g * factor }),
    hands: usually(verb),
    warns: noWarnings,
    heats: false,
    seasons,
    filling,
    caution: nothing as (row: LedgerRow) => undefined,
    mark: 'in',
  };
}
