import { zodResolver } from '@hookform/resolvers/zod';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { useFieldArray, useForm, type FieldPath } from 'react-hook-form';
import { readPrice } from '@/core/larder';
import { mannerOf, type Manner } from '@/core/quantity';
import { useFormatters } from '@/ui/formatters-context';
import { useToast } from '@/ui/frame/toasts';
import { noAnswer, type Mistake } from '@/wire';
import type { ArticleChoice, PurchaseForm } from '../queries';
import { understandGoods } from '../understand';
import { savePurchase, Purchase } from '../wire';
import { begin, isBlank, useKeptDraft, type Draft, type DraftGoods, type DraftLine } from './use-draft';
import { useGoods } from './use-goods';
import { priceOf, questionAbout } from './question';
import * as texts from './texts';

/** An invoice being written down: its form, what it names, what is asked about it, and how it is sent. */
export function useInvoice(page: PurchaseForm) {
  const router = useRouter();
  const tell = useToast();
  const form = useForm<Draft>({ resolver: zodResolver(Purchase), defaultValues: begin(page) });
  const lines = useFieldArray({ control: form.control, name: 'lines', keyName: 'key' });
  const goods = useGoods(page);
  const manner = useMemo(() => mannerOf(page.mark, page.measures), [page]);
  const { found, forget } = useKeptDraft(page, form);
  const { money } = useFormatters();
  const [meant, setMeant] = useState<ReadonlySet<string>>(new Set());
  // A price far from what it was is asked about once, and nothing is written down before it is said to be meant.
  const asks = (line: DraftLine): string | undefined =>
    line.is !== 'goods' || page.corrects || meant.has(priceOf(line))
      ? undefined
      : questionAbout(line, { ...goods, manner }, money);
  const mean = (line: DraftGoods): void => setMeant((all) => new Set([...all, priceOf(line)]));

  const goOn = (draft: Draft): void => {
    form.reset(draft, { keepDefaultValues: true });
    void goods.recall(draft);
  };
  const takeOut = (i: number, name: string): void => {
    const was = form.getValues(`lines.${i}`);
    lines.remove(i);
    form.clearErrors();
    tell(texts.removed(name), () => lines.insert(i, was));
  };
  const send = async (draft: Draft): Promise<void> => {
    if (draft.lines.some((line) => asks(line) !== undefined)) return;
    const places = draft.lines.flatMap((l, i) => (isBlank(l, draft.kind) ? [] : [i]));
    const answer = await savePurchase({ ...draft, lines: places.map((i) => draft.lines[i] as DraftLine) });
    if (answer.ok) {
      forget();
      router.push(`/buy/purchases/${answer.value.id}`);
      router.refresh();
      return;
    }
    const told: readonly Mistake[] =
      answer.code === 'no-answer'
        ? [{ path: '', message: noAnswer(texts.whatYouTypedKept) }]
        : (answer.mistakes ?? [answer]);
    told.forEach(({ path, message }, i) =>
      form.setError(placeOf(path, places), { type: 'server', message }, { shouldFocus: i === 0 }),
    );
  };
  return {
    page,
    form,
    lines,
    goods,
    manner,
    found,
    forget,
    goOn,
    takeOut,
    asks,
    mean,
    send: form.handleSubmit(send),
  };
}
export type Invoice = ReturnType<typeof useInvoice>;

/** Where a mistake stands in the form: blank lines were left out of what was sent, so lines are counted again. */
function placeOf(path: string, places: readonly number[]): FieldPath<Draft> | 'root.server' {
  if (path === '' || path === 'lines') return 'root.server';
  return path.replace(
    /^lines\[(\d+)\]/,
    (_, n: string) => `lines.${places[Number(n)] ?? n}`,
  ) as FieldPath<Draft>;
}

/** What the lines that can be read come to together. */
export function totalOf(draft: Draft, articles: ReadonlyMap<string, ArticleChoice>, manner: Manner): number {
  return draft.lines.reduce((sum, line) => {
    if (line.is !== 'goods') {
      const read = readPrice(line.amount, manner.mark);
      return read.ok ? sum + read.value.toNumber() * (line.is === 'discount' ? -1 : 1) : sum;
    }
    const article = articles.get(line.article);
    const read = understandGoods(
      line,
      { packG: article?.packG ?? 1, thing: article?.thing ?? { name: '' } },
      manner,
      draft.kind,
    );
    return read.ok ? sum + read.value.received.money.toNumber() : sum;
  }, 0);
}
