import { fine, refuse, type Outcome } from '../trouble';
import type { Amount } from './amount';
import { COUNT_UNITS, type CountUnit } from './units';
import * as texts from './texts';

/** What one thing needs to be known before litres or pieces of it become grams. */
export interface Weighable {
  readonly name: string;
  /** g per ml as it is measured (bulk density for a heap of leaves, true density for a liquid). */
  readonly densityGPerMl?: number | undefined;
  /** g of one, counted in `eachUnit`; in whatever unit where that is left out. */
  readonly eachG?: number | undefined;
  readonly eachUnit?: CountUnit | undefined;
  /** g of one in other units it is counted in. */
  readonly pieceG?: Partial<Record<CountUnit, number>> | undefined;
  /** Share of a counted piece that goes in: two onions are two whole onions, and what is cut off them does not. All of it where left out. */
  readonly usable?: number | undefined;
}

/** What an amount comes to: the grams that go in, and for counted pieces what those weigh as they were bought. */
export interface Grams {
  readonly grams: number;
  readonly wholeG?: number | undefined;
  readonly via: string;
}

/**
 * Grams of a thing for an amount of mass, volume or count. A mass or volume is of what goes in; a count is of the thing as bought.
 *
 * @returns trouble `density-unknown` or `piece-weight-unknown` where the thing's own figure is
 *   missing: nothing is guessed from another thing's.
 */
export function toGrams(amount: Amount, thing: Weighable): Outcome<Grams> {
  if (amount.kind === 'mass') return fine({ grams: amount.value, via: 'weighed' });
  if (amount.kind === 'volume') {
    if (thing.densityGPerMl === undefined)
      return refuse('density-unknown', '', texts.askedVolumeButWhat(thing.name));
    return fine({
      grams: amount.value * thing.densityGPerMl,
      via: `${thing.densityGPerMl.toPrecision(4)} g per ml`,
    });
  }
  if (amount.kind === 'count') {
    const unit = countUnitOf(amount.unit);
    const one = pieceWeight(thing, unit);
    if (one === undefined) {
      const { trouble } = refuse(
        'piece-weight-unknown',
        '',
        unit === 'each' ? texts.askedPieceButWhat(thing.name) : texts.askedButWhatWeighs(thing.name, unit),
      );
      return { ok: false, trouble: { ...trouble, unknown: { said: thing.name, kind: unit } } };
    }
    const wholeG = amount.value * one;
    const via = `${one} g ${unit === 'each' ? 'each' : `a ${unit}`}`;
    return fine({ grams: wholeG * (thing.usable ?? 1), wholeG, via });
  }
  return refuse('wrong-kind', '', texts.notMassVolumeOr(amount.typed));
}

/** What an amount is counted in; a dozen, or a measure of the house's own, counts single pieces. */
export const countUnitOf = (unit: string): CountUnit => COUNT_UNITS.find((u) => u === unit) ?? 'each';

function pieceWeight(thing: Weighable, unit: CountUnit): number | undefined {
  const own = thing.pieceG?.[unit];
  if (own !== undefined) return own;
  return thing.eachUnit === undefined || thing.eachUnit === unit ? thing.eachG : undefined;
}
