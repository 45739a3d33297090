import { useController } from 'react-hook-form';
import Form from 'react-bootstrap/Form';
import Stack from 'react-bootstrap/Stack';
import { Combo } from '@/ui/forms/combo';
import { DayField } from '@/ui/forms/day-field';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSearch } from '@/ui/tables/use-search';
import type { Invoice } from './use-invoice';
import * as texts from './texts';

/** Whose invoice it is, its number and its day. */
export function PurchaseHead({ invoice: { form, page } }: { readonly invoice: Invoice }) {
  const { control, register, formState } = form;
  const { errors } = formState;
  const supplier = useController({ control, name: 'supplier' }).field;
  const on = useController({ control, name: 'on' }).field;
  const number = page.corrects ? texts.creditNoteNumber : texts.invoiceNumber;
  return (
    <Stack direction="horizontal" gap={3} className="fields flex-wrap align-items-start my-3">
      <div>
        <Form.Label>{texts.supplier}</Form.Label>
        <Combo
          label={texts.supplier}
          placeholder={texts.whoFrom}
          className="which-thing"
          inputRef={supplier.ref}
          disabled={page.corrects !== undefined}
          chosen={page.suppliers.find((s) => s.id === supplier.value)}
          find={useSearch(page.suppliers)}
          choose={(s) => supplier.onChange(s?.id ?? '')}
          invalid={errors.supplier !== undefined}
          describedBy="supplier-mistake"
        />
        <TroubleText id="supplier-mistake" as="span" says={errors.supplier?.message} />
      </div>
      <div>
        <Form.Label htmlFor="number">{number}</Form.Label>
        <Form.Control
          id="number"
          autoComplete="off"
          isInvalid={errors.number !== undefined}
          aria-describedby="number-mistake"
          {...register('number')}
        />
        <TroubleText id="number-mistake" as="span" says={errors.number?.message} />
      </div>
      <div>
        <Form.Label>{texts.dayHeading}</Form.Label>
        <DayField
          free
          label={texts.dayHeading}
          value={on.value}
          max={page.today}
          inputRef={on.ref}
          invalid={errors.on !== undefined}
          describedBy="on-mistake"
          onChange={on.onChange}
        />
        <TroubleText id="on-mistake" as="span" says={errors.on?.message} />
      </div>
    </Stack>
  );
}
