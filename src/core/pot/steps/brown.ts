import { pieceG } from '../piece';
import { kilos, trouble, type StepRunner } from '../step';
import { partFat } from './part';

/** °C at which water leaves what browns: the least heat that goes into it. */
const BROWNING = 100;

/**
 * Browns the pieces in the pot: `vapour` and `fatRunOff` are shares of their current mass. Vapour is
 * all water; pools stay as they are, so browning costs no gelatin. The fat is poured off, kept in the pot, or a product
 * of its own.
 */
export const brown: StepRunner<'brown'> = (pot, step, c, report) => {
  const share = step.vapour + step.fatRunOff;
  if (pot.pieces.length === 0)
    return trouble('nothing-to-brown', 'Brown: there are no pieces in the pot to brown.', 0, 0);
  if (!(step.vapour >= 0 && step.fatRunOff >= 0 && share > 0 && share < 1))
    return trouble(
      'brown-out-of-range',
      `Brown ${(share * 100).toFixed(0)} % cannot be: the loss lies above 0 and below 100 % of the weight.`,
      share,
      1,
    );
  for (const piece of pot.pieces) {
    const g = pieceG(piece);
    const vapour = g * step.vapour;
    const fat = g * step.fatRunOff;
    if (vapour > piece.parts.water)
      return trouble(
        'brown-too-far',
        `Brown ${(step.vapour * 100).toFixed(0)} %: ${piece.stuff.name} would give off ${kilos(vapour)} of vapour but hold only ${kilos(piece.parts.water)} of water.`,
        vapour,
        piece.parts.water,
      );
    if (fat > piece.parts.fat)
      return trouble(
        'too-little-fat',
        `Brown, fat run off ${(step.fatRunOff * 100).toFixed(0)} %: ${piece.stuff.name} would lose ${kilos(fat)} but holds only ${kilos(piece.parts.fat)} of fat.`,
        fat,
        piece.parts.fat,
      );
  }
  let vapour = 0;
  let fat = 0;
  for (const piece of pot.pieces) {
    const g = pieceG(piece);
    piece.parts.water -= g * step.vapour;
    piece.parts.fat -= g * step.fatRunOff;
    vapour += g * step.vapour;
    fat += g * step.fatRunOff;
    pot.netKj += (g / 1000) * c.heatCapacity.pieces * Math.max(0, BROWNING - pot.celsius);
  }
  pot.lost['browned off'] += vapour;
  pot.netKj += (vapour / 1000) * c.latentKj;
  if (step.fatKept) pot.liquid.freeFat += fat;
  else if (step.as !== undefined) partFat(pot, step, fat, report);
  else pot.lost['fat run off'] += fat;
  pot.elapsedHours += step.hours;
  return undefined;
};
