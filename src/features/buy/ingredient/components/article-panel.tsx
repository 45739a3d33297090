'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useWatch } from 'react-hook-form';
import { FormField } from '@/ui/form-field';
import { KeepIt } from '@/ui/keep-it';
import { KeptForm } from '@/ui/kept-form';
import { SidePanel } from '@/ui/side-panel';
import { useTell } from '@/ui/toasts';
import { Trouble } from '@/ui/trouble';
import { useKept } from '@/ui/use-kept';
import { useKeptForm } from '@/ui/use-kept-form';
import { over } from '@/wire';
import { NoPrice } from '../../own/components/no-price';
import type { IngredientPage, SellerRow } from '../queries';
import { ArticleTyped, keepArticle, putArticleAway } from '../wire';

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
      <Button variant="link" size="sm" aria-label={`Change ${seller.name}`} onClick={() => setOpen(true)}>
        Change
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
    <NoPrice
      ingredient={page.id}
      name={page.name}
      says={`Another pack of ${page.name}, or somebody else who sells it`}
      there={() => setOpen(false)}
      anew
    />
  ) : (
    <Button variant="outline-primary" size="sm" className="mb-2" onClick={() => setOpen(true)}>
      Another pack or supplier
    </Button>
  );
}

function ArticleForm({ page, seller: s, close }: Props & { readonly close: () => void }) {
  const keeping = useKeptForm(
    ArticleTyped,
    { name: s.name, code: s.code ?? '', pack: s.pack, price: '' },
    async (typed, _form, seen) => {
      const answer = await keepArticle({ id: s.id, ...typed, ...over(seen) });
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
      <KeptForm className="stacked" of={keeping}>
        <FormField {...{ form, name: 'name', label: `What ${s.supplier} calls it` }} />
        <FormField {...{ form, name: 'code', label: 'Its code' }} placeholder="none" />
        <FormField {...{ form, name: 'pack', label: 'A pack is' }} />
        {pack.trim() !== s.pack && (
          <>
            <FormField {...{ form, name: 'price', label: `A pack of ${pack.trim() || '…'} costs` }} />
            <p className="quiet small-line m-0">
              Another pack is another article: what was bought in packs of {s.pack} stays as it was bought,
              and that one is archived.
            </p>
          </>
        )}
        <KeepIt of={keeping} />
      </KeptForm>
      <Away page={page} seller={s} close={close} />
    </>
  );
}

function Away({ page, seller: s, close }: Props & { readonly close: () => void }) {
  const [keep, state] = useKept();
  const tell = useTell();
  const last = page.sellers.length === 1;
  const away = (): void =>
    void keep(() => putArticleAway({ id: s.id, away: true })).then((ok) => {
      if (!ok) return;
      close();
      tell(`${s.name} is archived.`, () => void keep(() => putArticleAway({ id: s.id, away: false })));
    });
  return (
    <section className="mt-4">
      <p className="mb-2">
        {last
          ? `Nobody else sells ${page.name}: archived, it has no price, and what is made from it has no cost.`
          : 'What was bought of it stays bought; it is no longer offered, and no cost stands on it.'}
      </p>
      <Button variant="outline-primary" size="sm" disabled={state.busy} onClick={away}>
        Archive
      </Button>
      <Trouble says={state.message} />
    </section>
  );
}
