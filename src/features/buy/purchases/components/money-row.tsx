'use client';

import { TroubleText } from '@/ui/forms/trouble-text';
import { RemoveLine } from './remove-line';
import type { Invoice } from './use-invoice';
import * as texts from './texts';

const WORDS = { deposit: 'Deposit', tax: 'Tax', delivery: 'Delivery', discount: 'Discount' } as const;

/** A line of money that is no goods: it counts in the total and in no price. */
export function MoneyRow({
  index: i,
  is,
  invoice: { form, takeOut },
}: {
  readonly index: number;
  readonly is: keyof typeof WORDS;
  readonly invoice: Invoice;
}) {
  const wrong = form.getFieldState(`lines.${i}.amount`, form.formState).error?.message;
  return (
    <tbody>
      <tr>
        <td>
          {WORDS[is]}
          <span className="small-line quiet"> {texts.noPrice}</span>
        </td>
        <td />
        <td data-of="money">
          <input
            className="typed"
            aria-label={texts.lineWords(i + 1, WORDS[is])}
            aria-invalid={wrong ? true : undefined}
            autoComplete="off"
            {...form.register(`lines.${i}.amount`)}
          />
        </td>
        <td colSpan={3} className="left">
          <input
            className="typed typed-text w-100"
            aria-label={texts.lineNote(i + 1)}
            placeholder={texts.note}
            {...form.register(`lines.${i}.note`)}
          />
          <TroubleText as="div" says={wrong} />
        </td>
        <td>
          <RemoveLine label={texts.removeLine(i + 1)} act={() => takeOut(i, WORDS[is])} />
        </td>
      </tr>
    </tbody>
  );
}
