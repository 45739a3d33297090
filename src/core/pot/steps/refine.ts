import { copyLiquid, liquidG, liquidMl, noLiquid, pourShare, scaleLiquid } from '../liquid';
import { pieceG } from '../piece';
import { bookLoss, type Loss, type PotState } from '../state';
import { percent, trouble, type StepReport, type StepRunner } from '../step';

/** Takes a share of everything liquid away to where it can be scraped out again. */
function leaveBehind(pot: PotState, share: number, loss: Loss, report: StepReport): void {
  const g = liquidG(pot.liquid) * share;
  bookLoss(pot, report, loss, share);
  const left = copyLiquid(pot.liquid);
  scaleLiquid(left, share);
  scaleLiquid(pot.liquid, 1 - share);
  pot.lost[loss] += g;
  if (loss === 'left in the sieve') pot.inSieve = left;
}

const outOfRange = (verb: string, share: number) =>
  trouble(
    'loss-out-of-range',
    `${verb}: a loss of ${percent(share * 100)} cannot be: it lies from 0 to below 100 %.`,
    share * 100,
    100,
  );

/**
 * Purées everything in the pot: pieces join the liquid with all their masses, what gelatin they have not given
 * stays protein, their fat is held, their starch binds. What stays in the machine is a share of it all.
 */
export const puree: StepRunner<'puree'> = (pot, step, c, report) => {
  const loss = step.loss ?? c.puree.loss;
  if (pot.pieces.length === 0)
    return trouble('nothing-to-puree', 'Purée: there are no pieces in the pot to purée.', 0, 0);
  if (!(loss >= 0 && loss < 1)) return outOfRange('Purée', loss);
  const { liquid } = pot;
  for (const piece of pot.pieces) {
    const { parts } = piece;
    liquid.water += parts.water;
    liquid.boundFat += parts.fat;
    liquid.salt += parts.salt;
    liquid.sugar += parts.sugar;
    liquid.starch += parts.starch;
    liquid.gelatin += parts.gelatin;
    liquid.rest += parts.rest;
    // A share of a raw piece has that share of what it binds with.
    liquid.binding += parts.starch * c.puree.starchBinding + piece.stuff.binding * piece.rawG;
  }
  pot.pieces = [];
  // The blade holds what fat there is.
  liquid.boundFat += liquid.freeFat;
  liquid.freeFat = 0;
  leaveBehind(pot, loss, 'left in the blender', report);
  return undefined;
};

/** Passes what has been puréed through a sieve: a share of it all stays there, until a second pass wins some back. */
export const sieve: StepRunner<'sieve'> = (pot, step, c, report) => {
  const loss = step.loss ?? c.sieveLoss;
  if (liquidMl(pot.liquid) === 0)
    return trouble('empty', 'Sieve: there is nothing in the pot to pass.', 0, 0);
  if (pot.pieces.length > 0)
    return trouble(
      'pieces-in-sieve',
      `Sieve: ${(pot.pieces.reduce((g, p) => g + pieceG(p), 0) / 1000).toFixed(2)} kg of pieces are in the pot: strain them out, or purée them first.`,
      pot.pieces.length,
      0,
    );
  if (!(loss >= 0 && loss < 1)) return outOfRange('Sieve', loss);
  leaveBehind(pot, loss, 'left in the sieve', report);
  return undefined;
};

/** What the last sieve kept goes through again: a share of it comes back as it was. */
export const secondPass: StepRunner<'second pass'> = (pot, step, _c, report) => {
  const kept = pot.inSieve;
  if (!kept || liquidG(kept) <= 0)
    return trouble('nothing-in-sieve', 'Second pass: no sieve has kept anything of this pot.', 0, 0);
  if (!(step.share > 0 && step.share <= 1))
    return trouble(
      'share-out-of-range',
      `Second pass: ${percent(step.share * 100)} of what the sieve kept cannot come back: above 0 and at most 100 %.`,
      step.share * 100,
      100,
    );
  const back = noLiquid();
  pourShare(back, kept, step.share);
  pourShare(pot.liquid, back, 1);
  pot.lost['left in the sieve'] -= liquidG(back);
  scaleLiquid(kept, 1 - step.share);
  report.shares.push({ loss: 'left in the sieve', share: -step.share });
  return undefined;
};
