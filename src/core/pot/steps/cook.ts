import { liquidG } from '../liquid';
import { bringTo, fireOf, heatForHours } from '../heat';
import { piecesG } from '../state';
import { trouble, type StepRunner } from '../step';

/** The longest a single step may stay on the heat: a week. */
export const LONGEST_H = 168;

export const bring: StepRunner<'bring'> = (pot, step, c, report) => {
  if (liquidG(pot.liquid) + piecesG(pot) === 0)
    return trouble('empty', 'Bring to heat: the pot is empty.', 0, 0);
  if (!(step.celsius > pot.celsius && step.celsius <= 100))
    return trouble(
      'bring-out-of-range',
      `Bring to ${step.celsius.toFixed(0)} °C: the pot is at ${pot.celsius.toFixed(0)} °C and boils at 100 °C.`,
      step.celsius,
      100,
    );
  report.upHours = bringTo(pot, c, step.celsius);
  return undefined;
};

/** Keeps the pot at a heat for some time; the minutes count from when the heat is reached. */
export const cook: StepRunner<'cook'> = (pot, step, c, report) => {
  if (!(step.hours > 0 && step.hours <= LONGEST_H))
    return trouble(
      'time-out-of-range',
      `${step.heat} for ${step.hours.toFixed(1)} h: a step on the heat lasts above 0 and at most ${LONGEST_H} h.`,
      step.hours,
      LONGEST_H,
    );
  if (liquidG(pot.liquid) + piecesG(pot) === 0)
    return trouble('empty', `${step.heat}: the pot is empty.`, 0, 0);
  const open = fireOf(c, step.heat, step.lid);
  if (step.underFat && open.celsius > c.heats.simmer.celsius)
    return trouble(
      'fat-layer-broken',
      `${step.heat} under its fat: above ${c.heats.simmer.celsius.toFixed(0)} °C the layer breaks; ${step.heat} is ${open.celsius.toFixed(0)} °C.`,
      open.celsius,
      c.heats.simmer.celsius,
    );
  const fire = step.underFat ? { ...open, rate: open.rate * c.factors.fatLayer } : open;
  report.upHours = bringTo(pot, c, fire.celsius);
  report.dryAfterHours = heatForHours(pot, c, fire, step.hours);
  report.heatHours = step.hours;
  return undefined;
};
