import type { Outcome } from '../trouble';
import type { Written } from '../written';
import type { Form } from './forms';
import type { Namer, Names } from './names';

/** One form a step is said in, and the step it means. A form may depend on the kitchen's own words. */
export type Rule<W extends Written> = readonly [
  form: RegExp | ((names: Names) => RegExp),
  means: (m: RegExpExecArray, names: Names) => Outcome<W>,
];

/** What the language asks of a verb. `writeStep` of every step must read back as that step. */
export interface SaidVerb<W extends Written> {
  /** The words for it, hands apart. */
  says(step: W, name: Namer): string;
  /** The forms it is understood in, tried in order. */
  readonly reads: readonly Rule<W>[];
  /** Everyday ways to say it, beside the one it is written back in. */
  readonly everyday: readonly Form<W>[];
  /**
   * When its forms are tried: most begin with a word of their own and are tried in turn; one that begins with a name comes
   * before them (“brown crab to taste” browns nothing), a bare amount and name after them.
   */
  readonly turn: 'before the verbs' | 'in turn' | 'after the verbs';
}

/** A verb for every kind of step that can be said. */
export type SaidTable<W extends Written> = {
  readonly [Do in W['do']]: SaidVerb<Extract<W, { readonly do: Do }>>;
};

const TURNS: readonly SaidVerb<Written>['turn'][] = ['before the verbs', 'in turn', 'after the verbs'];

const ordered = new WeakMap<object, readonly Rule<Written>[]>();

/** All forms of a table in the order in which they are tried. */
export function rulesOf<W extends Written>(verbs: SaidTable<W>): readonly Rule<W>[] {
  const known = ordered.get(verbs);
  if (known) return known as readonly Rule<W>[];
  const all = Object.values<SaidVerb<W>>(verbs);
  const rules = TURNS.flatMap((turn) => all.filter((v) => v.turn === turn).flatMap((v) => v.reads));
  ordered.set(verbs, rules as readonly Rule<Written>[]);
  return rules;
}
