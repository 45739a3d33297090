import { Decimal } from 'decimal.js';
import type { Amount } from './amount';
import type { DecimalMark } from './number';
import { unitOf, type Unit } from './units';

/**
 * Writes an amount in the unit it was typed in, the shortest way that reads back as the same amount:
 * `3*2.5kg` is `7.5 kg`.
 * @param measures the house's own, by name in lower case
 */
export function writeAmount(
  amount: Pick<Amount, 'value' | 'unit'>,
  mark: DecimalMark = '.',
  measures?: ReadonlyMap<string, Unit>,
): string {
  const unit = measures?.get(amount.unit.toLowerCase()) ?? unitOf(amount.unit);
  const factor = unit?.factor ?? 1;
  const inUnit = amount.unit === '°F' ? (amount.value * 9) / 5 + 32 : amount.value / factor;
  // Twelve digits are more than any scale has, and few enough to leave binary dust behind.
  const figure = new Decimal(inUnit).toSignificantDigits(12);
  return `${plain(figure, mark)} ${amount.unit}`;
}

/** A figure that cannot be taken for thousands: exactly three decimals get a fourth. */
function plain(figure: Decimal, mark: DecimalMark): string {
  const text = figure.decimalPlaces() === 3 ? figure.toFixed(4) : figure.toFixed();
  return text.replace('.', mark);
}
