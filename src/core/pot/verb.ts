import type { Trouble } from '../trouble';
import type { ProcessConstants } from './constants';
import type { StepReport } from './report';
import type { PotState } from './state';
import type { Warning } from './warnings';

/** A step ready to be run: every amount in base units, every name resolved. `hands`: h of active work, where they are told. */
export interface Doing {
  readonly do: string;
  readonly hands?: number | undefined;
}

/** A line nobody could read, or whose amounts cannot be: it stands in its place and is passed over. */
export interface UnreadStep {
  readonly do: 'unread';
  readonly said: string;
  readonly why: Trouble;
}

/** A line that stands on the sheet and is not done: switched off, or of a way that is not taken. */
export interface LeftOutStep {
  readonly do: 'left out';
}

/** Lines that do nothing to the pot; each has its row all the same. */
export type IdleStep = UnreadStep | LeftOutStep;
export const isIdle = (step: { readonly do: string }): step is IdleStep =>
  step.do === 'unread' || step.do === 'left out';

/** What a step has under its hands: kg that came in, or else of pieces in the pot; kg in the strainer; l before or after, whichever is more. */
export interface Handled {
  readonly kg: number;
  readonly heldKg: number;
  readonly l: number;
}

/**
 * What the pot asks of a verb. The pot knows no verb by name: anyone who runs one hands it the table, so that verbs can stand
 * above what they are made of.
 */
export interface PotVerb<S extends Doing> {
  /** Does the step, in place. Returns the trouble if it cannot be done; the pot is then as it was. */
  run(pot: PotState, step: S, c: ProcessConstants, report: StepReport): Trouble | undefined;
  /** The same step for `factor` times the amount: stated masses and volumes grow; shares, levels, bands and times stay. */
  scale(step: S, factor: number): S;
  /** The usual active work of such a step, h, where it does not say: it grows with what is handled. */
  hands(step: S, c: ProcessConstants, handled: Handled): number;
  /** What a cook should know once the step is done, beyond what holds of any pot. */
  warns(pot: PotState, step: S, c: ProcessConstants, report: StepReport): Warning[];
  /** Whether it keeps the pot on the heat: what boils away in several such steps is topped up together. */
  readonly heats: boolean;
  /** Whether it seasons: what it oversalts is cured by leaving salt out. */
  readonly seasons: boolean;
  /** Whether it fills the pot, or ends a filling: where too much went in is looked for back to there. */
  readonly filling: 'adds' | 'ends' | 'no';
}

/** A verb for every kind of step there is. */
export type PotTable<S extends Doing> = {
  readonly [Do in S['do']]: PotVerb<Extract<S, { readonly do: Do }>>;
};

/** The verb of a step: the key and the step belong together, which the compiler cannot follow through a union. */
export const potVerb = <S extends Doing>(verbs: PotTable<S>, step: { readonly do: S['do'] }): PotVerb<S> =>
  verbs[step.do] as unknown as PotVerb<S>;
