'use client';

import type { FormEvent } from 'react';
import Alert from 'react-bootstrap/Alert';
import Button from 'react-bootstrap/Button';
import Spinner from 'react-bootstrap/Spinner';
import Stack from 'react-bootstrap/Stack';
import { useWatch } from 'react-hook-form';
import { useFormatters } from '@/ui/formatters-context';
import { SaveForm } from '@/ui/forms/save-form';
import { SheetTable } from '@/ui/tables/sheet-table';
import { TroubleText } from '@/ui/forms/trouble-text';
import type { PurchaseForm } from '../queries';
import { GoodsRow } from './goods-row';
import { MoneyRow } from './money-row';
import { PurchaseHead } from './purchase-head';
import { emptyGoods } from './use-draft';
import { totalOf, useInvoice, type Invoice } from './use-invoice';
import * as texts from './texts';

const EXTRAS = { deposit: 'Deposit', tax: 'Tax', delivery: 'Delivery', discount: 'Discount' } as const;

/** An invoice or credit note being written down: every line says what was understood of it. */
export function NewPurchase({ form: page }: { form: PurchaseForm }) {
  const invoice = useInvoice(page);
  const { found, goOn, forget } = invoice;
  return (
    <SaveForm of={{ submit: (event) => void invoice.send(event as FormEvent) }}>
      <h1>{page.corrects ? texts.newPurchaseCreditNote(page.corrects.number) : texts.newInvoice}</h1>
      <p className="lead-line">{page.corrects ? texts.sayBesideEachLine : texts.paperYouCanType}</p>
      {found && (
        <Alert variant="primary" role="status" className="my-2">
          {page.corrects ? texts.creditNoteTitle : texts.invoiceHeading} {texts.startedDeviceNotSaved}{' '}
          <Button variant="plain" size="sm" onClick={() => goOn(found)}>
            {texts.go}
          </Button>{' '}
          <Button variant="plain" size="sm" onClick={forget}>
            {texts.deleteText}
          </Button>
        </Alert>
      )}
      <PurchaseHead invoice={invoice} />
      <Lines invoice={invoice} />
      <Foot invoice={invoice} />
      <WhatIsWrong invoice={invoice} />
    </SaveForm>
  );
}

function Lines({ invoice }: { readonly invoice: Invoice }) {
  const { lines, page } = invoice;
  return (
    <SheetTable className="roomy folds">
      <thead>
        <tr>
          <th scope="col">{texts.whatHeading}</th>
          <th scope="col">{page.corrects ? texts.packsCredited : texts.packs}</th>
          <th scope="col">{texts.netPack}</th>
          <th scope="col">{page.corrects ? texts.wentBack : texts.receivedIfDifferent}</th>
          {!page.corrects && <th scope="col">{texts.returned}</th>}
          <th scope="col" className="left">
            {texts.understood}
          </th>
          <th scope="col">
            <span className="visually-hidden">{texts.takeOut}</span>
          </th>
        </tr>
      </thead>
      {lines.fields.map((line, i) =>
        line.is === 'goods' ? (
          <GoodsRow key={line.key} index={i} invoice={invoice} />
        ) : (
          <MoneyRow key={line.key} index={i} is={line.is} invoice={invoice} />
        ),
      )}
    </SheetTable>
  );
}

function Foot({ invoice }: { readonly invoice: Invoice }) {
  const { lines, form, page } = invoice;
  const busy = form.formState.isSubmitting;
  const extras = Object.keys(EXTRAS) as (keyof typeof EXTRAS)[];
  return (
    <Stack direction="horizontal" gap={3} className="flex-wrap mt-3">
      {!page.corrects && (
        <>
          <Button
            variant="plain"
            onClick={() => lines.append(emptyGoods(), { focusName: `lines.${lines.fields.length}.article` })}
          >
            {texts.addLine}
          </Button>
          {extras.map((is) => (
            <Button
              key={is}
              variant="plain"
              onClick={() =>
                lines.append(
                  { is, amount: '', note: '' },
                  { focusName: `lines.${lines.fields.length}.amount` },
                )
              }
            >
              {EXTRAS[is]}
            </Button>
          ))}
        </>
      )}
      {page.corrects && <CreditAll invoice={invoice} />}
      <Together invoice={invoice} />
      <Button type="submit" disabled={busy}>
        {busy && <Spinner size="sm" className="me-2" aria-hidden="true" />}
        {busy ? texts.saving : texts.save}
      </Button>
    </Stack>
  );
}

/** Credits every line with all that was invoiced. */
const CreditAll = ({ invoice: { form, page, lines } }: { readonly invoice: Invoice }) => (
  <Button
    variant="plain"
    onClick={() =>
      lines.fields.forEach((_, i) =>
        form.setValue(`lines.${i}.packs`, String(page.corrects?.lines[i]?.packs ?? ''), {
          shouldDirty: true,
        }),
      )
    }
  >
    {texts.creditAll}
  </Button>
);

function Together({ invoice: { form, goods, manner } }: { readonly invoice: Invoice }) {
  const { money } = useFormatters();
  useWatch({ control: form.control });
  return (
    <div className="invoice-total ms-auto text-end">
      <span className="fig-large">{money(totalOf(form.getValues(), goods.articles, manner))}</span>
      <span className="fig-label">{texts.togetherPaper}</span>
    </div>
  );
}

/** What is wrong with the whole of it, and that something is marked or asked above. */
function WhatIsWrong({ invoice: { form, asks } }: { readonly invoice: Invoice }) {
  const { errors, submitCount, isSubmitting } = form.formState;
  const marked = leaves(errors.number) + leaves(errors.on) + leaves(errors.supplier) + leaves(errors.lines);
  const asked =
    submitCount > 0 && !isSubmitting
      ? form.getValues('lines').filter((line) => asks(line) !== undefined).length
      : 0;
  const counted = (n: number): string => (n === 1 ? texts.oneThing : texts.things(n));
  return (
    <>
      <TroubleText says={errors.root?.server?.message} />
      {marked > 0 && <TroubleText says={texts.notSavedYetMarked(counted(marked))} />}
      {marked === 0 && asked > 0 && <TroubleText says={texts.notSavedYetAsked(counted(asked))} />}
    </>
  );
}

/** How many messages stand in a tree of mistakes. */
function leaves(errors: unknown): number {
  if (typeof errors !== 'object' || errors === null) return 0;
  if ('message' in errors && typeof errors.message === 'string') return 1;
  return Object.entries(errors)
    .filter(([key]) => key !== 'ref')
    .reduce((n, [, below]) => n + leaves(below), 0);
}
