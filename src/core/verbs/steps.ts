import { z } from 'zod';
import type { LedgerRow, PotOf, ProcessConstants, Hob, Scaled, TracedRun, Vessel, PotRun } from '../pot';
import {
  runPotFromWith,
  runPotWith,
  scaleByWith,
  scaledStepsWith,
  scaleToWith,
  vesselsForWith,
} from '../pot';
import { readAmountOf } from '../quantity';
import { writeStepWith, type Names } from '../said';
import { fine, refuse, under, type Outcome } from '../trouble';
import { Unread, type Beside, type EachId, type Of } from '../written';
import type { Shelf } from './shelf';
import { readStep } from './understand';
import {
  VERBS,
  verbCalled,
  verbOf,
  type PotDoing,
  type PotStep,
  type WrittenDoing,
  type WrittenStep as Step,
} from './table';
import * as texts from './texts';

/**
 * The forms of one verb as a single schema. Zod finds an object's verb by itself; of several forms it has to be told which
 * verb all of them are of.
 */
function formsOf(verb: string, forms: readonly z.ZodType<Step>[]): z.ZodType<Step> {
  const [only, ...others] = forms;
  if (only && others.length === 0) return only;
  const several = z.union(forms as [z.ZodType<Step>, ...z.ZodType<Step>[]]);
  several._zod.propValues = { do: new Set([verb]) };
  return several;
}

/**
 * The schema of a step: every verb's forms, and a line nobody could read. Chosen by the verb: trying one form after the other
 * took two thirds of the time in which a kitchen is read.
 */
export const WrittenStep = z.discriminatedUnion('do', [
  ...Object.entries(VERBS).map(([verb, { written }]) => formsOf(verb, written)),
  Unread,
] as unknown as [z.core.$ZodTypeDiscriminable<'do'>]) as unknown as z.ZodType<Step>;
export type WrittenStep = Step;

/** A recipe ready to be run. */
export type Pot = PotOf<PotDoing>;

export const runPot = (pot: Pot, c: ProcessConstants): PotRun => runPotWith(VERBS, pot, c);
/** A pot whose steps are known, gone on with from an earlier run of most of them. */
export const runPotFrom = (pot: Pot, c: ProcessConstants, before?: PotTrace): PotTrace =>
  runPotFromWith(VERBS, pot, c, before);
export type PotTrace = TracedRun<PotDoing>;
export const scaledSteps = (steps: readonly PotStep[], factor: number): PotStep[] =>
  scaledStepsWith(VERBS, steps, factor);
export const scaleTo = (
  pot: Pot,
  ml: number,
  c: ProcessConstants,
  vessel?: Vessel,
  hob?: Hob,
): Outcome<Scaled> => scaleToWith(VERBS, pot, ml, c, vessel, hob);
export const scaleBy = (
  pot: Pot,
  factor: number,
  c: ProcessConstants,
  vessel?: Vessel,
  hob?: Hob,
): Outcome<Scaled> => scaleByWith(VERBS, pot, factor, c, vessel, hob);
export const vesselsFor = (
  pot: Pot,
  ml: number,
  c: ProcessConstants,
  vessels: readonly Vessel[],
  hob?: Hob,
): Scaled[] => vesselsForWith(VERBS, pot, ml, c, vessels, hob);

/** What a line comes to on a sheet: its step, or the line as it is where nobody can read it. */
export function lineOf(text: string, names: Names): Step {
  const read = readStep(text, names);
  return read.ok ? read.value : { do: 'unread', said: text.slice(0, 200) };
}
export const writeStep = (step: Step, names: Names): string =>
  writeStepWith<WrittenDoing>(VERBS, step, names);

/**
 * Turns a step as written into one the pot can run. What cannot be read becomes an `unread` step
 * that says why, so that the rest can be followed and the cost is known to be incomplete.
 */
export function resolveStep(step: Step, shelf: Shelf): PotStep {
  const resolved = tryResolve(step, shelf);
  if (resolved.ok) return resolved.value;
  return { do: 'unread', said: step.do === 'unread' ? step.said : step.do, why: resolved.trouble };
}

/** The same, with the trouble handed back instead of a flagged line. */
export function tryResolve(step: Step, shelf: Shelf): Outcome<PotDoing> {
  if (step.do === 'unread')
    return refuse('unread', '', step.said.trim() === '' ? texts.lineEmpty : texts.couldNotRead(step.said));
  const resolved = verbOf(step).resolve(step, shelf);
  if (!resolved.ok || step.hands === undefined) return resolved;
  const hands = readAmountOf(['time'], step.hands, shelf.manner);
  if (!hands.ok) return { ok: false, trouble: under('hands', hands.trouble) };
  return fine({ ...resolved.value, hands: hands.value.value });
}

/** What a step takes from elsewhere, if it takes anything: into the pot, or around a portion. */
export const ofStep = (step: Step): Of | undefined =>
  step.do === 'unread' ? undefined : verbOf(step).takes(step);

/** The name under which something parts from the pot in a step. */
export const partOfStep = (step: Step): string | undefined =>
  step.do === 'unread' ? undefined : verbOf(step).parts(step);

/** A step with every id in it put through `each`. */
export const idsOfStep = (step: Step, each: EachId): Step =>
  step.do === 'unread' ? step : verbOf(step).ids(step, each);

/** The amount a step is about, as typed; null where it states none. */
export const amountOfStep = (step: Step): string | null =>
  step.do === 'unread' ? null : verbOf(step).amount(step);

/** What is wrong with a step on its own. */
export const flawOfStep = (step: Step): ReturnType<ReturnType<typeof verbOf>['flaw']> =>
  step.do === 'unread' ? undefined : verbOf(step).flaw(step);

/** The usual caution where a step can hurt somebody: one line, or none. It never says that a process is safe. */
export const cautionFor = (row: LedgerRow, before: LedgerRow | undefined): string | undefined =>
  verbCalled(row.do)?.caution(row, before);

/** What a verb does to the pot, for its mark beside the step: something comes in, it is hot, it leaves. */
export const markOf = (word: string): 'in' | 'hot' | 'out' | 'unread' => verbCalled(word)?.mark ?? 'unread';

/** What stands beside a step rather than in its words: its own id, its note, whether and when it is done. */
export const besideOf = ({ id, note, off, way }: Step): Beside => ({
  ...(id === undefined ? {} : { id }),
  ...(note === undefined ? {} : { note }),
  ...(off === undefined ? {} : { off }),
  ...(way === undefined ? {} : { way }),
});
