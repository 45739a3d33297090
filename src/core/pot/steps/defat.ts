import { liquidG, scaleUnderFat } from '../liquid';
import { trouble, type StepRunner } from '../step';

/** °C at which fat sets as a disc. */
const COLD = 4;

/** Takes the floating fat off; some of the rest goes with every gram of it. Bound fat stays. */
export const defat: StepRunner<'defat'> = (pot, step, c, report) => {
  if (liquidG(pot.liquid) === 0)
    return trouble('nothing-to-defat', 'Take off the fat: there is no liquid in the pot.', 0, 0);
  const { left, drag, hours } = c.defat[step.by];
  const fat = pot.liquid.freeFat * (1 - left);
  const under = liquidG(pot.liquid) - pot.liquid.freeFat;
  const dragged = Math.min(under, fat * drag);
  pot.liquid.freeFat -= fat;
  if (under > 0) {
    scaleUnderFat(pot.liquid, 1 - dragged / under);
    report.shares.push({ loss: 'dragged with fat', share: dragged / under });
  }
  pot.lost['fat lifted'] += fat;
  pot.lost['dragged with fat'] += dragged;
  if (step.by === 'cold') pot.celsius = COLD;
  pot.elapsedHours += hours;
  return undefined;
};
