import type { Doing, Handled, LedgerRow, PotVerb, ProcessConstants } from '../pot';
import type { SaidVerb } from '../said';
import type { Outcome } from '../trouble';
import type { Written, WrittenVerb } from '../written';
import type { Shelf } from './shelf';

/**
 * Everything that is to be said of a verb. One file states all of it, and nothing is left to a default: what a verb has no
 * business with it says in as many words (`nothing`, `asItIs` …), so that anyone who adds one is asked every question.
 */
export interface Verb<W extends Written, S extends Doing> extends WrittenVerb<W>, SaidVerb<W>, PotVerb<S> {
  /** The written step with every name looked up and every amount in base units. */
  resolve(step: W, shelf: Shelf): Outcome<S>;
  /** The usual caution where it can hurt somebody: one line, or none. It never says that a process is safe. */
  caution(row: LedgerRow, before: LedgerRow | undefined): string | undefined;
  /** What it does to the pot, for its mark beside the step: something comes in, it is hot, it leaves. */
  readonly mark: 'in' | 'hot' | 'out';
}

/** The answers of a verb that has no business with a question. */
export const nothing = (): undefined => undefined;
export const noAmount = (): null => null;
export const noWarnings = (): never[] => [];
export const asItIs = <T>(step: T): T => step;

/**
 * The usual hands of a kind of step out of the table of constants; throws where the table has none.
 * @param kilos which of the kilos it goes by
 */
export const usually =
  (kind: string, kilos: 'kg' | 'heldKg' = 'kg') =>
  (_step: unknown, c: ProcessConstants, handled: Handled): number => {
    const effort = c.hands[kind];
    if (effort === undefined) throw new MissingConstant(`hands_${kind.replaceAll(' ', '_')}`);
    return effort.fixed + effort.perKg * handled[kilos] + effort.perL * handled.l;
  };

/** Thrown when a verb asks for a constant that the table does not hold. */
export class MissingConstant extends Error {
  constructor(key: string) {
    super(`the table of constants has no ${key}`);
    this.name = 'MissingConstant';
  }
}
