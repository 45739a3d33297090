import type { Band, ProcessConstants } from '../constants';
import { liquidG } from '../liquid';
import { becomePot, body, copyPot, type PotState } from '../state';
import { kilos, noReport, trouble, type Matter, type StepRunner } from '../step';
import type { Trouble } from '../../trouble';
import { putIn } from './fill';
import { mustJoin, nameOf } from './finish';

/** A band in body, whatever makes it: flour equivalent over what coats. */
const bodies = (c: ProcessConstants, band: Band) => {
  const { low, middle, high } = c.bands[band];
  const coat = c.coating.flourGPerL;
  return { low: low / coat, middle: middle / coat, high: high / coat };
};

/** Body with some grams more in the pot; the litres they bring counted. */
function bodyWith(pot: PotState, what: Matter, g: number, c: ProcessConstants, bindFat: boolean): number {
  const tried = copyPot(pot);
  putIn(tried, what, g, c, noReport(), bindFat);
  return body(tried, c);
}

/** More than this many times the pot's own weight is never meant. */
const MOST_TIMES = 50;

/**
 * g that bring the pot to a body, by bisection on what it then is; undefined where however much would not.
 * @param rising whether adding raises the body
 */
function gramsTo(
  pot: PotState,
  what: Matter,
  target: number,
  c: ProcessConstants,
  rising: boolean,
): number | undefined {
  const past = (g: number): boolean => {
    const at = bodyWith(pot, what, g, c, rising);
    return rising ? at >= target : at <= target;
  };
  let high = liquidG(pot.liquid) * 0.01;
  const most = liquidG(pot.liquid) * MOST_TIMES;
  while (!past(high)) {
    high *= 2;
    if (high > most) return undefined;
  }
  let low = 0;
  for (let i = 0; i < 60; i += 1) {
    const mid = (low + high) / 2;
    if (past(mid)) high = mid;
    else low = mid;
  }
  return high;
}

/** Thickens to the middle of a band, as much as that takes. */
export const thickenTo: StepRunner<'thicken to'> = (pot, step, c, report) => {
  const cannot: Trouble | undefined = mustJoin('Thicken', step.what, 1);
  if (cannot) return cannot;
  if (liquidG(pot.liquid) === 0) return trouble('empty', 'Thicken: there is no liquid in the pot.', 0, 0);
  const { middle } = bodies(c, step.band);
  const now = body(pot, c);
  if (now >= middle)
    return trouble(
      'already-thicker',
      `Thicken to ${step.band} (body ${middle.toFixed(2)}): the pot already stands at ${now.toFixed(2)}; loosen it instead.`,
      middle,
      now,
    );
  const g = gramsTo(pot, step.what, middle, c, true);
  if (g === undefined)
    return trouble(
      'binds-too-little',
      `Thicken to ${step.band} (body ${middle.toFixed(2)}) with ${nameOf(step.what)}: however much goes in, it would not get there from ${now.toFixed(2)}.`,
      middle,
      now,
    );
  putIn(pot, step.what, g, c, report, true);
  return undefined;
};

/** Loosens to the nearer edge of a band: from above it, the upper one. */
export const loosenTo: StepRunner<'loosen to'> = (pot, step, c, report) => {
  const cannot: Trouble | undefined = mustJoin('Loosen', step.what, 1);
  if (cannot) return cannot;
  if (liquidG(pot.liquid) === 0) return trouble('empty', 'Loosen: there is no liquid in the pot.', 0, 0);
  const { high } = bodies(c, step.band);
  const now = body(pot, c);
  if (now <= high)
    return trouble(
      'already-looser',
      `Loosen to ${step.band} (body ${high.toFixed(2)} at most): the pot already stands at ${now.toFixed(2)}.`,
      high,
      now,
    );
  const before = copyPot(pot);
  const g = gramsTo(pot, step.what, high, c, false);
  if (g === undefined) {
    becomePot(pot, before);
    return trouble(
      'loosens-too-little',
      `Loosen to ${step.band} (body ${high.toFixed(2)}) with ${nameOf(step.what)}: ${kilos(liquidG(before.liquid) * MOST_TIMES)} would not get there from ${now.toFixed(2)}.`,
      high,
      now,
    );
  }
  putIn(pot, step.what, g, c, report);
  return undefined;
};
