import type { Trouble } from '../trouble';
import { litres, trouble } from './figures';
import { liquidG, liquidMl, pourShare } from './liquid';
import { pieceG } from './piece';
import { piecesMl, standingMl, type PotState, type Standing } from './state';
import type { Vessel } from './vessel';

/** What of a pot stands in a vessel other than the one at work. */
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

/** Refuses a vessel in which nothing of this pot stands aside. */
export const notAside = (verb: string, pot: PotState, vessel: Vessel): Trouble =>
  trouble(
    'not-aside',
    vessel.id === pot.vessel.id
      ? `${verb} the ${vessel.name}: it is the one at work.`
      : `${verb} the ${vessel.name}: nothing of this pot has been split off into it.`,
    pot.aside.length,
    1,
  );

/** Gathers everything that still stands aside in the vessel at work: how a pot that was never combined is counted. */
export function gathered(pot: PotState): void {
  for (const other of pot.aside) {
    pourShare(pot.liquid, other.liquid, 1);
    pot.pieces.push(...other.pieces);
    pot.elapsedHours = Math.max(pot.elapsedHours, other.elapsedHours);
  }
  pot.aside = [];
}

/** What stands aside in other vessels: g and ml of liquid and pieces at 20 °C, ml of the liquid alone, and how full each is. */
export interface Aside {
  readonly g: number;
  readonly ml: number;
  readonly liquidMl: number;
  readonly vessels: readonly { readonly vessel: Vessel; readonly standingMl: number }[];
}

export function asideOf(pot: PotState): Aside {
  let [g, ml, liquid] = [0, 0, 0];
  for (const s of pot.aside) {
    g += liquidG(s.liquid) + s.pieces.reduce((sum, p) => sum + pieceG(p), 0);
    liquid += liquidMl(s.liquid);
    ml += liquidMl(s.liquid) + piecesMl(s);
  }
  const vessels = pot.aside.map((s) => ({ vessel: s.vessel, standingMl: standingMl(s) }));
  return { g, ml, liquidMl: liquid, vessels };
}
