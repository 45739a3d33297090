import { liquidG, liquidMl, noLiquid, pourShare, scaleLiquid } from '../liquid';
import { pieceG, type Piece } from '../piece';
import { bookLoss, type Loss, type PotState } from '../state';
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
  bookLoss(pot, report, loss, share);
  scaleLiquid(pot.liquid, 1 - share);
  pot.lost[loss] += g;
}

/** Strains: the pieces leave, keep their share of the liquid, and the strainer keeps its cling. */
export const strain: StepRunner<'strain'> = (pot, step, c, report) => {
  if (liquidG(pot.liquid) === 0)
    return trouble('nothing-to-strain', 'Strain: there is no liquid in the pot.', 0, 0);
  const keep = new Set(step.keep ?? []);
  const unknown = [...keep].find((id) => !pot.pieces.some((p) => p.stuff.id === id));
  if (unknown !== undefined)
    return trouble(
      'nothing-to-keep',
      'Strain: what should stay in the pot is not among the pieces in it.',
      0,
      0,
    );
  const leaving = pot.pieces.filter((p) => !keep.has(p.stuff.id));
  const held = leaving.reduce((ml, p) => ml + heldBackMl(p, step.pressed), 0);
  const wet = noLiquid();
  const there = liquidMl(pot.liquid);
  pourShare(wet, pot.liquid, there > 0 ? Math.min(1, held / there) : 0);
  loseMl(pot, held, 'held in solids', report);
  pot.lost['solids discarded'] += leaving.reduce((g, p) => g + pieceG(p), 0);
  pot.inStrainer = { pieces: leaving, liquid: wet };
  pot.pieces = pot.pieces.filter((p) => keep.has(p.stuff.id));
  loseMl(pot, c.strainers[step.through], 'clung', report);
  return undefined;
};
