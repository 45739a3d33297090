import { liquidG } from '../liquid';
import { piecesG } from '../state';
import { percent, trouble, type StepRunner } from '../step';
import { loseThroughWall } from '../heat';
import { LONGEST_H } from './cook';

/** Cools the pot down; it takes its time, and nothing leaves. */
export const chill: StepRunner<'chill'> = (pot, step, c) => {
  if (liquidG(pot.liquid) + piecesG(pot) === 0) return trouble('empty', 'Chill: the pot is empty.', 0, 0);
  if (!(step.celsius >= -1 && step.celsius < pot.celsius))
    return trouble(
      'chill-out-of-range',
      `Chill to ${step.celsius.toFixed(0)} °C: the pot is at ${pot.celsius.toFixed(0)} °C; chilling ends below that and not below -1 °C.`,
      step.celsius,
      pot.celsius,
    );
  const hours = step.hours ?? c.chillHours;
  if (!(hours >= 0 && hours <= LONGEST_H))
    return trouble(
      'time-out-of-range',
      `Chill for ${hours.toFixed(1)} h: from 0 to ${LONGEST_H} h.`,
      hours,
      LONGEST_H,
    );
  pot.celsius = step.celsius;
  pot.elapsedHours += hours;
  return undefined;
};

/** Keeps it warm: a share of its water leaves each hour, compounding. */
export const hold: StepRunner<'hold'> = (pot, step, c) => {
  const perHour = step.lossPerHour ?? c.holdLossPerHour;
  if (liquidG(pot.liquid) === 0) return trouble('empty', 'Hold: there is no liquid in the pot.', 0, 0);
  if (!(step.hours > 0 && step.hours <= LONGEST_H))
    return trouble(
      'time-out-of-range',
      `Hold for ${step.hours.toFixed(1)} h: above 0 and at most ${LONGEST_H} h.`,
      step.hours,
      LONGEST_H,
    );
  if (!(perHour >= 0 && perHour < 1))
    return trouble(
      'loss-out-of-range',
      `Hold: ${percent(perHour * 100)} of the water an hour cannot be: from 0 to below 100 %.`,
      perHour * 100,
      100,
    );
  const gone = pot.liquid.water * (1 - (1 - perHour) ** step.hours);
  pot.liquid.water -= gone;
  pot.lost.evaporated += gone;
  pot.netKj += (gone / 1000) * c.latentKj;
  loseThroughWall(pot, c, step.hours);
  pot.elapsedHours += step.hours;
  return undefined;
};
