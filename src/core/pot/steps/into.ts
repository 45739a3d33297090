import type { ProcessConstants } from '../constants';
import { body, levelCm, standingMl, type PotState, type Standing } from '../state';
import type { Trouble } from '../../trouble';
import { litres, trouble, type StepRunner } from '../step';
import { wettedAreaM2, type Vessel } from '../vessel';
import { loseMl } from './strain';

/** ml that cling to the wall of a vessel that is poured out: from a thin film up to a coating one as the body rises to 1. */
export function wallCling(s: Standing, c: ProcessConstants): number {
  const film = c.wallCling.thin + (c.wallCling.coating - c.wallCling.thin) * Math.min(1, body(s, c));
  return wettedAreaM2(s.vessel, levelCm(s)) * film;
}

export const asideIn = (pot: PotState, vessel: Vessel): Standing | undefined =>
  pot.aside.find((s) => s.vessel.id === vessel.id);

/** Refuses a vessel that already holds something of this pot. */
export function mustBeFree(verb: string, pot: PotState, vessel: Vessel): Trouble | undefined {
  const held = vessel.id === pot.vessel.id ? pot : asideIn(pot, vessel);
  if (!held) return undefined;
  return trouble(
    'vessel-in-use',
    held === pot
      ? `${verb} the ${vessel.name}: the pot stands in it already.`
      : `${verb} the ${vessel.name}: ${litres(standingMl(held))} of this pot stand in it: combine with it instead.`,
    standingMl(held),
    0,
  );
}

/** Pours everything into another vessel. What clings to the old wall goes by its wetted area. */
export const into: StepRunner<'into'> = (pot, step, c, report) => {
  const taken = pot.vessel.id === step.vessel.id ? undefined : mustBeFree('Into', pot, step.vessel);
  if (taken) return taken;
  loseMl(pot, step.clingMl ?? wallCling(pot, c), 'clung', report);
  pot.vessel = step.vessel;
  pot.hob = step.hob;
  return undefined;
};
