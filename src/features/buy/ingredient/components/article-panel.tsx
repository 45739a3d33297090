'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useWatch } from 'react-hook-form';
import { FormField } from '@/ui/forms/form-field';
import { SaveButton } from '@/ui/forms/save-button';
import { SaveForm } from '@/ui/forms/save-form';
import { SidePanel } from '@/ui/panels/side-panel';
import { useToast } from '@/ui/frame/toasts';
import { TroubleText } from '@/ui/forms/trouble-text';
import { useSave } from '@/ui/forms/use-save';
import { useSaveForm } from '@/ui/forms/use-save-form';
import { over } from '@/wire';
import { FirstPriceForm } from '../../own/components/first-price-form';
import type { IngredientPage, SellerRow } from '../queries';
import { ArticleTyped, saveArticle, archiveArticle } from '../wire';
import * as texts from './texts';

interface Props {
  readonly page: IngredientPage;
  readonly seller: SellerRow;
}

/** What is done to one article: called or packed otherwise, put away. */
export function ArticleTools({ page, seller }: Props) {
  const [open, setOpen] = useState(false);
  if (!page.mayEdit) return null;
  return (
    <>
      <Button
        variant="link"
        size="sm"
        aria-label={texts.changeNamed(seller.name)}
        onClick={() => setOpen(true)}
      >
        {texts.change}
      </Button>
      {open && (
        <SidePanel title={seller.name} open close={() => setOpen(false)}>
          <ArticleForm page={page} seller={seller} close={() => setOpen(false)} />
        </SidePanel>
      )}
    </>
  );
}

/** Another pack of it, or somebody else who sells it. */
export function AnotherArticle({ page }: Pick<Props, 'page'>) {
  const [open, setOpen] = useState(false);
  if (!page.mayEdit) return null;
  return open ? (
    <FirstPriceForm
      ingredient={page.id}
      name={page.name}
      says={texts.anotherPackOrAnother(page.name)}
      there={() => setOpen(false)}
      refresh
    />
  ) : (
    <Button variant="outline-primary" size="sm" className="mb-2" onClick={() => setOpen(true)}>
      {texts.anotherPackOrSupplier}
    </Button>
  );
}

function ArticleForm({ page, seller: s, close }: Props & { readonly close: () => void }) {
  const keeping = useSaveForm(
    ArticleTyped,
    { name: s.name, code: s.code ?? '', pack: s.pack, price: '' },
    async (typed, _form, seen) => {
      const answer = await saveArticle({ id: s.id, ...typed, ...over(seen) });
      if (answer.ok) close();
      return answer;
    },
    undefined,
    { version: s.version },
  );
  const { form } = keeping;
  const pack = useWatch({ control: form.control, name: 'pack' });
  return (
    <>
      <SaveForm className="stacked" of={keeping}>
        <FormField {...{ form, name: 'name', label: texts.whatCalls(s.supplier) }} />
        <FormField {...{ form, name: 'code', label: texts.code }} placeholder={texts.noCode} />
        <FormField {...{ form, name: 'pack', label: texts.pack }} />
        {pack.trim() !== s.pack && (
          <>
            <FormField {...{ form, name: 'price', label: texts.packCosts(pack.trim()) }} />
            <p className="quiet small-line m-0">{texts.anotherPackAnotherArticle(s.pack)}</p>
          </>
        )}
        <SaveButton of={keeping} />
      </SaveForm>
      <Away page={page} seller={s} close={close} />
    </>
  );
}

function Away({ page, seller: s, close }: Props & { readonly close: () => void }) {
  const [keep, state] = useSave();
  const tell = useToast();
  const last = page.sellers.length === 1;
  const away = (): void =>
    void keep(() => archiveArticle({ id: s.id, away: true })).then((ok) => {
      if (!ok) return;
      close();
      tell(texts.archived(s.name), () => void keep(() => archiveArticle({ id: s.id, away: false })));
    });
  return (
    <section className="mt-4">
      <p className="mb-2">{last ? texts.nobodyElseSellsArchived(page.name) : texts.whatBoughtStaysBought}</p>
      <Button variant="outline-primary" size="sm" disabled={state.busy} onClick={away}>
        {texts.archive}
      </Button>
      <TroubleText says={state.message} />
    </section>
  );
}
