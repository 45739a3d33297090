'use client';

import { TroubleText } from '@/ui/forms/trouble-text';
import { RemoveLine } from './remove-line';
import type { Invoice } from './use-invoice';

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
          <span className="small-line quiet"> in no price</span>
        </td>
        <td />
        <td data-of="money">
          <input
            className="typed"
            aria-label={`Line ${i + 1}, ${WORDS[is]}`}
            aria-invalid={wrong ? true : undefined}
            autoComplete="off"
            {...form.register(`lines.${i}.amount`)}
          />
        </td>
        <td colSpan={3} className="left">
          <input
            className="typed typed-text w-100"
            aria-label={`Line ${i + 1}, note`}
            placeholder="note"
            {...form.register(`lines.${i}.note`)}
          />
          <TroubleText as="div" says={wrong} />
        </td>
        <td>
          <RemoveLine label={`Take line ${i + 1} out`} act={() => takeOut(i, WORDS[is])} />
        </td>
      </tr>
    </tbody>
  );
}
