import { fine, refuse, type Outcome } from '../trouble';
import { readAmountOf, type Manner } from './amount';
import type { DecimalMark } from './number';
import { unitOf, type Unit } from './units';
import * as texts from './texts';

/** A measure of the house's own, defined once: a ladle is 120 ml, a crate 6 kg. */
export interface HouseMeasure {
  readonly name: string;
  /** As typed, in a unit everybody knows. */
  readonly amount: string;
}

const ONE_WORD = /^\p{L}{2,24}$/u;

/**
 * A house measure as a unit.
 * @returns trouble `measure-name` (one word of letters), `measure-taken` (a unit of that name exists),
 *   `empty-measure`, or what reading its amount returns
 */
export function measureUnit(measure: HouseMeasure, mark: DecimalMark): Outcome<Unit> {
  const name = measure.name.trim();
  if (!ONE_WORD.test(name)) return refuse('measure-name', 'name', texts.cannotMeasureOneWord(name));
  if (unitOf(name)) return refuse('measure-taken', 'name', texts.unitAlready(name));
  const amount = readAmountOf(['mass', 'volume', 'count'], measure.amount, mark);
  if (!amount.ok) return { ok: false, trouble: { ...amount.trouble, path: 'amount' } };
  if (!(amount.value.value > 0))
    return refuse('empty-measure', 'amount', texts.holdsNothingMeasureHolds(measure.amount), {
      value: 0,
      limit: 0,
    });
  return fine({ kind: amount.value.kind, name, factor: amount.value.value });
}

/** How a kitchen with these measures writes amounts. Measures that cannot be read are left out. */
export function mannerOf(mark: DecimalMark, measures: readonly HouseMeasure[]): Manner {
  const known = new Map<string, Unit>();
  for (const measure of measures) {
    const unit = measureUnit(measure, mark);
    if (unit.ok) known.set(measure.name.trim().toLowerCase(), unit.value);
  }
  return { mark, measures: known };
}
