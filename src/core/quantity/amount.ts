import { fine, refuse, type Outcome } from '../trouble';
import { readNumber, type DecimalMark } from './number';
import { doubtfulUnits, unitOf, type Kind, type Unit } from './units';

/**
 * An amount as typed, and what was understood.
 *
 * `value` is in the base unit of its kind: g, ml at 20 °C, each, cm, h, share of 1, °C.
 */
export interface Amount {
  readonly typed: string;
  readonly kind: Kind;
  readonly value: number;
  /** The unit it was typed in, e.g. `lb`. */
  readonly unit: string;
}

const number = String.raw`\d+\s+\d+\s*[/⁄]\s*\d+|\d+\s*[/⁄]\s*\d+|[+-]?\d[\d.,']*|half(?: an?)?|quarter|third`;
const word = String.raw`(?:us |imp |fl )*[a-zA-Z°%][a-zA-Z]*`;
const term = new RegExp(String.raw`^\s*(${number})\s*(${word})?\s*`, 'i');
const times = new RegExp(String.raw`^\s*(${number})\s*(?:x|×|\*)\s*`, 'i');
const wrapping = /^\s*(?:case|box|bag|tray|crate|sack|carton|tub|pack|jar)s?(?:\s+of)?\s+(?=\d)/i;

/**
 * Reads an amount as people write it on invoices and sheets: `8 kg`, `2 lb 4 oz`, `1 1/2 l`,
 * `1 h 30`, `6 x 2.5 kg`, `case 12 x 750 ml`, `half bottle`, `18 %`, `92 °C`.
 *
 * Several terms of one kind add up; a bare number after hours means minutes.
 *
 * @returns trouble `no-amount`, `no-unit`, `unknown-unit`, `doubtful-unit`, `mixed-units`,
 *   `not-an-amount`, `negative`, and everything `readNumber` returns.
 * @example readAmount('2 lb 4 oz') // 1020.58 g
 */
export function readAmount(typed: string, mark: DecimalMark = '.'): Outcome<Amount> {
  const text = typed.trim();
  if (text === '')
    return refuse('no-amount', '', 'An amount is missing: write a number and a unit, such as 2.5 kg.');
  let rest = text.replace(wrapping, '');
  let factor = 1;
  for (let many = times.exec(rest); many; many = times.exec(rest)) {
    const count = readNumber(many[1] ?? '', mark);
    if (!count.ok) return count;
    factor *= count.value.toNumber();
    rest = rest.slice(many[0].length);
  }
  let kind: Kind | undefined;
  let value = 0;
  let shown: Unit | undefined;
  while (rest.trim() !== '') {
    const found = term.exec(rest);
    if (!found)
      return refuse(
        'not-an-amount',
        '',
        `“${text}” is not an amount: write a number and a unit, such as 2.5 kg.`,
      );
    const read = readNumber((found[1] ?? '').replace(/ an?$/i, ''), mark);
    if (!read.ok) return read;
    const unit = unitFor(found[2], kind, text);
    if (!unit.ok) return unit;
    if (kind !== undefined && unit.value.kind !== kind)
      return refuse('mixed-units', '', `“${text}” mixes ${kind} and ${unit.value.kind}.`);
    kind = unit.value.kind;
    shown ??= unit.value;
    value += toBase(read.value.toNumber(), unit.value);
    rest = rest.slice(found[0].length);
  }
  if (kind === undefined || shown === undefined)
    return refuse(
      'not-an-amount',
      '',
      `“${text}” is not an amount: write a number and a unit, such as 2.5 kg.`,
    );
  const total = value * factor;
  if (total < 0 && kind !== 'temperature')
    return refuse('negative', '', `“${text}” is below 0.`, { value: total, limit: 0 });
  return fine({ typed: text, kind, value: total, unit: shown.name });
}

function unitFor(wordTyped: string | undefined, soFar: Kind | undefined, text: string): Outcome<Unit> {
  if (wordTyped === undefined) {
    if (soFar === 'time') return fine({ kind: 'time', name: 'min', factor: 1 / 60 });
    return refuse('no-unit', '', `“${text}” has no unit: write, for example, ${text} kg.`);
  }
  const doubt = doubtfulUnits[wordTyped.trim().toLowerCase()];
  if (doubt)
    return refuse('doubtful-unit', '', `“${wordTyped.trim()}” differs between countries: write ${doubt}.`);
  const unit = unitOf(wordTyped);
  return unit ? fine(unit) : refuse('unknown-unit', '', `“${wordTyped.trim()}” is not a unit known here.`);
}

function toBase(value: number, unit: Unit): number {
  return unit.name === '°F' ? ((value - 32) * 5) / 9 : value * unit.factor;
}

/** Reads an amount that must be of one of the given kinds, saying which are wanted otherwise. */
export function readAmountOf(
  kinds: readonly Kind[],
  typed: string,
  mark: DecimalMark = '.',
): Outcome<Amount> {
  const read = readAmount(typed, mark);
  if (!read.ok || kinds.includes(read.value.kind)) return read;
  return refuse(
    'wrong-kind',
    '',
    `“${typed.trim()}” is a ${read.value.kind}; a ${kinds.join(' or ')} is wanted here.`,
  );
}
