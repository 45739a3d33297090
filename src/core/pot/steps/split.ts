import { copyLiquid, liquidG, liquidMl, pourShare, scaleLiquid } from '../liquid';
import { pieceG, shareOfPiece } from '../piece';
import {
  mixedCelsius,
  overBrimMl,
  piecesG,
  piecesMl,
  standingMl,
  standingOf,
  type PotState,
  type Standing,
} from '../state';
import { litres, percent, trouble, type StepRunner } from '../step';
import { capacityMl, type Vessel } from '../vessel';
import type { LedgerRow } from '../ledger';
import { asideIn, mustBeFree, wallCling } from './into';

const notAside = (verb: string, pot: PotState, vessel: Vessel) =>
  trouble(
    'not-aside',
    vessel.id === pot.vessel.id
      ? `${verb} the ${vessel.name}: it is the one at work.`
      : `${verb} the ${vessel.name}: nothing of this pot has been split off into it.`,
    pot.aside.length,
    1,
  );

/** Splits some of the pot off into another vessel, liquid and pieces alike or the liquid alone; it stands there at its own heat. */
export const split: StepRunner<'split'> = (pot, step) => {
  const taken = mustBeFree('Split into', pot, step.vessel);
  if (taken) return taken;
  const there = liquidMl(pot.liquid) + (step.liquidOnly ? 0 : piecesMl(pot));
  const share = step.part.by === 'share' ? step.part.value : there > 0 ? step.part.value / there : Infinity;
  if (!(share > 0 && share < 1))
    return step.part.by === 'share'
      ? trouble(
          'share-out-of-range',
          `Split off ${percent(share * 100)}: above 0 and below 100 % of what is in the pot.`,
          share * 100,
          100,
        )
      : trouble(
          'splits-too-much',
          `Split off ${litres(step.part.value)}: above 0 l and less than the ${litres(there)} there are.`,
          step.part.value,
          there,
        );
  const liquid = copyLiquid(pot.liquid);
  scaleLiquid(liquid, share);
  const pieces = step.liquidOnly ? [] : pot.pieces.map((p) => shareOfPiece(p, share));
  const off: Standing = {
    ...standingOf(pot),
    vessel: step.vessel,
    hob: step.hob,
    liquid,
    pieces,
    beforeHeatMl: undefined,
    inSieve: undefined,
    inStrainer: undefined,
  };
  if (overBrimMl(off) > 1e-6)
    return trouble(
      'runs-over',
      `Split off ${litres(standingMl(off))}: the ${step.vessel.name} holds ${litres(capacityMl(step.vessel))} to the brim.`,
      standingMl(off),
      capacityMl(step.vessel),
    );
  scaleLiquid(pot.liquid, 1 - share);
  if (!step.liquidOnly) pot.pieces = pot.pieces.map((p) => shareOfPiece(p, 1 - share));
  pot.aside.push(off);
  return undefined;
};

/** Leaves the vessel at work standing and goes on in one that stands aside. */
export const turnTo: StepRunner<'turn to'> = (pot, step) => {
  const next = asideIn(pot, step.vessel);
  if (!next) return notAside('Turn to', pot, step.vessel);
  pot.aside = [...pot.aside.filter((s) => s !== next), standingOf(pot)];
  Object.assign(pot, next);
  return undefined;
};

/** Pours what stands aside into the vessel at work; some of it clings to the wall it leaves. */
export const combine: StepRunner<'combine'> = (pot, step, c, report) => {
  const other = asideIn(pot, step.vessel);
  if (!other) return notAside('Combine with', pot, step.vessel);
  pot.aside = pot.aside.filter((s) => s !== other);
  const there = liquidMl(other.liquid);
  const clung = there > 0 ? Math.min(1, wallCling(other, c) / there) : 0;
  const clungG = liquidG(other.liquid) * clung;
  const here = liquidG(pot.liquid);
  const poured = liquidG(other.liquid) - clungG;
  pot.celsius = mixedCelsius(pot, c, poured, 'liquid', other.celsius);
  pot.celsius = mixedCelsius(pot, c, piecesG(other), 'pieces', other.celsius);
  pourShare(pot.liquid, other.liquid, 1 - clung);
  pot.pieces.push(...other.pieces);
  pot.lost.clung += clungG;
  // What clings is a share of all there was, in this vessel, in that one, and wherever else some stands.
  const all = here + poured + clungG + pot.aside.reduce((g, s) => g + liquidG(s.liquid), 0);
  if (clungG > 0) report.shares.push({ loss: 'clung', share: clungG / all });
  // Whoever combines waits for the slower of the two.
  pot.elapsedHours = Math.max(pot.elapsedHours, other.elapsedHours);
  return undefined;
};

/** Gathers everything that still stands aside in the vessel at work: how a pot that was never combined is counted. */
export function gathered(pot: PotState): void {
  for (const other of pot.aside) {
    pourShare(pot.liquid, other.liquid, 1);
    pot.pieces.push(...other.pieces);
    pot.elapsedHours = Math.max(pot.elapsedHours, other.elapsedHours);
  }
  pot.aside = [];
}

/** What stands aside: g of liquid and pieces, ml of them at 20 °C, and how full each vessel is. */
export function asideOf(pot: PotState): LedgerRow['aside'] {
  let [g, ml, liquid] = [0, 0, 0];
  for (const s of pot.aside) {
    g += liquidG(s.liquid) + s.pieces.reduce((sum, p) => sum + pieceG(p), 0);
    liquid += liquidMl(s.liquid);
    ml += liquidMl(s.liquid) + piecesMl(s);
  }
  const vessels = pot.aside.map((s) => ({ vessel: s.vessel, standingMl: standingMl(s) }));
  return { g, ml, liquidMl: liquid, vessels };
}
