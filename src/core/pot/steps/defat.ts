import { liquidG, scaleUnderFat } from '../liquid';
import { bookLoss } from '../state';
import { trouble, type StepRunner } from '../step';
import { partFat } from './part';

/** °C at which fat sets as a disc. */
const COLD = 4;

/** Takes the floating fat off, to another use where it has a name; some of the rest goes with every gram of it. Bound fat stays. */
export const defat: StepRunner<'defat'> = (pot, step, c, report) => {
  if (liquidG(pot.liquid) === 0)
    return trouble('nothing-to-defat', 'Take off the fat: there is no liquid in the pot.', 0, 0);
  const { left, drag, hours } = c.defat[step.by];
  const fat = pot.liquid.freeFat * (1 - left);
  const under = liquidG(pot.liquid) - pot.liquid.freeFat;
  const dragged = Math.min(under, fat * drag);
  pot.liquid.freeFat -= fat;
  if (under > 0) {
    bookLoss(pot, report, 'dragged with fat', dragged / under);
    scaleUnderFat(pot.liquid, 1 - dragged / under);
  }
  if (step.as === undefined) pot.lost['fat lifted'] += fat;
  else partFat(pot, step, fat, report);
  pot.lost['dragged with fat'] += dragged;
  if (step.by === 'cold') pot.celsius = COLD;
  pot.elapsedHours += hours;
  return undefined;
};
