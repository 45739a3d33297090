/** One priced thing that went into a batch: kg and currency per kg. */
export interface VarianceLine {
  readonly name: string;
  readonly kg: number;
  readonly price: number;
}

export interface MeasuredShare {
  readonly litres: number;
  readonly lines: readonly VarianceLine[];
}

/** Why a batch cost something else than the sheet said, in currency; `difference` = price + mix + yield, without remainder. */
export interface Variance {
  readonly standardPerL: number;
  /** kg that went in over the kg of the standard: how many standard batches it was. */
  readonly batches: number;
  /** Litres that so much should have given. */
  readonly expectedLitres: number;
  readonly price: number;
  readonly mix: number;
  readonly yield: number;
  /** Actual cost less the standard cost of the litres got. */
  readonly difference: number;
}

/**
 * Splits what a batch cost beyond its standard: prices that differ, at the quantities used; quantities that differ from the
 * standard's shares, at standard prices; litres that so much should have given and did not, at the standard cost of a litre.
 * What stands in one list only counts as 0 kg in the other, at its own price there.
 *
 * @throws RangeError where the standard has no litres or no kg: there is nothing to compare with
 * @example varianceOf({litres: 6, lines: [{name: 'bone', kg: 8, price: 2.4}]}, {litres: 6, lines: [{name: 'bone', kg: 8, price: 2.5}]}).price // 0.8
 */
export function varianceOf(standard: MeasuredShare, actual: MeasuredShare): Variance {
  const kgOf = (m: MeasuredShare): number => m.lines.reduce((sum, l) => sum + l.kg, 0);
  const costOf = (m: MeasuredShare): number => m.lines.reduce((sum, l) => sum + l.kg * l.price, 0);
  if (!(standard.litres > 0) || !(kgOf(standard) > 0))
    throw new RangeError('a standard needs litres and kilos to be compared with');
  const standardPerL = costOf(standard) / standard.litres;
  const batches = kgOf(actual) / kgOf(standard);
  const names = [...new Set([...standard.lines, ...actual.lines].map((l) => l.name))];
  let price = 0;
  let mix = 0;
  for (const name of names) {
    const [meant, used] = [totalOf(standard, name), totalOf(actual, name)];
    const at = meant.kg > 0 ? meant.price : used.price;
    price += (used.price - at) * used.kg;
    mix += (used.kg - meant.kg * batches) * at;
  }
  const expectedLitres = standard.litres * batches;
  return {
    standardPerL,
    batches,
    expectedLitres,
    price,
    mix,
    yield: (expectedLitres - actual.litres) * standardPerL,
    difference: costOf(actual) - standardPerL * actual.litres,
  };
}

/** All lines of a name as one, at their average price. */
function totalOf(m: MeasuredShare, name: string): { kg: number; price: number } {
  const lines = m.lines.filter((l) => l.name === name);
  const kg = lines.reduce((sum, l) => sum + l.kg, 0);
  const money = lines.reduce((sum, l) => sum + l.kg * l.price, 0);
  return { kg, price: kg > 0 ? money / kg : (lines[0]?.price ?? 0) };
}
