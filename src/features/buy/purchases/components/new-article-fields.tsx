'use client';

import Stack from 'react-bootstrap/Stack';
import { useController } from 'react-hook-form';
import { Combo } from '@/ui/forms/combo';
import type { NewArticle } from '../wire';
import { packOf } from './article-facts';
import type { Invoice } from './use-invoice';
import * as texts from './texts';

/** What has to be said of an article that was never bought before; what its pack cannot be weighed without is asked for. */
export function NewArticleFields({
  index: i,
  typed,
  invoice: { form, goods, page, manner },
}: {
  readonly index: number;
  readonly typed: NewArticle;
  readonly invoice: Invoice;
}) {
  const { pack, grams, asks } = packOf(typed, goods.ingredients, manner);
  const given = { each: typed.eachWeighs !== '', litre: typed.litreWeighs !== '' };
  const which = useController({ control: form.control, name: `lines.${i}.newArticle.ingredient` }).field;
  const field = (key: Exclude<keyof NewArticle, 'ingredient'>, label: string, placeholder: string) => (
    <label>
      {label}
      <input
        className="typed typed-text w-100"
        aria-label={texts.lineWords(i + 1, label.toLowerCase())}
        autoComplete="off"
        placeholder={placeholder}
        {...form.register(`lines.${i}.newArticle.${key}`, { onChange: () => form.clearErrors(`lines.${i}`) })}
      />
    </label>
  );
  return (
    <Stack direction="horizontal" gap={3} className="fields flex-wrap align-items-end">
      <label>
        {texts.itIs}
        <Combo
          label={texts.lineIngredient(i + 1)}
          placeholder={texts.whichIngredient}
          className="which-thing"
          inputRef={which.ref}
          chosen={goods.ingredients.get(typed.ingredient)}
          find={goods.find}
          choose={(ingredient) => which.onChange(ingredient?.id ?? '')}
        />
      </label>
      {field('name', texts.calledInvoice, texts.leeksWashed)}
      {field('code', 'Code', 'LE5')}
      {field('pack', texts.packed, '6 x 2.5 kg')}
      {(asks === 'piece-weight-unknown' || given.each) && field('eachWeighs', texts.oneThemWeighs, '180 g')}
      {(asks === 'density-unknown' || given.litre) && field('litreWeighs', texts.litreWeighs, '420 g')}
      <span className="small-line quiet">
        {pack && !pack.ok && <span className="trouble">{pack.trouble.message}</span>}
        {asks && grams && !grams.ok && (
          <span className="warning">{texts.weighOnceSay(grams.trouble.message)}</span>
        )}
        {grams?.ok && texts.onePackKg((grams.value.grams / 1000).toFixed(2), grams.value.via)}
        {!page.larder && texts.larderEmptyTakeIngredients}
      </span>
    </Stack>
  );
}
