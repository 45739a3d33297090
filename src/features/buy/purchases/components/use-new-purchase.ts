import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { readPrice } from '@/core/larder';
import { mannerOf } from '@/core/quantity';
import { noAnswer } from '@/wire';
import type { PurchaseForm } from '../queries';
import { understandGoods } from '../understand';
import { keepPurchase } from '../wire';
import { useDraft, type DraftLine } from './use-draft';

/** What is wrong, by the place it stands at. */
export type Mistakes = ReadonlyMap<string, string>;

const isBlank = (l: Extract<DraftLine, { is: 'goods' }>): boolean =>
  l.article === '' && !l.newArticle && l.packs.trim() === '' && l.packPrice.trim() === '';

/** An invoice being written down: its draft, what it comes to, what is wrong with it, and how it is sent. */
export function useNewPurchase(form: PurchaseForm) {
  const { draft, change, found, forget } = useDraft(form);
  const [mistakes, setMistakes] = useState<Mistakes>(new Map());
  const [busy, setBusy] = useState(false);
  const router = useRouter();
  const manner = useMemo(() => mannerOf(form.mark, form.measures), [form]);
  const articles = useMemo(() => new Map(form.articles.map((a) => [a.id, a])), [form]);
  const lines = draft.lines;
  const setLine = (i: number, line: DraftLine): void => {
    change({ ...draft, lines: lines.map((l, j) => (j === i ? line : l)) });
    // What the server said of this line no longer holds.
    setMistakes((all) => new Map([...all].filter(([path]) => !path.startsWith(`lines[${i}]`))));
  };
  const remove = (i: number): void => {
    change({ ...draft, lines: lines.filter((_, j) => j !== i) });
    setMistakes(new Map());
  };
  const addLine = (line: DraftLine): void => change({ ...draft, lines: [...lines, line] });

  const send = async (): Promise<void> => {
    setBusy(true);
    const written = lines.filter((l) => l.is !== 'goods' || !isBlank(l));
    const answer = await keepPurchase({ ...draft, lines: written });
    setBusy(false);
    if (answer.ok) {
      forget();
      router.push(`/buy/purchases/${answer.value.id}`);
      router.refresh();
      return;
    }
    const told =
      answer.code === 'no-answer'
        ? [{ path: '', message: noAnswer('what you typed stands here and in this browser') }]
        : (answer.mistakes ?? [answer]);
    setMistakes(besideLines(told, lines));
  };
  return {
    draft,
    change,
    found,
    forget,
    lines,
    setLine,
    remove,
    addLine,
    manner,
    articles,
    mistakes,
    busy,
    send,
  };
}
export type NewPurchaseForm = ReturnType<typeof useNewPurchase>;

/** Blank lines were left out: puts the mistakes back beside the lines they belong to. */
function besideLines(
  told: readonly { readonly path: string; readonly message: string }[],
  lines: readonly DraftLine[],
): Mistakes {
  const places = lines.flatMap((l, i) => (l.is !== 'goods' || !isBlank(l) ? [i] : []));
  return new Map(
    told.map(({ path, message }) => [
      path.replace(/^lines\[(\d+)\]/, (_, n: string) => `lines[${places[Number(n)] ?? n}]`),
      message,
    ]),
  );
}

/** What the lines that can be read come to together. */
export function totalOf({ draft, articles, manner }: NewPurchaseForm): number {
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
