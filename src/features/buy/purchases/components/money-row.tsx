'use client';

import { X } from 'lucide-react';
import { Trouble } from '@/ui/trouble';
import type { DraftLine } from './use-draft';

type Extra = Exclude<DraftLine, { is: 'goods' }>;

const WORDS = { deposit: 'Deposit', tax: 'Tax', delivery: 'Delivery', discount: 'Discount' } as const;

/** A line of money that is no goods: it counts in the total and in no price. */
export function MoneyRow({
  index,
  line,
  mistake,
  onChange,
  onRemove,
}: {
  readonly index: number;
  readonly line: Extra;
  readonly mistake: string | undefined;
  readonly onChange: (line: Extra) => void;
  readonly onRemove: () => void;
}) {
  return (
    <tr>
      <td>
        {WORDS[line.is]}
        <span className="understood"> in no price</span>
      </td>
      <td />
      <td>
        <input
          className="typed"
          aria-label={`Line ${index + 1}, ${WORDS[line.is]}`}
          aria-invalid={mistake ? true : undefined}
          autoComplete="off"
          value={line.amount}
          onChange={(event) => onChange({ ...line, amount: event.target.value })}
        />
      </td>
      <td colSpan={3} className="left">
        <input
          className="typed typed-wide"
          aria-label={`Line ${index + 1}, note`}
          placeholder="note"
          value={line.note}
          onChange={(event) => onChange({ ...line, note: event.target.value })}
        />
        <Trouble as="div" says={mistake} />
      </td>
      <td>
        <button
          type="button"
          className="plain-button"
          aria-label={`Take line ${index + 1} out`}
          onClick={onRemove}
        >
          <X size={16} aria-hidden="true" />
        </button>
      </td>
    </tr>
  );
}
