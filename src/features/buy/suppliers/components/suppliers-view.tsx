'use client';

import Link from 'next/link';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Stack from 'react-bootstrap/Stack';
import { z } from 'zod';
import { ArchivedList } from '@/ui/tables/archived-list';
import { FormField } from '@/ui/forms/form-field';
import { SaveButton } from '@/ui/forms/save-button';
import { SaveForm } from '@/ui/forms/save-form';
import { SheetTable } from '@/ui/tables/sheet-table';
import { SidePanel } from '@/ui/panels/side-panel';
import { useToast } from '@/ui/frame/toasts';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSave } from '@/ui/forms/use-save';
import { useSaveForm } from '@/ui/forms/use-save-form';
import { over } from '@/wire';
import { saveSupplier, archiveSupplier } from '../wire';
import type { SupplierRow, SuppliersPage } from '../queries';
import * as texts from './texts';

const Typed = z.object({
  name: z.string().trim().min(1, texts.whatSupplierCalled),
  priceList: z.string().max(300, texts.addressMost300Characters),
});

/** Who sells to the kitchen, and where their lists are fetched. */
export function SuppliersView({ page }: { readonly page: SuppliersPage }) {
  const [open, setOpen] = useState<SupplierRow | 'new'>();
  return (
    <>
      <Stack direction="horizontal" gap={3} className="page-head">
        <div className="me-auto">
          <h1>{texts.suppliers}</h1>
          <p className="lead-line">{texts.whoSellsHereWhere}</p>
        </div>
        {page.mayEdit && (
          <Button variant="outline-primary" onClick={() => setOpen('new')}>
            {texts.newSupplier}
          </Button>
        )}
      </Stack>
      {page.rows.length === 0 ? (
        <p className="quiet">{texts.noSuppliersYetAdd}</p>
      ) : (
        <SheetTable className="list-table">
          <thead>
            <tr>
              <th scope="col">{texts.supplier}</th>
              <th scope="col" className="left">
                {texts.sells}
              </th>
              <th scope="col" className="left">
                {texts.list}
              </th>
              <th scope="col">
                <span className="visually-hidden">{texts.change}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {page.rows.map((s) => (
              <Row key={s.id} supplier={s} mayEdit={page.mayEdit} change={() => setOpen(s)} />
            ))}
          </tbody>
        </SheetTable>
      )}
      {page.mayEdit && (
        <ArchivedList rows={page.away} bringBack={(id) => archiveSupplier({ id, away: false })} />
      )}
      {open && (
        <SidePanel
          title={open === 'new' ? texts.newSupplier : open.name}
          open
          close={() => setOpen(undefined)}
        >
          <SupplierForm supplier={open === 'new' ? undefined : open} close={() => setOpen(undefined)} />
        </SidePanel>
      )}
    </>
  );
}

function Row({
  supplier: s,
  mayEdit,
  change,
}: {
  readonly supplier: SupplierRow;
  readonly mayEdit: boolean;
  readonly change: () => void;
}) {
  const [keep, state] = useSave();
  const tell = useToast();
  const away = (): void =>
    void keep(() => archiveSupplier({ id: s.id, away: true })).then(
      (ok) =>
        ok && tell(texts.archived(s.name), () => void keep(() => archiveSupplier({ id: s.id, away: false }))),
    );
  const more = s.articles - s.sells.length;
  return (
    <tr>
      <td>
        {s.articles === 0 ? (
          s.name
        ) : (
          <Link prefetch={false} href={`/pour/used?of=supplier:${s.id}`}>
            {s.name}
          </Link>
        )}
        <TroubleText says={state.message} />
      </td>
      <td className="left small-line">
        {s.articles === 0 ? texts.nothingYet : s.sells.join(', ')}
        {more > 0 && texts.more(more)}
      </td>
      <td className="left small-line">{s.priceList === '' ? texts.none : texts.fetched}</td>
      <td>
        {mayEdit && (
          <span className="d-flex justify-content-end gap-3">
            <Button variant="link" size="sm" aria-label={texts.changeName(s.name)} onClick={change}>
              {texts.change}
            </Button>
            <Button
              variant="link"
              size="sm"
              aria-label={texts.archiveNamed(s.name)}
              disabled={state.busy}
              onClick={away}
            >
              {texts.archive}
            </Button>
          </span>
        )}
      </td>
    </tr>
  );
}

function SupplierForm({
  supplier,
  close,
}: {
  readonly supplier: SupplierRow | undefined;
  readonly close: () => void;
}) {
  const keeping = useSaveForm(
    Typed,
    { name: supplier?.name ?? '', priceList: supplier?.priceList ?? '' },
    async (typed, _form, seen) => {
      const answer = await saveSupplier({ id: supplier?.id ?? null, ...typed, ...over(seen) });
      if (answer.ok) close();
      return answer;
    },
    undefined,
    { version: supplier?.version },
  );
  const { form } = keeping;
  return (
    <SaveForm className="stacked" of={keeping}>
      <FormField {...{ form, name: 'name', label: texts.whatSupplierCalledHeading }} autoFocus />
      <FormField
        {...{ form, name: 'priceList', label: texts.wherePriceListFetched }}
        placeholder={texts.httpsOrNothing}
      />
      <SaveButton of={keeping} />
    </SaveForm>
  );
}
