/**
 * Files of version 1, in which a count was of trimmed pieces: two onions weighed what two weigh, and all of that went in. Now a
 * count is of the thing as bought. What was written before keeps its meaning, marked, until a person takes the new one.
 */

const WEIGHED = String.raw`(?:fl oz|pints?|pt|quarts?|qts?|gallons?|gals?|cups?|tbsp|tsp|kg|kilos?|mg|g|grams?|lbs?|pounds?|oz|ounces?|ml|cl|dl|l|litres?|liters?)`;
/** An amount that is weighed or measured out. */
const MEASURED = new RegExp(String.raw`\d\s*(?:(?:us|imp)\s+)?${WEIGHED}(?![\p{L}])`, 'iu');

/** Whether an amount may be a count: what is weighed or measured out is none. The mark does nothing where it is none after all. */
export const mayBeCount = (amount: unknown): boolean => typeof amount === 'string' && !MEASURED.test(amount);

type Raw = Record<string, unknown>;
const isRaw = (value: unknown): value is Raw =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A step or a plate's line of version 1 as version 2 writes it. */
export function upgradeLine(line: unknown): unknown {
  if (!isRaw(line) || !isRaw(line.of) || !('ingredient' in line.of) || !mayBeCount(line.amount)) return line;
  return { ...line, of: { ...line.of, counted: 'trimmed' } };
}

/** Things that have lines, with those of version 2. */
export const upgradeLines = (thing: unknown, list: 'steps' | 'lines'): unknown =>
  isRaw(thing) && Array.isArray(thing[list])
    ? { ...thing, [list]: (thing[list] as unknown[]).map(upgradeLine) }
    : thing;

/** A whole file of version 1 as version 2 writes it. */
export function upgradeCounts(file: Raw): Raw {
  const all = (list: string, of: 'steps' | 'lines'): unknown =>
    Array.isArray(file[list])
      ? (file[list] as unknown[]).map((thing) => upgradeLines(thing, of))
      : file[list];
  return {
    ...file,
    version: 2,
    ...('recipes' in file ? { recipes: all('recipes', 'steps') } : {}),
    ...('plates' in file ? { plates: all('plates', 'lines') } : {}),
  };
}
