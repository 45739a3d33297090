import { DENSITY, expansion } from '../../quantity';
import { WATER } from '../../larder';
import { addStuff, liquidG, liquidMl, pourShare, type Liquid } from '../liquid';
import { newPiece, pieceG, type Piece } from '../piece';
import { takeOf } from '../product';
import { heapLevelCm, levelCm, mixedCelsius, piecesMl, type PotState } from '../state';
import { kilos, litres, trouble, type Matter, type StepReport, type StepRunner } from '../step';
import { capacityMl, volumeAt } from '../vessel';
import type { ProcessConstants } from '../constants';

/**
 * Puts matter into the pot: liquids join the liquid, pieces stay pieces, products bring both.
 * `bindFat` holds the fat that comes in (roux, mounted butter).
 */
export function putIn(
  pot: PotState,
  what: Matter,
  g: number,
  c: ProcessConstants,
  report: StepReport,
  bindFat = false,
): void {
  report.inputs.push({ supply: what.supply, name: what.is === 'stuff' ? what.stuff.name : what.name, g });
  if (what.is === 'stuff') {
    const piece = what.stuff.role === 'piece';
    pot.celsius = mixedCelsius(pot, c, g, piece ? 'pieces' : 'liquid', c.addedCelsius);
    if (piece) pot.pieces.push(newPiece(what.stuff, g));
    else addStuff(pot.liquid, what.stuff, g, bindFat);
    for (const allergen of what.stuff.allergens) pot.allergens.add(allergen);
    return;
  }
  const { liquid, pieces } = takeOf(what.product, g);
  pot.celsius = mixedCelsius(pot, c, liquidG(liquid), 'liquid', c.addedCelsius);
  pot.celsius = mixedCelsius(pot, c, sumG(pieces), 'pieces', c.addedCelsius);
  if (bindFat) holdFat(liquid);
  pourShare(pot.liquid, liquid, 1);
  pot.pieces.push(...pieces);
  for (const allergen of what.product.allergens) pot.allergens.add(allergen);
}

const sumG = (pieces: readonly Piece[]): number => pieces.reduce((sum, p) => sum + pieceG(p), 0);

function holdFat(l: Liquid): void {
  l.boundFat += l.freeFat;
  l.freeFat = 0;
}

export const add: StepRunner<'add'> = (pot, step, c, report) => {
  if (!(step.g > 0))
    return trouble('nothing-added', `Add needs more than 0 g; ${kilos(step.g)} was asked for.`, step.g, 0);
  putIn(pot, step.what, step.g, c, report);
  return undefined;
};

/** Water up to the litres it held before it was put on the heat. */
export const topUp: StepRunner<'top up'> = (pot, _step, c, report) => {
  const before = pot.beforeHeatMl;
  if (before === undefined)
    return trouble(
      'nothing-to-top-up',
      'Top up: the pot has not been on the heat, so nothing has boiled away.',
      0,
      0,
    );
  const now = liquidMl(pot.liquid);
  if (now >= before - 1e-6)
    return trouble(
      'already-higher',
      `Top up to ${litres(before)}: there are already ${litres(now)} in the pot.`,
      before,
      now,
    );
  putIn(pot, { is: 'stuff', supply: 'free', stuff: WATER }, (before - now) * DENSITY.water, c, report);
  return undefined;
};

/** Water to an amount, to a level, or until it stands some cm over the heap of pieces. */
export const water: StepRunner<'water'> = (pot, step, c, report) => {
  const { to } = step;
  const into = (g: number): void => putIn(pot, { is: 'stuff', supply: 'free', stuff: WATER }, g, c, report);
  if (to.by === 'ml') {
    if (!(to.value > 0))
      return trouble(
        'nothing-added',
        `Water needs more than 0 l; ${litres(to.value)} was asked for.`,
        to.value,
        0,
      );
    into(to.value * DENSITY.water);
    return undefined;
  }
  if (to.by === 'cover' && pot.pieces.length === 0)
    return trouble(
      'nothing-to-cover',
      'Water to cover: there are no bones or vegetables in the pot to cover.',
      0,
      0,
    );
  const target = to.by === 'level' ? to.value : heapLevelCm(pot) + to.value;
  const wanted = to.by === 'level' ? `to ${to.value.toFixed(1)} cm` : `to cover by ${to.value.toFixed(1)} cm`;
  const height = pot.vessel.heightCm;
  if (target > height)
    return trouble(
      'over-rim',
      `Water ${wanted} would stand at ${target.toFixed(1)} cm; the ${pot.vessel.name} is ${height.toFixed(1)} cm high (${litres(capacityMl(pot.vessel))}).`,
      target,
      height,
    );
  const now = levelCm(pot);
  if (target <= now)
    return trouble(
      'already-higher',
      `Water ${wanted} means a level of ${target.toFixed(1)} cm; the pot already stands at ${now.toFixed(1)} cm.`,
      target,
      now,
    );
  into(waterToReach(pot, c, volumeAt(pot.vessel, target)));
  return undefined;
};

/** g of cold water that bring liquid (at the temperature it then has) and pieces to a volume, by bisection. */
function waterToReach(pot: PotState, c: ProcessConstants, standing: number): number {
  const liquid = liquidMl(pot.liquid);
  const pieces = piecesMl(pot);
  const reached = (g: number): number =>
    (liquid + g / DENSITY.water) * expansion(mixedCelsius(pot, c, g, 'liquid', c.addedCelsius)) + pieces;
  let low = 0;
  let high = standing * 1.01;
  for (let i = 0; i < 80; i += 1) {
    const mid = (low + high) / 2;
    if (reached(mid) < standing) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}
