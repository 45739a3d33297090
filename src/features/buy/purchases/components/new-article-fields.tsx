'use client';

import Stack from 'react-bootstrap/Stack';
import { useController } from 'react-hook-form';
import { Combo } from '@/ui/forms/combo';
import type { NewArticle } from '../wire';
import { packOf } from './article-facts';
import type { Invoice } from './use-invoice';

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
        aria-label={`Line ${i + 1}, ${label.toLowerCase()}`}
        autoComplete="off"
        placeholder={placeholder}
        {...form.register(`lines.${i}.newArticle.${key}`, { onChange: () => form.clearErrors(`lines.${i}`) })}
      />
    </label>
  );
  return (
    <Stack direction="horizontal" gap={3} className="fields flex-wrap align-items-end">
      <label>
        It is
        <Combo
          label={`Line ${i + 1}, ingredient`}
          placeholder="which ingredient?"
          className="which-thing"
          inputRef={which.ref}
          chosen={goods.ingredients.get(typed.ingredient)}
          find={goods.find}
          choose={(ingredient) => which.onChange(ingredient?.id ?? '')}
        />
      </label>
      {field('name', 'Called on the invoice', 'Leeks, washed')}
      {field('code', 'Code', 'LE5')}
      {field('pack', 'Packed as', '6 x 2.5 kg')}
      {(asks === 'piece-weight-unknown' || given.each) && field('eachWeighs', 'One of them weighs', '180 g')}
      {(asks === 'density-unknown' || given.litre) && field('litreWeighs', 'A litre of it weighs', '420 g')}
      <span className="small-line quiet">
        {pack && !pack.ok && <span className="trouble">{pack.trouble.message}</span>}
        {asks && grams && !grams.ok && (
          <span className="warning">{grams.trouble.message} Weigh it once and say so.</span>
        )}
        {grams?.ok && `one pack is ${(grams.value.grams / 1000).toFixed(2)} kg (${grams.value.via})`}
        {!page.larder && 'The larder is empty: take ingredients from the larder first.'}
      </span>
    </Stack>
  );
}
