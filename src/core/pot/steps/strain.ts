import { liquidG, liquidMl, scaleLiquid } from '../liquid';
import { pieceG, type Piece } from '../piece';
import type { Loss, PotState } from '../state';
import { trouble, type StepReport, type StepRunner } from '../step';

/** ml a piece keeps back in the strainer: its retention on the raw kilo, less the water it took up. */
export const heldBackMl = (p: Piece, pressed: boolean): number =>
  Math.max(0, ((pressed ? p.stuff.retentionPressed : p.stuff.retention) * p.rawG) / 1000 - p.taken);

/** Takes some ml of everything liquid, floating fat included; never more than there is. */
export function loseMl(pot: PotState, ml: number, loss: Loss, report: StepReport): void {
  const there = liquidMl(pot.liquid);
  if (there <= 0 || ml <= 0) return;
  const share = Math.min(1, ml / there);
  const g = liquidG(pot.liquid) * share;
  scaleLiquid(pot.liquid, 1 - share);
  pot.lost[loss] += g;
  report.shares.push({ loss, share });
}

/** Strains: the pieces leave, keep their share of the liquid, and the strainer keeps its cling. */
export const strain: StepRunner<'strain'> = (pot, step, c, report) => {
  if (liquidG(pot.liquid) === 0)
    return trouble('nothing-to-strain', 'Strain: there is no liquid in the pot.', 0, 0);
  const held = pot.pieces.reduce((ml, p) => ml + heldBackMl(p, step.pressed), 0);
  loseMl(pot, held, 'held in solids', report);
  pot.lost['solids discarded'] += pot.pieces.reduce((g, p) => g + pieceG(p), 0);
  pot.pieces = [];
  loseMl(pot, c.strainers[step.through], 'clung', report);
  return undefined;
};
