import type { Decimal } from 'decimal.js';
import { fine, refuse, type Outcome } from '../trouble';
import { readNumber, type DecimalMark } from './number';
import * as texts from './texts';

const OPERATOR = /^\s*([-+*/x×÷()−])\s*/;
const OPERAND = /^\s*(\d+\s+\d+\s*\/\s*\d+(?!\s*[\d/])|\d[\d.,']*(?: \d{3}(?!\d))*|half|quarter|third)/i;
const DEEPEST = 20;

/**
 * Works out what is typed into a number field: one number as `readNumber` takes it, or arithmetic with
 * `+ - * /` and brackets (`3*12.50`, `24.50/2`, `(7 + 5) x 1,20`). Exact; `*` and `/` before `+` and `-`.
 *
 * @returns what `readNumber` returns, and trouble `not-a-sum` where the arithmetic breaks off
 * @example calculate('3*12.50') // 37.5
 */
export function calculate(typed: string, mark: DecimalMark = '.'): Outcome<Decimal> {
  const single = readNumber(typed, mark);
  if (single.ok || !/[-+*/x×÷(−]/.test(typed.trim().slice(1))) return single;
  const wrong = refuse('not-a-sum', '', texts.cannotCalculated(typed.trim()));
  let rest = typed;
  let depth = 0;

  const take = (signs: string): string | undefined => {
    const found = OPERATOR.exec(rest);
    if (!found || !signs.includes(found[1] ?? '')) return undefined;
    rest = rest.slice(found[0].length);
    return found[1];
  };
  const operand = (): Outcome<Decimal> => {
    if (take('-−')) {
      const of = operand();
      return of.ok ? fine(of.value.negated()) : of;
    }
    if (take('(')) {
      depth += 1;
      if (depth > DEEPEST) return wrong;
      const inside = sum();
      return !inside.ok || take(')') ? inside : wrong;
    }
    const found = OPERAND.exec(rest);
    if (!found) return wrong;
    rest = rest.slice(found[0].length);
    return readNumber(found[1] ?? '', mark);
  };
  const chain = (
    next: () => Outcome<Decimal>,
    signs: string,
    join: (a: Decimal, b: Decimal, sign: string) => Outcome<Decimal>,
  ): Outcome<Decimal> => {
    let left = next();
    for (let sign = left.ok ? take(signs) : undefined; left.ok && sign; sign = take(signs)) {
      const right = next();
      if (!right.ok) return right;
      left = join(left.value, right.value, sign);
    }
    return left;
  };
  const product = (): Outcome<Decimal> =>
    chain(operand, '*x×/÷', (a, b, sign) => {
      if (!'/÷'.includes(sign)) return fine(a.times(b));
      return b.isZero() ? refuse('divides-by-zero', '', texts.divides0(typed.trim())) : fine(a.div(b));
    });
  const sum = (): Outcome<Decimal> =>
    chain(product, '+-−', (a, b, sign) => fine(sign === '+' ? a.plus(b) : a.minus(b)));

  const result = sum();
  return result.ok && rest.trim() !== '' ? wrong : result;
}
