import { fine, refuse, type Outcome } from '../trouble';
import type { Amount } from './amount';

/** What one thing needs to be known before litres or pieces of it become grams. */
export interface Weighable {
  readonly name: string;
  /** g per ml as it is measured (bulk density for a heap of leaves, true density for a liquid). */
  readonly densityGPerMl?: number | undefined;
  /** g of one each, bunch, bottle or can. */
  readonly eachG?: number | undefined;
}

/**
 * Grams of a thing for an amount of mass, volume or count.
 *
 * @returns trouble `density-unknown` or `piece-weight-unknown` where the thing's own figure is
 *   missing: nothing is guessed from another thing's.
 */
export function toGrams(amount: Amount, thing: Weighable): Outcome<{ grams: number; via: string }> {
  if (amount.kind === 'mass') return fine({ grams: amount.value, via: 'weighed' });
  if (amount.kind === 'volume') {
    if (thing.densityGPerMl === undefined)
      return refuse(
        'density-unknown',
        '',
        `${thing.name} is asked for by volume, but what a litre of it weighs is not known.`,
      );
    return fine({
      grams: amount.value * thing.densityGPerMl,
      via: `${thing.densityGPerMl.toPrecision(4)} g per ml`,
    });
  }
  if (amount.kind === 'count') {
    if (thing.eachG === undefined)
      return refuse(
        'piece-weight-unknown',
        '',
        `${thing.name} is asked for by the piece, but what one weighs is not known.`,
      );
    return fine({ grams: amount.value * thing.eachG, via: `${thing.eachG} g each` });
  }
  return refuse('wrong-kind', '', `“${amount.typed}” is not a mass, volume or count.`);
}
