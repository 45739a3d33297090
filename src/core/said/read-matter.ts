import type { Band } from '../pot';
import type { WrittenStep } from '../kitchen-file';
import { refuse, type Outcome } from '../trouble';
import { at, step } from './match';
import { findMatter, type Names } from './names';

/** A number, fraction or several of them with units, up to where the name begins. */
const AMOUNT = String.raw`(?:half an?|half|quarter|third|\d[\d.,'/⁄]*)(?:\s+\d+\s*[/⁄]\s*\d+)?(?:\s*[x×*]\s*\d[\d.,'/⁄]*)*`;
const UNIT = String.raw`(?:(?:us|imp)\s+)?(?:fl oz|pints?|pt|quarts?|qts?|gallons?|gals?|cups?|tbsp|tsp|kg|kilos?|mg|g|grams?|lbs?|pounds?|oz|ounces?|ml|cl|dl|l|litres?|liters?|each|ea|pieces?|pcs?|heads?|bunch(?:es)?|bottles?|cans?|tins?|bushels?)`;
const addWith = (units: string): RegExp => {
  const unit = `(?:${units})`;
  return new RegExp(
    String.raw`^((?:${AMOUNT})\s*${unit}(?:\s+\d[\d.,'/⁄]*\s*${unit})*)(?![a-z])\s*(?:of\s+)?(.+)$`,
    'i',
  );
};
const ADD = addWith(UNIT);
const withMeasures = new WeakMap<Names, RegExp>();

/** The form of an addition, the kitchen's own measures among its units. */
export function addFor(names: Names): RegExp {
  if (!names.measures?.length) return ADD;
  const made =
    withMeasures.get(names) ?? addWith(`(?:${names.measures.map((m) => m.name).join('|')})s?|${UNIT}`);
  withMeasures.set(names, made);
  return made;
}
export type With = 'thicken' | 'loosen' | 'enrich' | 'deglaze' | 'mount' | 'season';

export function readAdd(amount: string, name: string, names: Names): Outcome<WrittenStep> {
  const of = findMatter(name, names);
  return of.ok ? step({ do: 'add', of: of.value, amount }) : of;
}

export function readWith(verb: With, rest: string, names: Names): Outcome<WrittenStep> {
  const match = addFor(names).exec(rest);
  if (!match)
    return refuse(
      'not-understood',
      '',
      `“${verb} with ${rest}” needs an amount and a name, such as “${verb} with 80 g butter”.`,
    );
  const of = findMatter(at(match, 2), names);
  return of.ok ? step({ do: verb, of: of.value, amount: at(match, 1) }) : of;
}

export function readBand(
  verb: 'thicken' | 'loosen',
  band: Band,
  name: string,
  names: Names,
): Outcome<WrittenStep> {
  const of = findMatter(name, names);
  return of.ok ? step({ do: `${verb} to`, of: of.value, band }) : of;
}

export function readToTaste(name: string, usual: string, names: Names): Outcome<WrittenStep> {
  const of = findMatter(name, names);
  return of.ok ? step({ do: 'to taste', of: of.value, usual }) : of;
}

export function readSeasonTo(salt: string, name: string, names: Names): Outcome<WrittenStep> {
  const of = findMatter(name || 'salt', names);
  return of.ok ? step({ do: 'season to', of: of.value, salt }) : of;
}
