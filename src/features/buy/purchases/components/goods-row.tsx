'use client';

import { useId, type KeyboardEvent } from 'react';
import Button from 'react-bootstrap/Button';
import { useController, useWatch } from 'react-hook-form';
import { deliveryWords } from '@/core/larder';
import { Combo } from '@/ui/forms/combo';
import { useFormatters } from '@/ui/formatters-context';
import { TroubleText } from '@/ui/forms/trouble-text';
import type { ArticleChoice } from '../queries';
import { understandGoods } from '../understand';
import { NewArticleFields } from './new-article-fields';
import { factsAbout } from './question';
import { RemoveLine } from './remove-line';
import { emptyGoods, type DraftGoods } from './use-draft';
import type { Invoice } from './use-invoice';
import * as texts from './texts';

interface Props {
  readonly index: number;
  readonly invoice: Invoice;
}

const FIELDS = ['packs', 'packPrice', 'delivered', 'rejected'] as const;
type Field = (typeof FIELDS)[number];
const FIELD_WORDS: Readonly<Record<Field, string>> = {
  packs: 'packs',
  packPrice: texts.netPricePack,
  delivered: texts.whatCame,
  rejected: texts.whatReturnedDoor,
};
/** The same in a word, where lines are folded. */
const SHORT: Readonly<Record<Field, string>> = {
  packs: 'packs',
  packPrice: texts.netPack,
  delivered: 'came',
  rejected: 'returned',
};
/** A price that moved by more than this is worth a word. */
const MOVED = 0.1;
const NEW = { id: 'new', name: texts.newItem };

/** One goods line: article, packs, price and what came, with what was understood beside it. */
export function GoodsRow(props: Props) {
  const { index: i, invoice } = props;
  const { form, page, takeOut } = invoice;
  const id = useId();
  const line = useWatch({ control: form.control, name: `lines.${i}` }) as DraftGoods;
  const read = useRead(props, line);
  const { article, words, question } = read;
  const fields = page.corrects ? FIELDS.filter((f) => f !== 'rejected') : FIELDS;
  const more = words.length > 0 || read.asksInPlace || question !== undefined;
  return (
    <tbody>
      <tr>
        <td>
          {page.corrects ? (
            <OfWhat article={article} packs={page.corrects.lines[i]?.packs} />
          ) : (
            <WhichArticle {...props} line={line} wrong={read.wrong('article')} />
          )}
        </td>
        {fields.map((field) => (
          <td key={field} data-of={SHORT[field]}>
            <OneField
              {...props}
              field={field}
              wrong={read.wrong(field)}
              describedBy={more ? id : undefined}
              last={article}
            />
          </td>
        ))}
        <td className="left small-line quiet">
          {read.read?.ok && (
            <Understood read={read.read.value} last={article} credits={page.corrects !== undefined} />
          )}
        </td>
        <td>
          {!page.corrects && <RemoveLine label={texts.remove(read.name)} act={() => takeOut(i, read.name)} />}
        </td>
      </tr>
      {line.newArticle && (
        <tr className="note-row">
          <td colSpan={7}>
            <NewArticleFields index={i} typed={line.newArticle} invoice={invoice} />
          </td>
        </tr>
      )}
      {more && <Notes {...props} id={id} line={line} read={read} />}
    </tbody>
  );
}

/** What is wrong with a line, what is asked about it, and what it came in place of. */
function Notes({
  id,
  line,
  read,
  ...props
}: Props & { readonly id: string; readonly line: DraftGoods; readonly read: ReturnType<typeof useRead> }) {
  return (
    <tr className="note-row">
      <td colSpan={7} id={id}>
        {read.words.map((message) => (
          <TroubleText key={message} as="div" says={message} />
        ))}
        {read.question !== undefined && (
          <div role="alert" className="warning">
            {read.question}{' '}
            <Button variant="plain" size="sm" onClick={() => props.invoice.mean(line)}>
              {texts.right}
            </Button>
          </div>
        )}
        {read.article && read.asksInPlace && <InPlaceOf {...props} />}
      </td>
    </tr>
  );
}

/** What stood on the invoice that is corrected. */
const OfWhat = ({
  article,
  packs,
}: {
  readonly article: ArticleChoice | undefined;
  readonly packs: number | undefined;
}) => (
  <>
    {article?.name ?? texts.articleGone}
    <div className="small-line quiet">
      {article?.pack}, {packs} {texts.invoiced}
    </div>
  </>
);

type Understand = Extract<ReturnType<typeof understandGoods>, { ok: true }>['value'];

function Understood({
  read,
  last,
  credits,
}: {
  readonly read: Understand;
  readonly last: ArticleChoice | undefined;
  readonly credits: boolean;
}) {
  const { money, kilos } = useFormatters();
  const { received: r } = read;
  const before = last?.lastPackPrice === undefined ? undefined : Number(last.lastPackPrice);
  const moved = before && !credits ? Number(read.packPrice) / before - 1 : 0;
  return (
    <>
      {credits ? (
        <>
          {texts.back(money(r.money.toNumber()))}
          {r.acceptedG < 0 && texts.outStore(kilos(-r.acceptedG))}
        </>
      ) : (
        <>
          {texts.forText(kilos(r.acceptedG), money(r.money.toNumber()))}
          {r.acceptedG > 0 && texts.perKilo(money((r.money.toNumber() / r.acceptedG) * 1000))}
        </>
      )}
      {Math.abs(moved) > MOVED && (
        <div className={moved > 0 ? 'dearer' : 'cheaper'}>
          {texts.dearerCheaperThanLast(moved > 0 ? '▲' : '▼', Math.round(Math.abs(moved) * 100), moved)}
        </div>
      )}
      {deliveryWords(r).map((w) => (
        <div key={w} className="warning">
          {w}
        </div>
      ))}
    </>
  );
}

/** An article of this supplier, or something never bought before. */
function WhichArticle({
  index: i,
  invoice: { form, goods },
  line,
  wrong,
}: Props & { readonly line: DraftGoods; readonly wrong: boolean }) {
  const { field } = useController({ control: form.control, name: `lines.${i}.article` });
  const supplier = useWatch({ control: form.control, name: 'supplier' });
  const choose = (chosen: { readonly id: string } | undefined): void => {
    form.clearErrors(`lines.${i}`);
    if (chosen?.id === NEW.id) {
      form.setValue(`lines.${i}.newArticle`, {
        ingredient: '',
        name: '',
        code: '',
        pack: '',
        eachWeighs: '',
        litreWeighs: '',
      });
      field.onChange('');
      return;
    }
    if (form.getValues(`lines.${i}.newArticle`)) form.setValue(`lines.${i}.newArticle`, undefined);
    field.onChange(chosen?.id ?? '');
    // Whose invoice it is follows from the first thing on it, where nobody has said.
    const seller = goods.articles.get(chosen?.id ?? '')?.supplier;
    if (seller && supplier === '') form.setValue('supplier', seller, { shouldDirty: true });
    // Who has gone on already is not called back.
    const stillHere = document.activeElement?.getAttribute('aria-label') === `Line ${i + 1}, article`;
    if (chosen && stillHere) form.setFocus(`lines.${i}.packs`);
  };
  return (
    <Combo<{ id: string; name: string; says?: string }>
      label={texts.lineArticle(i + 1)}
      placeholder={texts.what}
      className="which-thing"
      inputRef={field.ref}
      chosen={line.newArticle ? NEW : goods.articles.get(line.article)}
      find={goods.sold(supplier)}
      also={[NEW]}
      choose={choose}
      invalid={wrong}
    />
  );
}

/** What was ordered, where something else came. */
function InPlaceOf({ index: i, invoice: { form, goods } }: Props) {
  const { field } = useController({ control: form.control, name: `lines.${i}.inPlaceOf` });
  return (
    <div className="small-line quiet d-flex align-items-center gap-2">
      {texts.camePlace}
      <Combo
        size="sm"
        label={texts.linePlace(i + 1)}
        placeholder={texts.nothingWhatOrdered}
        className="which-thing"
        inputRef={field.ref}
        chosen={goods.articles.get(field.value)}
        find={goods.sold('')}
        choose={(a) => field.onChange(a?.id ?? '')}
      />
    </div>
  );
}

/** What is understood of a line, what is wrong with it, and what is asked about it: its own mistakes first, else what shows while it is typed. */
function useRead({ index: i, invoice }: Props, line: DraftGoods) {
  const { form, page, goods, manner } = invoice;
  const article = goods.articles.get(line.article);
  const supplier = useWatch({ control: form.control, name: 'supplier' });
  const facts = factsAbout(line, { ...goods, manner });
  const kind = page.corrects ? texts.creditNote : 'invoice';
  const read = facts && understandGoods(line, facts, manner, kind);
  const started = line.packs.trim() !== '' && line.packPrice.trim() !== '';
  const live = read && !read.ok && started ? read.trouble : undefined;
  const own = messagesOf(form.formState.errors.lines?.[i]);
  const theirs =
    article && !page.corrects && article.supplier !== supplier
      ? texts.belongsToOtherSupplier(
          article.name,
          named(page.suppliers, article.supplier),
          named(page.suppliers, supplier),
        )
      : undefined;
  const wrong = (field: string): boolean =>
    live?.path === field ||
    own.some(([path]) => path === field) ||
    (field === 'article' && theirs !== undefined);
  return {
    article,
    read,
    wrong,
    name: article?.name ?? (line.newArticle?.name || `line ${i + 1}`),
    asksInPlace: article !== undefined && !page.corrects && started,
    question: invoice.asks(line),
    words: [
      ...own.map(([, m]) => m),
      ...(live && own.length === 0 ? [live.message] : []),
      ...(theirs ? [theirs] : []),
    ],
  };
}

const named = (all: readonly { readonly id: string; readonly name: string }[], id: string): string =>
  all.find((s) => s.id === id)?.name ?? 'nobody';

/** Mistakes of a line, each with the field it stands in. */
function messagesOf(errors: unknown, path = ''): [string, string][] {
  if (typeof errors !== 'object' || errors === null) return [];
  if ('message' in errors && typeof errors.message === 'string') return [[path, errors.message]];
  return Object.entries(errors)
    .filter(([key]) => key !== 'ref')
    .flatMap(([key, below]) => messagesOf(below, path === '' ? key : `${path}.${key}`));
}

function OneField({
  index: i,
  invoice: { form, lines, page },
  field,
  wrong,
  describedBy,
  last,
}: Props & {
  readonly field: Field;
  readonly wrong: boolean;
  readonly describedBy: string | undefined;
  readonly last: ArticleChoice | undefined;
}) {
  // Enter goes down the paper: to the next line, and behind the last one to a new one.
  const enter = (event: KeyboardEvent): void => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    const next = i + 1;
    if (page.corrects) return next < lines.fields.length ? form.setFocus(`lines.${next}.packs`) : undefined;
    if (next < lines.fields.length) form.setFocus(`lines.${next}.article`);
    else lines.append(emptyGoods(), { focusName: `lines.${next}.article` });
  };
  return (
    <input
      className="typed"
      aria-label={texts.lineWords(i + 1, FIELD_WORDS[field])}
      aria-invalid={wrong ? true : undefined}
      aria-describedby={describedBy}
      autoComplete="off"
      placeholder={field === 'packPrice' ? last?.lastPackPrice : undefined}
      onKeyDown={enter}
      {...form.register(`lines.${i}.${field}`, { onChange: () => form.clearErrors(`lines.${i}`) })}
    />
  );
}
