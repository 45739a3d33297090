import { fine, refuse, type Outcome } from '../trouble';
import { calculate } from './arithmetic';
import { readNumber, type DecimalMark } from './number';
import { doubtfulUnits, unitOf, type Kind, type Unit } from './units';
import * as texts from './texts';

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
  /** One of what it is packed in: 750 ml of `6 x 750 ml`. Absent where it is one piece. */
  readonly inner?: number | undefined;
}

/** How a kitchen writes amounts: its decimal mark, and its own measures by name in lower case. */
export interface Manner {
  readonly mark: DecimalMark;
  readonly measures?: ReadonlyMap<string, Unit> | undefined;
}

const number = String.raw`\d+\s+\d+\s*[/⁄]\s*\d+|\d+\s*[/⁄]\s*\d+|[+-]?\d[\d.,']*|half(?: an?)?|quarter|third`;
const word = String.raw`(?:us |imp |fl )*[\p{L}°%][\p{L}]*`;
const term = new RegExp(String.raw`^\s*(${number})\s*(?:(${word})\.?)?\s*`, 'iu');
const times = new RegExp(String.raw`^\s*(${number})\s*(?:x(?![\p{L}])|×|\*)\s*`, 'iu');
const wrapping =
  /^\s*(?:a\s+)?(?:case|box|bag|tray|crate|sack|carton|tub|pack|jar|bunch|net|punnet)s?(?:\s+of)?\s+(?=\d)/i;
const BRACKETS = /\(([^()]+)\)/;

/**
 * Reads an amount as people write it on invoices and sheets: `8 kg`, `2 lb 4 oz`, `1 1/2 l`,
 * `1 h 30`, `6 x 2.5 kg`, `case 12 x 750 ml`, `bunch of 12`, `half bottle`, `18 %`, `92 °C`; or works
 * it out: `3*2.5kg`, `2 kg + 300 g`, `10 kg / 4`.
 *
 * Several terms of one kind add up; a bare number after hours means minutes.
 *
 * @returns trouble `no-amount`, `no-unit`, `unknown-unit`, `doubtful-unit`, `mixed-units`,
 *   `not-an-amount`, `negative`, and everything `readNumber` returns.
 * @example readAmount('2 lb 4 oz') // 1020.58 g
 */
export function readAmount(typed: string, manner: DecimalMark | Manner = '.'): Outcome<Amount> {
  if (typeof manner === 'string') return readAnew(typed, { mark: manner });
  // A sheet that is cooked again and again says the same: what was read under a manner is kept with it.
  const known = readBefore.get(manner) ?? new Map<string, Outcome<Amount>>();
  readBefore.set(manner, known);
  const before = known.get(typed);
  if (before) return before;
  const read = readAnew(typed, manner);
  if (known.size >= MOST_KEPT) known.clear();
  known.set(typed, read);
  return read;
}

const readBefore = new WeakMap<Manner, Map<string, Outcome<Amount>>>();
const MOST_KEPT = 4000;

function readAnew(typed: string, how: Manner): Outcome<Amount> {
  const text = typed.trim();
  if (text === '') return refuse('no-amount', '', texts.amountMissingWriteNumber);
  const plain = withoutBrackets(text, how.mark);
  if (!plain.ok) return plain;
  // Plus and minus between amounts; a hyphen inside a word or at the front is none of these.
  const parts = plain.value.split(/(?<=[\p{L}%\d.])\s*([+−]|-(?=\s))\s*(?=\d|half|quarter)/iu);
  let total: Amount | undefined;
  for (let i = 0; i < parts.length; i += 2) {
    const read = readTerm(parts[i] ?? '', text, how);
    if (!read.ok) return read;
    const sign = i === 0 || parts[i - 1] === '+' ? 1 : -1;
    if (total && total.kind !== read.value.kind)
      return refuse('mixed-units', '', texts.mixes(text, total.kind, read.value.kind));
    total = total ? { ...total, inner: undefined, value: total.value + sign * read.value.value } : read.value;
  }
  if (!total) return notAnAmount(text);
  if (total.value < 0 && total.kind !== 'temperature')
    return refuse('negative', '', texts.below0(text), { value: total.value, limit: 0 });
  return fine({ ...total, typed: text });
}

const notAnAmount = (text: string) => refuse('not-an-amount', '', texts.notAmountWriteNumber(text));

/** Works out what stands in brackets, innermost first. */
function withoutBrackets(text: string, mark: DecimalMark): Outcome<string> {
  let rest = text;
  for (let found = BRACKETS.exec(rest); found; found = BRACKETS.exec(rest)) {
    const inside = calculate(found[1] ?? '', mark);
    if (!inside.ok) return inside;
    // Written back with the kitchen's own mark and few enough decimals not to be taken for thousands.
    rest = rest.replace(found[0], inside.value.toFixed(6).replace('.', mark));
  }
  return fine(rest);
}

/** One amount, perhaps multiplied in front (`6 x`) or behind (`/ 4`, `* 3`). */
function readTerm(part: string, whole: string, how: Manner): Outcome<Amount> {
  let rest = part.replace(wrapping, '');
  const packed = rest !== part;
  const behind = /(?<=[\p{L}%])\s*([/÷*×])\s*(\d[\d.,]*)\s*$/u.exec(rest);
  let divided = 1;
  if (behind) {
    const by = readNumber(behind[2] ?? '', how.mark);
    if (!by.ok) return by;
    if (by.value.isZero()) return refuse('divides-by-zero', '', texts.divides0(whole));
    divided = '/÷'.includes(behind[1] ?? '') ? 1 / by.value.toNumber() : by.value.toNumber();
    rest = rest.slice(0, behind.index);
  }
  let factor = 1;
  for (let many = times.exec(rest); many; many = times.exec(rest)) {
    const count = readNumber(many[1] ?? '', how.mark);
    if (!count.ok) return count;
    factor *= count.value.toNumber();
    rest = rest.slice(many[0].length);
  }
  let value = 0;
  let shown: Unit | undefined;
  while (rest.trim() !== '') {
    const found = term.exec(rest);
    if (!found) return notAnAmount(whole);
    const read = readNumber((found[1] ?? '').replace(/ an?$/i, ''), how.mark);
    if (!read.ok) return read;
    const unit = unitFor(found[2], shown?.kind, whole, packed, how);
    if (!unit.ok) return unit;
    shown ??= unit.value;
    if (unit.value.kind !== shown.kind)
      return refuse('mixed-units', '', texts.mixes(whole, shown.kind, unit.value.kind));
    value += toBase(read.value.toNumber(), unit.value);
    rest = rest.slice(found[0].length);
  }
  if (!shown) return notAnAmount(whole);
  return fine({
    typed: whole,
    kind: shown.kind,
    value: value * factor * divided,
    unit: shown.name,
    inner: factor > 1 && divided === 1 ? value : undefined,
  });
}

/** From how many on a bare number is rather grams than kilos: a portion of 180, bones of 8. */
const RATHER_GRAMS = 20;
const likelyUnit = (text: string): 'g' | 'kg' =>
  /^\d+([.,]\d+)?$/.test(text) && Number(text.replace(',', '.')) >= RATHER_GRAMS ? 'g' : 'kg';

function unitFor(
  wordTyped: string | undefined,
  soFar: Kind | undefined,
  text: string,
  packed: boolean,
  how: Manner,
): Outcome<Unit> {
  if (wordTyped === undefined) {
    if (soFar === 'time') return fine({ kind: 'time', name: 'min', factor: 1 / 60 });
    // “A bunch of 12”, “case of 24”: so many pieces.
    if (packed && soFar === undefined) return fine({ kind: 'count', name: 'each', factor: 1 });
    return refuse('no-unit', '', texts.noUnitWriteExample(text, likelyUnit(text)));
  }
  const said = wordTyped.trim().toLowerCase();
  const own = how.measures?.get(said) ?? how.measures?.get(said.replace(/s$/, ''));
  if (own) return fine(own);
  const doubt = doubtfulUnits[said];
  if (doubt)
    return {
      ok: false,
      trouble: {
        ...refuse('doubtful-unit', '', texts.differsBetweenCountriesWrite(wordTyped.trim(), doubt)).trouble,
        about: wordTyped.trim(),
      },
    };
  const unit = unitOf(wordTyped);
  return unit ? fine(unit) : refuse('unknown-unit', '', texts.notUnitKnownHere(wordTyped.trim()));
}

function toBase(value: number, unit: Unit): number {
  return unit.name === '°F' ? ((value - 32) * 5) / 9 : value * unit.factor;
}

/** Reads an amount that must be of one of the given kinds, saying which are wanted otherwise. */
export function readAmountOf(
  kinds: readonly Kind[],
  typed: string,
  manner: DecimalMark | Manner = '.',
): Outcome<Amount> {
  const read = readAmount(typed, manner);
  if (!read.ok || kinds.includes(read.value.kind)) return read;
  return refuse('wrong-kind', '', texts.kindWanted(typed.trim(), read.value.kind, kinds.join(' or ')));
}
