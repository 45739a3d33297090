import { liquidG, liquidMl, noLiquid, type Liquid } from './liquid';
import { pieceG, pieceMl, type Piece } from './piece';
import type { JointCost, StepReport } from './report';
import type { PotState } from './state';

/** What becomes of something that leaves: the name it goes on under, and how it shares the cost. */
export interface GoesOn {
  readonly as?: string | undefined;
  readonly cost?: JointCost | undefined;
}

/** Lets something leave as a product of its own, with the pot's allergens: nobody can say which of them stayed behind. */
export function partOff(
  pot: PotState,
  goes: GoesOn,
  liquid: Liquid,
  pieces: readonly Piece[],
  report: StepReport,
): void {
  const sum = (of: (p: Piece) => number): number => pieces.reduce((total, p) => total + of(p), 0);
  const product = {
    liquid,
    pieces,
    allergens: [...pot.allergens].sort(),
    g: liquidG(liquid) + sum(pieceG),
    ml: liquidMl(liquid) + sum(pieceMl),
  };
  pot.partedG += product.g;
  report.joints.push({ name: goes.as ?? '', product, cost: goes.cost ?? { by: 'credit', perG: 0 } });
}

/** Fat that has been taken off goes on to another use; credited with nothing unless it is told. */
export function partFat(pot: PotState, goes: GoesOn, fatG: number, report: StepReport): void {
  if (fatG > 0) partOff(pot, goes, { ...noLiquid(), freeFat: fatG }, [], report);
}
