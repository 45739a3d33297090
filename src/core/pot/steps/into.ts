import { body, levelCm } from '../state';
import type { StepRunner } from '../step';
import { wettedAreaM2 } from '../vessel';
import { loseMl } from './strain';

/**
 * Pours everything into another vessel. What clings to the old wall goes by its wetted area, from a
 * thin film up to a coating one as the body rises to 1.
 */
export const into: StepRunner<'into'> = (pot, step, c, report) => {
  const film = c.wallCling.thin + (c.wallCling.coating - c.wallCling.thin) * Math.min(1, body(pot, c));
  const cling = step.clingMl ?? wettedAreaM2(pot.vessel, levelCm(pot)) * film;
  loseMl(pot, cling, 'clung', report);
  pot.vessel = step.vessel;
  pot.hob = step.hob;
  return undefined;
};
