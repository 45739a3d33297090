import { DENSITY } from '../../quantity';
import { liquidG, liquidMl, scaleLiquid, scaleUnderFat } from '../liquid';
import { bookLoss } from '../state';
import { litres, trouble, type StepRunner } from '../step';

/**
 * Skims some ml off the body of the liquid (a share of everything), or off the surface: floating
 * fat first, each gram taking `skimDrag` g of the rest with it, and what is left to skim from below.
 */
export const skim: StepRunner<'skim'> = (pot, step, c, report) => {
  const there = liquidMl(pot.liquid);
  if (!(step.ml > 0))
    return trouble('nothing-skimmed', `Skim needs more than 0 ml; ${step.ml} ml was asked for.`, step.ml, 0);
  if (step.ml >= there)
    return trouble(
      'skim-too-much',
      `Skim ${litres(step.ml)}: there are only ${litres(there)} of liquid in the pot.`,
      step.ml,
      there,
    );
  const before = liquidG(pot.liquid);
  if (step.from === 'body') {
    const share = step.ml / there;
    bookLoss(pot, report, 'skimmed', share);
    scaleLiquid(pot.liquid, 1 - share);
  } else {
    const underG = before - pot.liquid.freeFat;
    const underMl = there - pot.liquid.freeFat / DENSITY.fat;
    // Nothing but fat has nothing to drag along.
    const mlPerFatG = 1 / DENSITY.fat + (underG > 0 ? (c.skimDrag * underMl) / underG : 0);
    const fat = Math.min(pot.liquid.freeFat, step.ml / mlPerFatG);
    const restMl = step.ml - fat / DENSITY.fat;
    const share = underMl > 0 ? Math.min(1, restMl / underMl) : 0;
    bookLoss(pot, report, 'skimmed', share);
    scaleUnderFat(pot.liquid, 1 - share);
    pot.liquid.freeFat -= fat;
  }
  pot.lost.skimmed += before - liquidG(pot.liquid);
  return undefined;
};
