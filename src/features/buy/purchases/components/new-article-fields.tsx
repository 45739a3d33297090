'use client';

import Form from 'react-bootstrap/Form';
import { countUnitOf, readAmountOf, toGrams, type Manner, type Weighable } from '@/core/quantity';
import type { NewArticle } from '../wire';
import type { PurchaseForm } from '../queries';
import type { ArticleFacts } from '../understand';
import type { DraftGoods } from './use-draft';

/** The ingredient's weights with what has just been typed of them. */
function thingOf(typed: NewArticle, form: PurchaseForm, manner: Manner): Weighable | undefined {
  const known = form.ingredients.find((i) => i.id === typed.ingredient)?.thing;
  if (!known) return undefined;
  const grams = (text: string): number | undefined => {
    const read = text.trim() === '' ? undefined : readAmountOf(['mass'], text, manner);
    return read?.ok && read.value.value > 0 ? read.value.value : undefined;
  };
  const litre = grams(typed.litreWeighs);
  const pack = readAmountOf(['count'], typed.pack, manner);
  const each = grams(typed.eachWeighs);
  return {
    ...known,
    pieceG:
      each === undefined || !pack.ok
        ? known.pieceG
        : { ...known.pieceG, [countUnitOf(pack.value.unit)]: each },
    densityGPerMl: litre === undefined ? known.densityGPerMl : litre / 1000,
  };
}

/** What a new article's pack comes to, as far as it has been typed. */
export function factsOf(typed: NewArticle, form: PurchaseForm, manner: Manner): ArticleFacts | undefined {
  const thing = thingOf(typed, form, manner);
  const { grams } = packOf(typed, form, manner);
  return thing && grams?.ok && grams.value.grams > 0 ? { packG: grams.value.grams, thing } : undefined;
}

/** The pack as it is read, its grams, and what has to be asked before they are known. */
function packOf(typed: NewArticle, form: PurchaseForm, manner: Manner) {
  const thing = thingOf(typed, form, manner);
  const pack =
    typed.pack.trim() === '' ? undefined : readAmountOf(['mass', 'volume', 'count'], typed.pack, manner);
  const grams = thing && pack?.ok ? toGrams(pack.value, thing) : undefined;
  const asks = grams && !grams.ok ? grams.trouble.code : undefined;
  return { pack, grams, asks };
}

/** Something the kitchen has not bought before: what it is, what the supplier calls it, how it is packed. */
export function NewArticleFields({
  index,
  line,
  form,
  manner,
  set,
}: {
  readonly index: number;
  readonly line: DraftGoods;
  readonly form: PurchaseForm;
  readonly manner: Manner;
  readonly set: (part: Partial<DraftGoods>) => void;
}) {
  const typed = line.newArticle as NewArticle;
  const change = (part: Partial<NewArticle>): void => set({ newArticle: { ...typed, ...part } });
  const { pack, grams, asks } = packOf(typed, form, manner);
  const given = { each: typed.eachWeighs !== '', litre: typed.litreWeighs !== '' };
  const field = (key: keyof NewArticle, label: string, placeholder: string) => (
    <label>
      {label}
      <input
        className="typed typed-wide"
        aria-label={`Line ${index + 1}, ${label.toLowerCase()}`}
        autoComplete="off"
        value={typed[key]}
        placeholder={placeholder}
        onChange={(event) => change({ [key]: event.target.value })}
      />
    </label>
  );
  return (
    <div className="new-article">
      <label>
        It is
        <WhichIngredient
          index={index}
          form={form}
          value={typed.ingredient}
          onChoose={(ingredient) => change({ ingredient })}
        />
      </label>
      {field('name', 'Called on the invoice', 'Leeks, washed')}
      {field('code', 'Code', 'LE5')}
      {field('pack', 'Packed as', '6 x 2.5 kg')}
      {(asks === 'piece-weight-unknown' || given.each) && field('eachWeighs', 'One of them weighs', '180 g')}
      {(asks === 'density-unknown' || given.litre) && field('litreWeighs', 'A litre of it weighs', '420 g')}
      <span className="understood">
        {pack && !pack.ok && <span className="trouble">{pack.trouble.message}</span>}
        {asks && grams && !grams.ok && (
          <span className="warning">{grams.trouble.message} Weigh it once and say so.</span>
        )}
        {grams?.ok && `one pack is ${(grams.value.grams / 1000).toFixed(2)} kg (${grams.value.via})`}
        {form.ingredients.length === 0 && 'The larder is empty: take ingredients from the larder first.'}
      </span>
    </div>
  );
}

function WhichIngredient({
  index,
  form,
  value,
  onChoose,
}: {
  readonly index: number;
  readonly form: PurchaseForm;
  readonly value: string;
  readonly onChoose: (ingredient: string) => void;
}) {
  return (
    <Form.Select
      aria-label={`Line ${index + 1}, ingredient`}
      value={value}
      onChange={(event) => onChoose(event.target.value)}
    >
      <option value="">Choose the ingredient</option>
      {form.ingredients.map((i) => (
        <option key={i.id} value={i.id}>
          {i.name}
        </option>
      ))}
    </Form.Select>
  );
}
