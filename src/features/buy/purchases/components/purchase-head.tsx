import Form from 'react-bootstrap/Form';
import type { PurchaseForm } from '../queries';
import type { NewPurchaseForm, Mistakes } from './use-new-purchase';
import { Trouble } from '@/ui/trouble';

/** Whose invoice it is, its number and its day. */
export function PurchaseHead({
  form,
  draft,
  change,
  mistakes,
}: Pick<NewPurchaseForm, 'draft' | 'change' | 'mistakes'> & { readonly form: PurchaseForm }) {
  return (
    <div className="invoice-head">
      <label>
        Supplier
        <Form.Select
          aria-label="Supplier"
          value={draft.supplier}
          disabled={draft.corrects !== undefined}
          onChange={(event) => change({ ...draft, supplier: event.target.value })}
        >
          {form.suppliers.map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}
            </option>
          ))}
        </Form.Select>
      </label>
      <HeadField path="number" label="Invoice number" mistakes={mistakes}>
        <Form.Control
          aria-label="Invoice number"
          value={draft.number}
          autoComplete="off"
          isInvalid={mistakes.has('number')}
          aria-describedby="number-mistake"
          onChange={(event) => change({ ...draft, number: event.target.value })}
        />
      </HeadField>
      <HeadField path="on" label="Day on it" mistakes={mistakes}>
        <Form.Control
          aria-label="Day on it"
          type="date"
          value={draft.on}
          isInvalid={mistakes.has('on')}
          aria-describedby="on-mistake"
          onChange={(event) => change({ ...draft, on: event.target.value })}
        />
      </HeadField>
    </div>
  );
}

function HeadField({
  path,
  label,
  mistakes,
  children,
}: {
  path: string;
  label: string;
  mistakes: Mistakes;
  children: React.ReactNode;
}) {
  return (
    <label>
      {label}
      {children}
      {mistakes.has(path) && <Trouble id={`${path}-mistake`} as="span" says={mistakes.get(path)} />}
    </label>
  );
}
