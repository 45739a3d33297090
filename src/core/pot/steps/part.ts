import { copyLiquid, liquidG, liquidMl, noLiquid, scaleLiquid, type Liquid } from '../liquid';
import { pieceG, pieceMl, shareOfPiece, type Piece } from '../piece';
import type { Product } from '../product';
import { piecesMl, type PotState } from '../state';
import {
  litres,
  percent,
  trouble,
  type JointCost,
  type StepReport,
  type StepRunner,
  type StepOf,
} from '../step';

/** Something out of the pot as a product of its own, with the pot's allergens: nobody can say which of them stayed behind. */
function productFrom(pot: PotState, liquid: Liquid, pieces: readonly Piece[]): Product {
  const sum = (of: (p: Piece) => number): number => pieces.reduce((total, p) => total + of(p), 0);
  return {
    liquid,
    pieces,
    allergens: [...pot.allergens].sort(),
    g: liquidG(liquid) + sum(pieceG),
    ml: liquidMl(liquid) + sum(pieceMl),
  };
}

function partWith(
  pot: PotState,
  step: { readonly as?: string | undefined; readonly cost?: JointCost | undefined },
  product: Product,
  report: StepReport,
): void {
  pot.partedG += product.g;
  report.joints.push({ name: step.as ?? '', product, cost: step.cost ?? { by: 'credit', perG: 0 } });
}

/** Fat that has been taken off goes on to another use; credited with nothing unless it is told. */
export function partFat(
  pot: PotState,
  step: StepOf<'brown' | 'defat'>,
  fatG: number,
  report: StepReport,
): void {
  if (fatG > 0) partWith(pot, step, productFrom(pot, { ...noLiquid(), freeFat: fatG }, []), report);
}

const noStrainer = (verb: string) =>
  trouble('nothing-in-strainer', `${verb}: no strainer holds anything of this pot.`, 0, 0);

/** Picks a share of the cooked pieces out of the strainer: back into the pot, or as a joint product. */
export const pick: StepRunner<'pick'> = (pot, step, _c, report) => {
  const held = pot.inStrainer;
  if (!held || held.pieces.length === 0) return noStrainer('Pick');
  if (!(step.share > 0 && step.share <= 1))
    return trouble(
      'share-out-of-range',
      `Pick ${percent(step.share * 100)}: above 0 and at most 100 % of what the strainer holds.`,
      step.share * 100,
      100,
    );
  const wanted = held.pieces.filter((p) => step.of === undefined || p.stuff.id === step.of);
  if (wanted.length === 0)
    return trouble('not-in-strainer', 'Pick: what is to be picked is not in the strainer.', 0, 0);
  const picked = wanted.map((p) => shareOfPiece(p, step.share));
  held.pieces = held.pieces.flatMap((p) =>
    !wanted.includes(p) ? [p] : step.share < 1 ? [shareOfPiece(p, 1 - step.share)] : [],
  );
  pot.lost['solids discarded'] -= picked.reduce((g, p) => g + pieceG(p), 0);
  if (step.as === undefined) pot.pieces.push(...picked);
  else partWith(pot, step, productFrom(pot, noLiquid(), picked), report);
  return undefined;
};

/** What is left in the strainer goes on to another pot, with the liquid it keeps and the pools it still has. */
export const secondWash: StepRunner<'second wash'> = (pot, step, _c, report) => {
  const held = pot.inStrainer;
  if (!held || held.pieces.length === 0) return noStrainer('Second wash');
  pot.lost['solids discarded'] -= held.pieces.reduce((g, p) => g + pieceG(p), 0);
  pot.lost['held in solids'] -= liquidG(held.liquid);
  // The liquid they keep was no loss after all, nor was its money.
  if (liquidG(held.liquid) > 0) report.shares.push({ loss: 'held in solids', share: -1 });
  pot.inStrainer = undefined;
  partWith(pot, step, productFrom(pot, held.liquid, held.pieces), report);
  return undefined;
};

/** Draws some of the pot off: liquid and pieces alike, or the liquid alone. */
export const drawOff: StepRunner<'draw off'> = (pot, step, _c, report) => {
  const there = liquidMl(pot.liquid) + (step.liquidOnly ? 0 : piecesMl(pot));
  if (!(step.ml > 0))
    return trouble('nothing-drawn', `Draw off ${litres(step.ml)}: more than 0 l is drawn off.`, step.ml, 0);
  if (step.ml > there * (1 + 1e-9))
    return trouble(
      'draws-too-much',
      `Draw off ${litres(step.ml)}: there are only ${litres(there)} in the pot.`,
      step.ml,
      there,
    );
  const share = Math.min(1, step.ml / there);
  const liquid = copyLiquid(pot.liquid);
  scaleLiquid(liquid, share);
  scaleLiquid(pot.liquid, 1 - share);
  const pieces = step.liquidOnly ? [] : pot.pieces.map((p) => shareOfPiece(p, share));
  if (!step.liquidOnly) pot.pieces = share < 1 ? pot.pieces.map((p) => shareOfPiece(p, 1 - share)) : [];
  partWith(pot, step, productFrom(pot, liquid, pieces), report);
  return undefined;
};
