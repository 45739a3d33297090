'use client';

import { useEffect, useId, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { UseFormReturn } from 'react-hook-form';
import { withRetry } from '@/ui/hooks/with-retry';
import { useFormatters } from '@/ui/formatters-context';
import { FormField } from '@/ui/forms/form-field';
import { SaveForm } from '@/ui/forms/save-form';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSaveForm } from '@/ui/forms/use-save-form';
import { z } from 'zod';
import { TYPED } from '@/wire/fields';
import { suppliersHere } from '../actions';
import { saveFirstPrice } from '../wire';
import * as texts from './texts';

const Typed = z.object({
  pack: TYPED.trim().min(1, texts.howPackedWriteSuch),
  price: TYPED.trim().min(1, texts.whatDoesPackCost),
  from: z.string().trim().min(1, texts.whoSells).max(5000),
  eachWeighs: TYPED,
});
type TheForm = UseFormReturn<z.infer<typeof Typed>>;

/** Whom somebody bought from last: most of a first order comes from one. */
let lastFrom = '';

/** What an ingredient is bought as and for how much, asked where its price is missed. */
export function FirstPriceForm({
  ingredient,
  name,
  there,
  says = texts.noPriceYet(name),
  refresh = false,
}: {
  readonly ingredient: string;
  readonly name: string;
  readonly there: () => void;
  /** What is asked. */
  readonly says?: string;
  /** Whether the page is read again with it: nothing else stands typed there. */
  readonly refresh?: boolean;
}) {
  const suppliers = useSuppliers();
  const keeping = useSaveForm(
    Typed,
    { pack: '', price: '', from: lastFrom, eachWeighs: '' },
    async ({ from, ...typed }) => {
      const known = suppliers.find((s) => s.name.toLowerCase() === from.toLowerCase());
      const answer = await saveFirstPrice({
        ingredient,
        supplier: known ? { own: known.id } : { called: from },
        ...typed,
      });
      if (answer.ok) {
        lastFrom = from;
        there();
      }
      return answer.ok || answer.path !== 'name' ? answer : { ...answer, path: 'from' };
    },
    undefined,
    { refresh },
  );
  const { form, busy, message } = keeping;
  return (
    <SaveForm className="first-price" of={keeping}>
      <legend className="fs-6 mb-1">{says}</legend>
      <div className="d-flex flex-wrap gap-2 align-items-start">
        <Fields form={form} name={name} suppliers={suppliers} />
        <Button type="submit" variant="outline-primary" className="mt-4" disabled={busy}>
          {texts.keepPrice}
        </Button>
      </div>
      <TroubleText says={message} />
    </SaveForm>
  );
}

/** The pack, what it costs, whose it is, and what one weighs where the pack says only how many. */
function Fields({
  form,
  name,
  suppliers,
}: {
  readonly form: TheForm;
  readonly name: string;
  readonly suppliers: ReturnType<typeof useSuppliers>;
}) {
  const { currencySign } = useFormatters();
  const weightless = form.formState.errors.eachWeighs !== undefined || form.getValues('eachWeighs') !== '';
  return (
    <>
      <FormField
        {...{ form, name: 'pack', label: texts.pack, called: texts.packHolds(name) }}
        placeholder={texts.example5Kg}
      />
      <FormField
        {...{
          form,
          name: 'price',
          label: texts.packCurrencySign(currencySign),
          called: texts.pricePack(name),
        }}
        placeholder="11.00"
      />
      <From form={form} name={name} suppliers={suppliers} />
      {weightless && (
        <FormField
          {...{ form, name: 'eachWeighs', label: texts.oneWeighs, called: texts.oneWeighsName(name) }}
          placeholder="180 g"
        />
      )}
    </>
  );
}

/** Who sells to the kitchen, asked for once it is to be written. */
function useSuppliers(): readonly { readonly id: string; readonly name: string }[] {
  const [all, setAll] = useState<readonly { readonly id: string; readonly name: string }[]>([]);
  useEffect(() => {
    let here = true;
    void withRetry(suppliersHere).then((rows) => here && rows && setAll(rows));
    return () => {
      here = false;
    };
  }, []);
  return all;
}

/** Whose it is: one who sells here, or another who then does. */
function From({
  form,
  name,
  suppliers,
}: {
  readonly form: TheForm;
  readonly name: string;
  readonly suppliers: readonly { readonly id: string; readonly name: string }[];
}) {
  const list = useId();
  const wrong = form.formState.errors.from?.message;
  return (
    <Form.Group controlId={`from-${list}`}>
      <Form.Label>{texts.from}</Form.Label>
      <Form.Control
        list={list}
        aria-label={texts.whoSellsName(name)}
        autoComplete="off"
        placeholder={texts.whoSellsInline}
        isInvalid={wrong !== undefined}
        {...form.register('from')}
      />
      <datalist id={list}>
        {suppliers.map((s) => (
          <option key={s.id} value={s.name} />
        ))}
      </datalist>
      <TroubleText as="span" says={wrong} />
    </Form.Group>
  );
}
