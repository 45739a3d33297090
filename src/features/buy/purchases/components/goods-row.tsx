'use client';

import { X } from 'lucide-react';
import { useId } from 'react';
import Form from 'react-bootstrap/Form';
import { deliveryWords } from '@/core/larder';
import type { Manner } from '@/core/quantity';
import { useFigures } from '@/ui/figures';
import type { PurchaseForm } from '../queries';
import { understandGoods } from '../understand';
import { NewArticleFields, factsOf } from './new-article-fields';
import type { Draft, DraftGoods } from './use-draft';
import { Trouble } from '@/ui/trouble';

interface Props {
  readonly index: number;
  readonly line: DraftGoods;
  readonly draft: Draft;
  readonly form: PurchaseForm;
  readonly manner: Manner;
  readonly mistakes: ReadonlyMap<string, string>;
  readonly onChange: (line: DraftGoods) => void;
  readonly onRemove: () => void;
}

const NEW = 'new';
const FIELDS = ['packs', 'packPrice', 'delivered', 'rejected'] as const;
const FIELD_WORDS = {
  packs: 'packs',
  packPrice: 'net price of a pack',
  delivered: 'what came',
  rejected: 'what was sent back at the door',
} as const;
/** A price that moved by more than this is worth a word. */
const MOVED = 0.1;

/** One goods line: article, packs, price and what came, with what was understood beside it. */
export function GoodsRow(props: Props) {
  const { index, line, draft, form, manner, onChange, onRemove } = props;
  const id = useId();
  const { article, read, wrong, name, asksInPlace, words } = readLine(props);
  const set = (part: Partial<DraftGoods>): void => onChange({ ...line, ...part });
  return (
    <>
      <tr className={line.newArticle || words.length > 0 || asksInPlace ? 'no-line' : ''}>
        <td>
          <WhichArticle
            index={index}
            line={line}
            form={form}
            supplier={draft.supplier}
            wrong={wrong('article')}
            set={set}
          />
        </td>
        {FIELDS.map((field) => (
          <td key={field}>
            <OneField
              label={`Line ${index + 1}, ${FIELD_WORDS[field]}`}
              wrong={wrong(field)}
              describedBy={words.length > 0 ? id : undefined}
              value={line[field]}
              placeholder={field === 'packPrice' ? article?.lastPackPrice : undefined}
              disabled={draft.kind === 'credit note' && field === 'rejected'}
              onTyped={(text) => set({ [field]: text })}
            />
          </td>
        ))}
        <td className="left understood">
          {read?.ok && <Understood read={read.value} last={article} kind={draft.kind} />}
        </td>
        <td>
          <button type="button" className="plain-button" aria-label={`Take ${name} out`} onClick={onRemove}>
            <X size={16} aria-hidden="true" />
          </button>
        </td>
      </tr>
      {line.newArticle && (
        <tr className="note-row">
          <td colSpan={7} className="left">
            <NewArticleFields index={index} line={line} form={form} manner={manner} set={set} />
          </td>
        </tr>
      )}
      {(words.length > 0 || asksInPlace) && (
        <tr className="note-row">
          <td colSpan={7} className="left">
            <Words id={id} words={words} />
            {article && asksInPlace && <InPlaceOf article={article.id} line={line} form={form} set={set} />}
          </td>
        </tr>
      )}
    </>
  );
}

function Understood({
  read,
  last,
  kind,
}: {
  read: Extract<ReturnType<typeof understandGoods>, { ok: true }>['value'];
  last: PurchaseForm['articles'][number] | undefined;
  kind: Draft['kind'];
}) {
  const { money, kilos } = useFigures();
  const { received: r } = read;
  const before = last?.lastPackPrice === undefined ? undefined : Number(last.lastPackPrice);
  const moved = before ? Number(read.packPrice) / before - 1 : 0;
  return (
    <>
      {kind === 'credit note' ? (
        <>
          {money(r.money.toNumber())} back{r.acceptedG < 0 && `, ${kilos(-r.acceptedG)} out of the store`}
        </>
      ) : (
        <>
          {kilos(r.acceptedG)} for {money(r.money.toNumber())}
          {r.acceptedG > 0 && `, ${money((r.money.toNumber() / r.acceptedG) * 1000)} a kilo`}
        </>
      )}
      {Math.abs(moved) > MOVED && (
        <div className={moved > 0 ? 'dearer' : 'cheaper'}>
          {moved > 0 ? '▲' : '▼'} {Math.round(Math.abs(moved) * 100)} % {moved > 0 ? 'dearer' : 'cheaper'}{' '}
          than the last
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
  index,
  line,
  form,
  supplier,
  wrong,
  set,
}: {
  readonly index: number;
  readonly line: DraftGoods;
  readonly form: PurchaseForm;
  readonly supplier: string;
  readonly wrong: boolean;
  readonly set: (part: Partial<DraftGoods>) => void;
}) {
  const sold = form.articles.filter((a) => a.supplier === supplier);
  return (
    <Form.Select
      aria-label={`Line ${index + 1}, article`}
      value={line.newArticle ? NEW : line.article}
      isInvalid={wrong}
      onChange={(event) =>
        event.target.value === NEW
          ? set({
              article: '',
              newArticle: {
                ingredient: '',
                name: '',
                code: '',
                pack: '',
                eachWeighs: '',
                litreWeighs: '',
              },
            })
          : set({ article: event.target.value, newArticle: undefined })
      }
    >
      <option value="">Choose an article</option>
      {sold.map((a) => (
        <option key={a.id} value={a.id}>
          {a.name}, {a.pack}
        </option>
      ))}
      <option value={NEW}>Something new …</option>
    </Form.Select>
  );
}

/** What was ordered, where something else came. */
function InPlaceOf({
  article,
  line,
  form,
  set,
}: {
  readonly article: string;
  readonly line: DraftGoods;
  readonly form: PurchaseForm;
  readonly set: (part: Partial<DraftGoods>) => void;
}) {
  return (
    <label className="understood">
      in place of{' '}
      <select value={line.inPlaceOf} onChange={(event) => set({ inPlaceOf: event.target.value })}>
        <option value="">nothing: it is what was ordered</option>
        {form.articles
          .filter((a) => a.id !== article)
          .map((a) => (
            <option key={a.id} value={a.id}>
              {a.name}
            </option>
          ))}
      </select>
    </label>
  );
}

/** What is understood of a line, and what is wrong with it: its own mistakes first, else what shows while it is typed. */
function readLine({ index, line, draft, form, manner, mistakes }: Omit<Props, 'onChange' | 'onRemove'>) {
  const article = form.articles.find((a) => a.id === line.article);
  const facts = line.newArticle
    ? factsOf(line.newArticle, form, manner)
    : article && { packG: article.packG, thing: article.thing };
  const read = facts && understandGoods(line, facts, manner, draft.kind);
  const started = line.packs.trim() !== '' && line.packPrice.trim() !== '';
  const live =
    read && !read.ok && started ? { path: read.trouble.path, message: read.trouble.message } : undefined;
  const own = [...mistakes].filter(([path]) => path.startsWith(`lines[${index}]`));
  const wrong = (field: string): boolean =>
    live?.path === field || own.some(([path]) => path === `lines[${index}].${field}`);
  const name = article?.name ?? line.newArticle?.name ?? `line ${index + 1}`;
  const asksInPlace = article !== undefined && draft.kind === 'invoice' && started;
  const words = [...own.map(([, m]) => m), ...(live && own.length === 0 ? [live.message] : [])];
  return { article, read, wrong, name, asksInPlace, words };
}

function Words({ id, words }: { readonly id: string; readonly words: readonly string[] }) {
  return (
    <span id={id}>
      {words.map((message) => (
        <Trouble key={message} as="span" says={message} />
      ))}
    </span>
  );
}

function OneField({
  label,
  wrong,
  describedBy,
  value,
  placeholder,
  disabled,
  onTyped,
}: {
  readonly label: string;
  readonly wrong: boolean;
  readonly describedBy: string | undefined;
  readonly value: string;
  readonly placeholder: string | undefined;
  readonly disabled: boolean;
  readonly onTyped: (text: string) => void;
}) {
  return (
    <input
      className="typed"
      aria-label={label}
      aria-invalid={wrong ? true : undefined}
      aria-describedby={describedBy}
      autoComplete="off"
      value={value}
      placeholder={placeholder}
      disabled={disabled}
      onChange={(event) => onTyped(event.target.value)}
    />
  );
}
