import type { Trouble } from '../../trouble';
import type { ProcessConstants } from '../constants';
import { bringTo, fireOf, heatFor, heatForHours, MINUTE_H, stretch, type Fire } from '../heat';
import { liquidMl } from '../liquid';
import { becomePot, body, copyForHeat, copyPot, gelatinPct, levelCm, saltPct, type PotState } from '../state';
import { litres, percent, trouble, type ReduceTo, type StepReport, type StepRunner } from '../step';
import { dipAt } from '../vessel';
import { LONGEST_H } from './cook';

/** One way to say when to stop: how far it still is (above 0 until it is reached), and its words. */
interface Target {
  readonly left: (pot: PotState) => number;
  readonly said: string;
  readonly shown: (pot: PotState) => string;
  readonly value: number;
  readonly at: (pot: PotState) => number;
}

/**
 * Reduces at a heat until the target is met, minute by minute, and the last minute by bisection.
 * How long it took is in the report. Out of reach is refused with what boiling dry would give.
 */
export const reduce: StepRunner<'reduce'> = (pot, step, c, report) => {
  if (liquidMl(pot.liquid) === 0)
    return trouble('nothing-to-reduce', 'Reduce: there is no liquid in the pot.', 0, 0);
  const fire = fireOf(c, step.heat, step.lid);
  if (step.to.until === 'hours') return reduceForHours(pot, c, fire, step.to.value, report);
  const startMl = liquidMl(pot.liquid);
  const unsound = impossible(step.to, startMl);
  if (unsound) return unsound;
  const before = copyPot(pot);
  report.upHours = bringTo(pot, c, fire.celsius);
  const target = targetOf(step.to, startMl, c);
  if (target.left(pot) <= 0) {
    const there = target.shown(pot);
    becomePot(pot, before);
    return trouble(
      'already-there',
      `${target.said}: the pot already stands at ${there}.`,
      target.value,
      target.at(before),
    );
  }
  const hours = heatUntil(pot, c, fire, (p) => target.left(p) <= 0);
  if (hours === undefined) {
    const dry = target.shown(pot);
    const at = target.at(pot);
    becomePot(pot, before);
    return trouble(
      'out-of-reach',
      `${target.said}: even boiled dry the pot would stand at ${dry}.`,
      target.value,
      at,
    );
  }
  report.heatHours = hours;
  return undefined;
};

function reduceForHours(
  pot: PotState,
  c: ProcessConstants,
  fire: Fire,
  hours: number,
  report: StepReport,
): Trouble | undefined {
  if (!(hours > 0 && hours <= LONGEST_H))
    return trouble(
      'time-out-of-range',
      `Reduce for ${hours.toFixed(1)} h: above 0 and at most ${LONGEST_H} h.`,
      hours,
      LONGEST_H,
    );
  report.upHours = bringTo(pot, c, fire.celsius);
  report.dryAfterHours = heatForHours(pot, c, fire, hours);
  report.heatHours = hours;
  return undefined;
}

/** Heats until `done`, ending inside a minute exactly; undefined when the pot boils dry or a week passes first. */
export function heatUntil(
  pot: PotState,
  c: ProcessConstants,
  fire: Fire,
  done: (pot: PotState) => boolean,
): number | undefined {
  const minute = stretch(pot, c, MINUTE_H);
  for (let minutes = 0; minutes < LONGEST_H * 60; minutes += 1) {
    const before = copyForHeat(pot);
    heatFor(pot, c, fire, MINUTE_H, minute.by, minute.gelatin);
    if (done(pot)) {
      const part = withinMinute(before, c, fire, done);
      becomePot(pot, part.pot);
      return minutes * MINUTE_H + part.hours;
    }
    if (pot.lost.evaporated - before.lost.evaporated < 1e-9) return undefined;
  }
  return undefined;
}

function withinMinute(
  before: PotState,
  c: ProcessConstants,
  fire: Fire,
  done: (pot: PotState) => boolean,
): { pot: PotState; hours: number } {
  const after = (hours: number): PotState => {
    const tried = copyForHeat(before);
    const { by, gelatin } = stretch(tried, c, hours);
    heatFor(tried, c, fire, hours, by, gelatin);
    return tried;
  };
  let low = 0;
  let high = MINUTE_H;
  for (let i = 0; i < 48; i += 1) {
    const mid = (low + high) / 2;
    if (done(after(mid))) high = mid;
    else low = mid;
  }
  return { pot: after(high), hours: high };
}

/** Targets no pot could have, refused before it goes on the heat. */
function impossible(to: ReduceTo, startMl: number): Trouble | undefined {
  if (to.until === 'share' && !(to.value > 0 && to.value < 1))
    return trouble(
      'share-out-of-range',
      `Reduce to ${(to.value * 100).toFixed(0)} %: a reduction leaves above 0 and less than 100 % of the ${litres(startMl)} there are.`,
      to.value,
      1,
    );
  if (to.until === 'ml' && to.value >= startMl)
    return trouble(
      'reduce-to-more',
      `Reduce to ${litres(to.value)}: there are only ${litres(startMl)} in the pot.`,
      to.value,
      startMl,
    );
  if (!(to.value > 0))
    return trouble(
      'target-out-of-range',
      `A reduction needs a target above 0; it says ${to.value}.`,
      to.value,
      0,
    );
  return undefined;
}

function targetOf(to: ReduceTo, startMl: number, c: ProcessConstants): Target {
  const goal = to.until === 'share' ? to.value * startMl : to.value;
  const volume = (p: PotState) => liquidMl(p.liquid);
  switch (to.until) {
    case 'gelatin':
      return rising(gelatinPct, goal, `Reduce to ${percent(goal)} gelatin`, percent);
    case 'salt':
      return rising(saltPct, goal, `Reduce to ${percent(goal)} salt`, percent);
    case 'body':
      return rising(
        (p) => body(p, c),
        goal,
        `Reduce to body ${goal.toFixed(2)}`,
        (x) => `body ${x.toFixed(2)}`,
      );
    case 'dip': {
      const dip = (p: PotState) => dipAt(p.vessel, levelCm(p));
      return rising(
        dip,
        goal,
        `Reduce to a dip of ${goal.toFixed(1)} cm`,
        (x) => `${x.toFixed(1)} cm from the rim`,
      );
    }
    default:
      return {
        left: (p) => volume(p) - goal,
        said: `Reduce to ${litres(goal)}`,
        shown: (p) => litres(volume(p)),
        value: goal,
        at: volume,
      };
  }
}

const rising = (
  at: (p: PotState) => number,
  goal: number,
  said: string,
  show: (x: number) => string,
): Target => ({
  left: (p) => goal - at(p),
  said,
  shown: (p) => show(at(p)),
  value: goal,
  at,
});
