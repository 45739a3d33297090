import type { ProcessConstants } from './constants';
import { liquidG, liquidMl, scaleLiquid } from './liquid';
import type { Loss } from './losses';
import type { Piece } from './piece';
import { bookLoss, type StepReport } from './report';
import { body, levelCm, type PotState, type StandLevel } from './state';
import { wettedAreaM2 } from './vessel';

/** ml a piece keeps back in the strainer: its retention on the raw kilo, less the water it took up. */
export const heldBackMl = (p: Piece, pressed: boolean): number =>
  Math.max(0, ((pressed ? p.stuff.retentionPressed : p.stuff.retention) * p.rawG) / 1000 - p.taken);

/** Takes some ml of everything liquid, floating fat included; never more than there is. */
export function loseMl(pot: PotState, ml: number, loss: Loss, report: StepReport): void {
  const there = liquidMl(pot.liquid);
  if (there <= 0 || ml <= 0) return;
  loseShare(pot, Math.min(1, ml / there), loss, report);
}

/** Takes a share of everything liquid, floating fat included. */
export function loseShare(pot: PotState, share: number, loss: Loss, report: StepReport): void {
  const g = liquidG(pot.liquid) * share;
  bookLoss(pot, report, loss, share);
  scaleLiquid(pot.liquid, 1 - share);
  pot.lost[loss] += g;
}

/** ml that cling to the wall of a vessel that is poured out: from a thin film up to a coating one as the body rises to 1. */
export function wallCling(s: StandLevel, c: ProcessConstants): number {
  const film = c.wallCling.thin + (c.wallCling.coating - c.wallCling.thin) * Math.min(1, body(s, c));
  return wettedAreaM2(s.vessel, levelCm(s)) * film;
}
