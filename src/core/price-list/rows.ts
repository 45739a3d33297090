import type { Decimal } from 'decimal.js';
import { readPrice } from '../larder';
import type { DecimalMark } from '../quantity';
import { fine, refuse, type Outcome } from '../trouble';
import type { Places } from './columns';
import * as texts from './texts';

/** What one row of a list says. */
export interface ListRow {
  readonly code?: string | undefined;
  readonly name: string;
  /** As typed, its unit put behind it; undefined where the list says nothing of packs. */
  readonly pack?: string | undefined;
  readonly price: Decimal;
  readonly priceTyped: string;
}

const SIGNS: Readonly<Record<string, string>> = { '€': 'EUR', $: 'USD', '£': 'GBP', '¥': 'JPY' };
const CODES = /\b(EUR|USD|GBP|CHF|SEK|NOK|DKK|PLN|JPY|CAD|AUD)\b/i;
/** A cell that a spreadsheet would work out: `=B2*1.1`, `+A1`, `@SUM(…)`. */
const FORMULA = /^\s*(=|@\w|[+-]\s*[A-Z]+\d)/i;

/**
 * The decimal mark of a list, told by its own prices: what stands before one or two last digits, or last where both marks occur.
 * @returns undefined where the prices do not tell, or contradict each other
 */
export function listMark(prices: readonly string[]): DecimalMark | undefined {
  const seen = new Set<DecimalMark>();
  for (const price of prices) {
    const both = /[.,]\d{3}([.,])\d+\s*\D*$/.exec(price);
    const short = /(?:^|\D)\d+([.,])\d{1,2}\s*\D*$/.exec(price);
    const mark = (both?.[1] ?? short?.[1]) as DecimalMark | undefined;
    if (mark) seen.add(mark);
  }
  return seen.size === 1 ? [...seen][0] : undefined;
}

/**
 * Reads one row. A row without anything in it is undefined: lists are full of blank lines and headings.
 *
 * @returns trouble `formula`, `other-currency`, `no-name`, `no-price-typed` and what `readPrice` returns
 */
export function readRow(
  cells: readonly string[],
  places: Places,
  mark: DecimalMark,
  currency: string,
): Outcome<ListRow | undefined> {
  const cell = (key: keyof Places): string => {
    const at = places[key];
    return at === undefined ? '' : (cells[at] ?? '').trim();
  };
  if (cells.every((c) => c.trim() === '')) return fine(undefined);
  const [code, name, pack, unit, priceTyped] = [
    cell('code'),
    cell('name'),
    cell('pack'),
    cell('unit'),
    cell('price'),
  ];
  const formula = [code, name, pack, unit, priceTyped].find((text) => FORMULA.test(text));
  if (formula !== undefined) return refuse('formula', '', texts.formulaListSavedValues(shorten(formula)));
  if (code === '' && name === '') return refuse('no-name', '', texts.neitherCodeNorName);
  if (priceTyped === '') return refuse('no-price-typed', '', texts.noPrice);
  const other = currencyOf(priceTyped);
  if (other !== undefined && other !== currency)
    return refuse('other-currency', '', texts.kitchenUses(shorten(priceTyped), other, currency));
  const price = readPrice(plainPrice(priceTyped, mark), '.');
  if (!price.ok)
    return refuse(
      price.trouble.code,
      '',
      price.trouble.code === 'not-a-number' ? texts.notPrice(shorten(priceTyped)) : price.trouble.message,
      price.trouble.numbers,
    );
  return fine({
    code: code || undefined,
    name: name || code,
    pack: packText(pack, unit),
    price: price.value,
    priceTyped,
  });
}

const shorten = (text: string): string => (text.length > 40 ? `${text.slice(0, 39)}…` : text);

function currencyOf(text: string): string | undefined {
  const code = CODES.exec(text)?.[1]?.toUpperCase();
  if (code) return code;
  return Object.entries(SIGNS).find(([sign]) => text.includes(sign))?.[1];
}

/** The figure with a point before its decimals and nothing before its thousands. */
function plainPrice(text: string, mark: DecimalMark): string {
  const bare = text.replace(/[€$£¥\s\u00a0']/g, '').replace(CODES, '');
  const thousands = mark === ',' ? /\./g : /,/g;
  const plain = bare.replace(thousands, '').replace(mark, '.');
  // Three decimals are a price to the tenth of a cent here: the list's mark is known.
  return /^\d+\.\d{3}$/.test(plain) ? `${plain}0` : plain;
}

/** A pack as people write it: a bare number gets the unit of its own column; `per kg` is a pack of one. */
function packText(pack: string, unit: string): string | undefined {
  const per = /^(?:per|je|a|\/)\s*/i;
  const whole = pack.replace(per, '');
  if (whole === '') return unit === '' ? undefined : `1 ${unit.replace(per, '')}`;
  const text = /^[\d.,/ x×*]+$/i.test(whole) && unit !== '' ? `${whole} ${unit.replace(per, '')}` : whole;
  return /^\p{L}/u.test(text) && !/\d/.test(text) ? `1 ${text}` : text;
}
