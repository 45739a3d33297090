import type { Trouble } from '../trouble';
import { litres, trouble } from './figures';
import { liquidG, liquidMl, noLiquid, pourShare } from './liquid';
import { piecesG, piecesMl, standingMl, standingOf, type PotState, type StandLevel } from './state';
import type { Vessel } from './vessel';

/** What of a pot stands in a vessel other than the one at work. */
export const asideIn = (pot: PotState, vessel: Vessel): StandLevel | undefined =>
  pot.aside.find((s) => s.vessel.id === vessel.id);

/** What is set aside lies on a tray: large enough for any pot, and none of the kitchen's vessels. */
const TRAY: Vessel = {
  id: '#tray',
  name: 'tray',
  shape: 'box',
  lengthCm: 300,
  widthCm: 300,
  heightCm: 30,
  maxFill: 1,
};

export const isTray = (vessel: Vessel): boolean => vessel.id === TRAY.id;

/** What is set aside, if anything is. */
export const trayOf = (pot: PotState): StandLevel | undefined => pot.aside.find((s) => isTray(s.vessel));

/** The tray of a pot, laid out where there is none yet. */
export function layTray(pot: PotState): StandLevel {
  const there = trayOf(pot);
  if (there) return there;
  const tray: StandLevel = {
    ...standingOf(pot),
    vessel: TRAY,
    liquid: noLiquid(),
    pieces: [],
    beforeHeatMl: undefined,
    inSieve: undefined,
    inStrainer: undefined,
  };
  pot.aside = [...pot.aside, tray];
  return tray;
}

/** Takes the tray away where nothing lies on it. */
export function clearTray(pot: PotState): void {
  pot.aside = pot.aside.filter((s) => !isTray(s.vessel) || s.pieces.length > 0 || liquidG(s.liquid) > 1e-9);
}

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
  /** g that lie on a tray, set aside. */
  readonly trayG: number;
}

export function asideOf(pot: PotState): Aside {
  let [g, ml, liquid] = [0, 0, 0];
  for (const s of pot.aside) {
    g += liquidG(s.liquid) + piecesG(s);
    liquid += liquidMl(s.liquid);
    ml += liquidMl(s.liquid) + piecesMl(s);
  }
  const tray = trayOf(pot);
  const vessels = pot.aside
    .filter((s) => s !== tray)
    .map((s) => ({ vessel: s.vessel, standingMl: standingMl(s) }));
  const trayG = tray ? liquidG(tray.liquid) + piecesG(tray) : 0;
  return { g, ml, liquidMl: liquid, vessels, trayG };
}
