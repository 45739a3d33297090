import { Decimal } from 'decimal.js';
import { fine, refuse, type Outcome } from '../trouble';
import * as texts from './texts';

/** Which mark a kitchen writes before the decimals. The other one then groups thousands. */
export type DecimalMark = '.' | ',';

const words: Record<string, string> = {
  half: '1/2',
  quarter: '1/4',
  third: '1/3',
  a: '1',
  an: '1',
  one: '1',
};

/**
 * Reads one number as a person types it: `12`, `1.5`, `1,234.50`, `1 1/2`, `3/4`, `half`.
 *
 * A single mark with exactly three digits behind it (`1.500`, `1,500`) can mean one and a half or
 * one and a half thousand. It is asked, never guessed, except where the reading is forced:
 * `0.500` cannot be grouped thousands.
 *
 * @returns a Decimal, exact as typed; or trouble `not-a-number`, `two-meanings`, `divides-by-zero`.
 */
export function readNumber(text: string, mark: DecimalMark = '.'): Outcome<Decimal> {
  const trimmed = text.trim().toLowerCase();
  const said = words[trimmed] ?? trimmed;
  const mixed = /^(?:(\d+)\s+)?(\d+)\s*[/⁄]\s*(\d+)$/.exec(said);
  if (mixed) {
    const [, whole = '0', top = '0', bottom = '1'] = mixed;
    if (Number(bottom) === 0) return refuse('divides-by-zero', '', texts.divides0(text.trim()));
    return fine(new Decimal(top).div(bottom).plus(whole));
  }
  if (!/^[+-]?[\d.,' ]*\d[\d.,' ]*$/.test(said))
    return refuse('not-a-number', '', texts.notNumber(text.trim()));
  return readMarks(said.replace(/[ ']/g, ''), text.trim(), mark);
}

function readMarks(digits: string, typed: string, mark: DecimalMark): Outcome<Decimal> {
  const sign = digits.startsWith('-') ? -1 : 1;
  const bare = digits.replace(/^[+-]/, '');
  const marks = bare.match(/[.,]/g) ?? [];
  const last = Math.max(bare.lastIndexOf('.'), bare.lastIndexOf(','));
  const tail = bare.length - last - 1;
  const wrong = refuse('not-a-number', '', texts.notNumber(typed));
  if (marks.length === 0) return fine(new Decimal(bare).times(sign));
  if (marks.length === 1) {
    const head = bare.slice(0, last);
    if (tail === 3 && /^[1-9]\d{0,2}$/.test(head))
      return refuse(
        'two-meanings',
        '',
        texts.canMeanOrWrite(
          typed,
          `${head}${mark}${bare.slice(last + 1).replace(/0+$/, '') || '0'}`,
          `${head}${bare.slice(last + 1)}`,
        ),
      );
    return fine(new Decimal(`${head || '0'}.${bare.slice(last + 1) || '0'}`).times(sign));
  }
  const kinds = new Set(marks);
  const decimalMark = kinds.size === 2 ? bare[last] : undefined;
  const whole = decimalMark === undefined ? bare : bare.slice(0, last);
  if (!/^\d{1,3}([.,]\d{3})+$/.test(whole)) return wrong;
  if (decimalMark !== undefined && whole.includes(decimalMark)) return wrong;
  const decimals = decimalMark === undefined ? '0' : bare.slice(last + 1) || '0';
  return fine(new Decimal(`${whole.replace(/[.,]/g, '')}.${decimals}`).times(sign));
}
