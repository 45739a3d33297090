import { copyPot, isIdle, liquidMl, noReport, servedMl, type PotState, type ProcessConstants } from '../pot';
import type { Trouble } from '../trouble';
import { VERBS } from '../verbs';
import { boiling, beliefOf, isOnHeat, onHeat, weighted, type Belief, type OnHeat } from './evaporation';
import {
  PotFilter,
  HOUR,
  type DoubtfulReading,
  type CurvePoint,
  type RunningBatch,
  type FilterStretch,
} from './pot-filter';

/** What four out of five pots would lie between, and the middle. */
export interface Interval {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

/** Where a batch is at a moment. */
export interface BatchEstimate {
  /** Place of the line at hand; as many as there are lines when all are done. */
  readonly at: number;
  /** When it was begun, ms. */
  readonly since: number;
  /** The pot as it should stand; undefined where a line could not be done. */
  readonly pot: PotState | undefined;
  /** ml at 20 °C of what could be poured. */
  readonly ml: Interval | undefined;
  /** h that the line at hand still takes, below 0 where it is over its time; undefined where it ends when somebody says so. */
  readonly left: Interval | undefined;
  /** The pot at the end of the line at hand: what to look for. */
  readonly then: PotState | undefined;
  /** What has been learned of how fast it boils away under this heat. */
  readonly boils: Belief | undefined;
  readonly asked: readonly DoubtfulReading[];
  readonly curve: readonly CurvePoint[];
  /** The line at hand as the model has it without any reading: h since the batch began, and ml. */
  readonly foretold: readonly (readonly [number, number])[];
  readonly trouble: { readonly line: number; readonly trouble: Trouble } | undefined;
}

/** 10 and 90 % points of a normal distribution, in standard deviations; three points that stand for one, and what each weighs. */
const Z80 = 1.2816;
const THREE = [
  [-1.2247, 0.3],
  [0, 0.4],
  [1.2247, 0.3],
] as const;
/** Points of the curve that is drawn. */
const DRAWN = 24;

const span = (values: readonly { value: number; weight: number }[]): Interval => ({
  low: weighted(values, 0.1),
  middle: weighted(values, 0.5),
  high: weighted(values, 0.9),
});

/** A reduction taken on from a pot that may have been on the heat for a while: what is left of a share is of what was there at first. */
const goalOf = (step: OnHeat, startMl: number): OnHeat =>
  step.do === 'reduce' && step.to.until === 'share'
    ? { ...step, to: { until: 'ml', value: step.to.value * startMl } }
    : step;

/** Runs a pot on to the end of a reduction; its hours, 0 where it is there already, undefined where it never gets there. */
function reduceOn(pot: PotState, step: OnHeat, c: ProcessConstants): number | undefined {
  const report = noReport();
  const cannot = VERBS[step.do].run(pot, step as never, c, report);
  if (cannot) return cannot.code === 'already-there' || cannot.code === 'reduce-to-more' ? 0 : undefined;
  return (report.upHours ?? 0) + report.heatHours;
}

/** What is left of the line at hand, and the pot at its end. */
function ahead(
  follow: PotFilter,
  step: OnHeat,
  stretch: FilterStretch,
  start: PotState,
  elapsed: number,
): Pick<BatchEstimate, 'left' | 'then'> {
  const hours = step.do === 'cook' ? step.hours : step.to.until === 'hours' ? step.to.value : undefined;
  const times = Math.exp(beliefOf(stretch.speeds).mu);
  const c = boiling(follow.c, step.heat, times);
  if (hours !== undefined) {
    const left = stretch.upHours + hours - elapsed;
    const then = left > 0 ? onHeat(follow.pot, c, step, [left]).at[0] : follow.pot;
    return { left: { low: left, middle: left, high: left }, then };
  }
  const startMl = liquidMl(start.liquid);
  const found: { value: number; weight: number }[] = [];
  for (const [k, { times: t, weight }] of stretch.speeds.entries()) {
    if (weight < 1e-4) continue;
    for (const [z, share] of THREE) {
      const pot = copyPot(stretch.ends[k] as PotState);
      const off = (stretch.offG[k] ?? 0) + z * stretch.offSd;
      pot.liquid.water = Math.max(0, pot.liquid.water + off);
      const value = reduceOn(pot, goalOf(step, startMl + off), boiling(follow.c, step.heat, t));
      if (value !== undefined) found.push({ value, weight: weight * share });
    }
  }
  const then = copyPot(follow.pot);
  const reached = reduceOn(then, goalOf(step, startMl), c) !== undefined;
  return { left: found.length > 0 ? span(found) : undefined, then: reached ? then : undefined };
}

/** The line at hand as the model has it from its beginning, till its end or now. */
function foretold(
  follow: PotFilter,
  step: OnHeat,
  start: PotState,
  since: number,
  now: number,
): BatchEstimate['foretold'] {
  const whole = copyPot(start);
  const planned =
    step.do === 'cook' ? undefined : reduceOn(whole, goalOf(step, liquidMl(start.liquid)), follow.c);
  const elapsed = (now - since) / HOUR;
  const until = Math.max(elapsed, planned ?? (step.do === 'cook' ? step.hours : 0), 0.05);
  const hours = Array.from({ length: DRAWN + 1 }, (_, i) => (i / DRAWN) * until);
  const from = follow.hours(since);
  return onHeat(start, follow.c, step, hours).at.map((pot, i) => [
    from + (hours[i] ?? 0),
    liquidMl(pot.liquid),
  ]);
}

/** A batch as far as it has been followed. */
interface Followed {
  readonly follow: PotFilter;
  readonly at: number;
  readonly since: number;
  readonly trouble: Trouble | undefined;
  /** ml of what was in it, pieces and all, after each line that is done. */
  readonly after: readonly number[];
}

/** A batch followed through its lines that are done. */
export function runDoneLines(of: RunningBatch, constants: ProcessConstants): Followed {
  const follow = new PotFilter(of, constants);
  let since = of.startedAt;
  const after: number[] = [];
  for (const [at, id] of of.lines.entries()) {
    const done = follow.heard.done.get(id);
    if (done === undefined) return { follow, at, since, trouble: undefined, after };
    const step = of.pot.steps[at];
    const until = Math.max(since, done);
    if (step && !isIdle(step)) {
      if (isOnHeat(step)) follow.heats(step, since, until);
      else {
        follow.dependsOn(since, until);
        const trouble = follow.do(step);
        if (trouble) return { follow, at, since, trouble, after };
      }
    }
    since = until;
    after.push(servedMl(follow.pot));
  }
  return { follow, at: of.lines.length, since, trouble: undefined, after };
}

const gaveOf = ({ gave, gaveSd }: PotFilter) =>
  gave === undefined ? undefined : { times: gave, sd: gaveSd };

/** The pot of a batch when all that was told has been done, and what went in; no pot where a line could not be done. */
export function potOfBatch(
  of: RunningBatch,
  constants: ProcessConstants,
): Pick<Followed, 'after'> & {
  readonly pot: PotState | undefined;
  readonly inputs: PotFilter['inputs'];
  /** In times of what is said of them, and its standard deviation. */
  readonly gave: { readonly times: number; readonly sd: number } | undefined;
} {
  const { follow: model, since, trouble, after } = runDoneLines(of, constants);
  if (trouble) return { pot: undefined, inputs: model.inputs, after, gave: gaveOf(model) };
  model.dependsOn(since, Infinity);
  return { pot: model.pot, inputs: model.inputs, after, gave: gaveOf(model) };
}

/**
 * Where a batch is: its lines done as they were told, the pot corrected by what was read, the line at hand run on to its end.
 * @param now ms since 1970
 */
export function estimateBatch(of: RunningBatch, now: number, constants: ProcessConstants): BatchEstimate {
  const { follow: model, at, since, trouble } = runDoneLines(of, constants);
  if (trouble) return stopped(model, at, since, trouble);
  const step = of.pot.steps[at];
  const common = { at, since, trouble: undefined };
  if (!step || isIdle(step) || !isOnHeat(step)) {
    model.dependsOn(since, Infinity);
    return {
      ...common,
      ...standing(model),
      left: undefined,
      then: doneTo(model, step),
      boils: undefined,
      foretold: [],
    };
  }
  const start = model.pot;
  const until = Math.max(since, now);
  const stretch = model.heats(step, since, until + 1);
  return {
    ...common,
    ...ahead(model, stretch.step, stretch, start, (until - since) / HOUR),
    boils: model.belief(stretch.step),
    foretold: foretold(model, step, start, since, until),
    ...standing(model),
  };
}

const standing = (follow: PotFilter): Pick<BatchEstimate, 'pot' | 'ml' | 'asked' | 'curve'> => {
  const ml = liquidMl(follow.pot.liquid);
  const off = follow.spreadMl * Z80;
  return {
    pot: follow.pot,
    ml: { low: Math.max(0, ml - off), middle: ml, high: ml + off },
    asked: follow.asked,
    curve: follow.curve,
  };
};

/** The pot after a line that is done at once; undefined where it cannot be done, or there is none. */
function doneTo(
  follow: PotFilter,
  step: RunningBatch['pot']['steps'][number] | undefined,
): PotState | undefined {
  if (!step || isIdle(step)) return undefined;
  const after = copyPot(follow.pot);
  return VERBS[step.do].run(after, step as never, follow.c, noReport()) ? undefined : after;
}

const stopped = (follow: PotFilter, at: number, since: number, trouble: Trouble): BatchEstimate => ({
  at,
  since,
  pot: undefined,
  ml: undefined,
  left: undefined,
  then: undefined,
  boils: undefined,
  asked: follow.asked,
  curve: follow.curve,
  foretold: [],
  trouble: { line: at, trouble },
});
