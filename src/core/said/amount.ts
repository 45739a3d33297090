import type { Names } from './names';

/** A number, fraction or several of them with units, up to where the name begins. */
const AMOUNT = String.raw`(?:half an?|half|quarter|third|\d[\d.,'/⁄]*)(?:\s+\d+\s*[/⁄]\s*\d+)?(?:\s*[x×*]\s*\d[\d.,'/⁄]*)*`;
const UNIT = String.raw`(?:(?:us|imp)\s+)?(?:fl oz|pints?|pt|quarts?|qts?|gallons?|gals?|cups?|tbsp|tsp|kg|kilos?|mg|g|grams?|lbs?|pounds?|oz|ounces?|ml|cl|dl|l|litres?|liters?|each|ea|pieces?|pcs?|heads?|bunch(?:es)?|bottles?|cans?|tins?|bushels?|cloves?|sprigs?|sticks?|stalks?|ribs?|slices?|rashers?|dozens?)`;
const addWith = (units: string): RegExp => {
  const unit = `(?:${units})`;
  return new RegExp(
    String.raw`^((?:${AMOUNT})\s*${unit}(?:\s+\d[\d.,'/⁄]*\s*${unit})*)(?![a-z])\s*(?:of\s+)?(.+)$`,
    'i',
  );
};
const ADD = addWith(UNIT);
const withMeasures = new WeakMap<Names, RegExp>();

/** The form of an amount and a name (groups 1 and 2), the kitchen's own measures among its units. */
export function amountAndName(names: Names): RegExp {
  if (!names.measures?.length) return ADD;
  const made =
    withMeasures.get(names) ?? addWith(`(?:${names.measures.map((m) => m.name).join('|')})s?|${UNIT}`);
  withMeasures.set(names, made);
  return made;
}
