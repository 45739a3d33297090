import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { outlierQuestion, readPrice } from '@/core/larder';
import { type Manner, mannerOf, readAmountOf, toGrams } from '@/core/quantity';
import { useUnsavedChanges } from '@/ui/frame/unsaved-changes';
import { useQueuedWrite } from '@/ui/hooks/use-queued-write';
import { canWait, type Reply } from '@/wire';
import type { PlateData } from '../queries';
import { savePlate, PLATE, type TheirPlate } from '../wire';
import * as texts from './texts';

export interface LiveLine {
  readonly trouble: string | undefined;
  readonly g: number | undefined;
  /** g as bought, where a count is of something that is trimmed. */
  readonly wholeG: number | undefined;
  readonly cost: number | null;
}

/** How a line's counts are weighed: as bought where somebody has just said so. */
const weighableOf = (line: PlateData['lines'][number], asBought: ReadonlySet<string>) =>
  asBought.has(line.id) ? { ...line.weighable, usable: line.usable } : line.weighable;

/** What the amounts and the price now typed come to; a line that cannot be read leaves the plate without a cost. */
function pricedPlate(
  data: PlateData,
  amounts: readonly string[],
  asBought: ReadonlySet<string>,
  menuPrice: string,
  manner: Manner,
) {
  const lines = data.lines.map((line, i): LiveLine => {
    const read = readAmountOf(['mass', 'volume', 'count'], amounts[i] ?? '', manner);
    const grams = read.ok ? toGrams(read.value, weighableOf(line, asBought)) : read;
    if (!grams.ok) return { trouble: grams.trouble.message, g: undefined, wholeG: undefined, cost: null };
    return {
      trouble: undefined,
      g: grams.value.grams,
      wholeG: grams.value.wholeG,
      cost: line.perG === null ? null : line.perG * grams.value.grams * line.times,
    };
  });
  const price = menuPrice.trim() === '' ? undefined : readPrice(menuPrice, data.mark);
  const sum = (packaging: boolean): number | null =>
    lines.reduce<number | null>((all, l, i) => {
      if ((data.lines[i]?.packaging === true) !== packaging) return all;
      return all === null || l.cost === null ? null : all + l.cost;
    }, 0);
  const cost = sum(false);
  const net = price?.ok ? price.value.toNumber() / (1 + data.plate.taxPct / 100) : null;
  const pct = cost === null || net === null || net === 0 ? null : (cost / net) * 100;
  const counted = data.lines.reduce<number | null>((all, line, i) => {
    const g = lines[i]?.g;
    return all === null || line.besidePerG === null || g === undefined
      ? null
      : all + line.besidePerG * g * line.times;
  }, data.handsCost);
  return {
    lines,
    price,
    cost,
    /** With the layers that are counted beside the ingredients. */
    whole: cost === null || counted === null ? null : cost + counted,
    net,
    pct,
  };
}

const gramWords = (g: number): string => (g < 995 ? `${g.toFixed(0)} g` : texts.kg((g / 1000).toFixed(2)));

/** What an amount of a line comes to; undefined where it cannot be read. */
function gramsOf(
  data: PlateData,
  i: number,
  text: string,
  asBought: ReadonlySet<string>,
  manner: Manner,
): number | undefined {
  const line = data.lines[i];
  const read = readAmountOf(['mass', 'volume', 'count'], text, manner);
  const grams = line && read.ok ? toGrams(read.value, weighableOf(line, asBought)) : undefined;
  return grams?.ok ? grams.value.grams : undefined;
}

/** Questions where a portion or a price is far from what it was when it was opened. */
const asksOf = (
  data: PlateData,
  opened: { readonly amounts: readonly string[]; readonly menuPrice: string },
  asBought: ReadonlySet<string>,
  manner: Manner,
) => ({
  asksAmount: (i: number, text: string): string | undefined => {
    const [was, is] = [opened.amounts[i] ?? '', text].map((t) => gramsOf(data, i, t, asBought, manner));
    return is === undefined
      ? undefined
      : outlierQuestion({ what: 'portion', before: was, after: is, words: gramWords });
  },
  asksPrice: (text: string, money: (value: number) => string): string | undefined => {
    const [was, is] = [opened.menuPrice, text].map((t) => readPrice(t, data.mark));
    return is?.ok && text.trim() !== ''
      ? outlierQuestion({
          what: 'menu price',
          before: was?.ok ? was.value.toNumber() : undefined,
          after: is.value.toNumber(),
          words: money,
        })
      : undefined;
  },
});

/** Amounts as they are read again, but for those that somebody has typed over meanwhile. */
const typedOver = (
  before: PlateData,
  now: PlateData,
  amounts: readonly string[],
  opened: readonly string[],
): string[] => {
  const typed = new Map(
    before.lines.flatMap((l, i) => (amounts[i] === opened[i] ? [] : [[l.id, amounts[i] ?? ''] as const])),
  );
  return now.lines.map((l) => typed.get(l.id) ?? l.amount);
};

/** What is typed over on a plate, and what it is held against. */
function useTypedOver(data: PlateData) {
  const [amounts, setAmounts] = useState(data.lines.map((l) => l.amount));
  const [menuPrice, setMenuPrice] = useState(data.plate.menuPrice ?? '');
  /** As it was when it was opened, or when somebody else's was taken: what a field is held against. */
  const [opened, setOpened] = useState({ amounts, menuPrice });
  /** Lines whose counts stand for things as bought since somebody said so here. */
  const [asBought, setAsBought] = useState<ReadonlySet<string>>(new Set());
  // Read again with other lines, it keeps what is being typed: a line comes while somebody writes the price already.
  const [read, setRead] = useState(data);
  if (read.version !== data.version) {
    setRead(data);
    const then = { amounts: data.lines.map((l) => l.amount), menuPrice: data.plate.menuPrice ?? '' };
    setAmounts(typedOver(read, data, amounts, opened.amounts));
    setMenuPrice(menuPrice === opened.menuPrice ? then.menuPrice : menuPrice);
    setOpened(then);
    setAsBought(new Set());
  }
  return { amounts, setAmounts, menuPrice, setMenuPrice, opened, setOpened, asBought, setAsBought };
}

/** Amounts with one of them typed otherwise. */
const withAmount = (amounts: readonly string[], i: number, text: string): string[] =>
  amounts.map((a, j) => (j === i ? text : a));

/** A plate as it is typed: priced at every keystroke, kept when a field is left. */
export function usePlate(data: PlateData) {
  const { amounts, setAmounts, menuPrice, setMenuPrice, opened, setOpened, asBought, setAsBought } =
    useTypedOver(data);
  const { answer, keep, seen, version, keptAs } = useKeepPlate(data);

  const manner = mannerOf(data.mark, data.measures);
  const priced = pricedPlate(data, amounts, asBought, menuPrice, manner);
  const { price } = priced;
  const keepAmounts = (all: readonly string[]): void => void keep(all, menuPrice, asBought);
  return {
    ...priced,
    manner,
    opened,
    amounts,
    menuPrice,
    answer,
    version,
    keptAs,
    priceTrouble: price && !price.ok ? price.trouble.message : undefined,
    typeAmount: (i: number, text: string) => setAmounts((all) => withAmount(all, i, text)),
    typePrice: setMenuPrice,
    ...asksOf(data, opened, asBought, manner),
    /** The portion of the plate it is a size of, at its size. */
    followAgain: (i: number, there: string): void => {
      const all = withAmount(amounts, i, there);
      setOpened((was) => ({ ...was, amounts: all }));
      setAmounts(all);
      keepAmounts(all);
    },
    keepAmount: (i: number, text: string) => keepAmounts(withAmount(amounts, i, text)),
    /** Whether a line's counts stand for trimmed things, as older plates meant them. */
    isTrimmed: (line: PlateData['lines'][number]) =>
      'ingredient' in line.of && line.of.counted !== undefined && !asBought.has(line.id),
    countAsBought: (id: string) => {
      const bought = new Set(asBought).add(id);
      setAsBought(bought);
      void keep(amounts, menuPrice, bought);
    },
    /** Another price than the one that stands in the field. */
    takePrice: (text: string) => {
      setOpened((was) => ({ ...was, menuPrice: text }));
      setMenuPrice(text);
      void keep(amounts, text, asBought);
    },
    keepPrice: (text: string) => void keep(amounts, text, asBought),
    keepMine: (theirs: TheirPlate) => {
      seen(theirs);
      void keep(amounts, menuPrice, asBought);
    },
    takeTheirs: (theirs: TheirPlate) => {
      seen(theirs, true);
      const then = amountsOf(theirs, data, amounts);
      setOpened(then);
      setAmounts(then.amounts);
      setMenuPrice(then.menuPrice);
    },
  };
}

/** A plate as somebody else left it, in this screen's fields. */
function amountsOf({ plate }: TheirPlate, data: PlateData, amounts: readonly string[]) {
  const theirs = new Map(plate.lines.map((l) => [l.id, l.amount]));
  return {
    amounts: data.lines.map((l, i) => theirs.get(l.id) ?? amounts[i] ?? ''),
    menuPrice: plate.menuPrice ?? '',
  };
}

/** Keeps a plate, at the version that is on the screen. */
function useKeepPlate(data: PlateData) {
  const router = useRouter();
  const [answer, setAnswer] = useState<Reply<null, TheirPlate> | null>(null);
  const version = useRef(data.version);
  /** Portions of a size as they were sent last, until it is read again. */
  const sent = useRef(new Map<string, string>());
  useEffect(() => {
    version.current = Math.max(version.current, data.version);
    sent.current.clear();
  }, [data.version]);
  const settled = (done: Reply<null, TheirPlate>): void => {
    if (done.ok) {
      version.current = done.version ?? version.current;
      // Its layers, the alcohol on it and its sizes are told again.
      router.refresh();
    }
    setAnswer(done);
  };
  useQueuedWrite(PLATE.kind, data.plate.id, settled);
  // What was refused stands typed and is kept nowhere.
  useUnsavedChanges(answer?.ok === false && !canWait(answer));
  return {
    answer,
    async keep(amounts: readonly string[], menuPrice: string, asBought: ReadonlySet<string>): Promise<void> {
      const lines = data.lines.flatMap((line, i) => {
        const amount = amounts[i] ?? '';
        // What a size follows and nobody has typed over is left to the plate it follows, which may have changed since.
        if (line.amountThere !== undefined && amount === (sent.current.get(line.id) ?? line.amount))
          return [];
        sent.current.set(line.id, amount);
        return [{ id: line.id, amount, ...(asBought.has(line.id) ? { asBought: true } : {}) }];
      });
      const done = await savePlate({ id: data.plate.id, seen: version.current, lines, menuPrice });
      if (!done.ok && !canWait(done)) sent.current.clear();
      settled(done);
    },
    /** The version that is on the screen. */
    version: (): number => version.current,
    /** Takes note of what has been kept of it elsewhere on the page. */
    keptAs(kept: number | null): void {
      version.current = Math.max(version.current, kept ?? 0);
    },
    /** Takes note of how far somebody else has got; `settled` where theirs is taken. */
    seen(theirs: TheirPlate, settled = false): void {
      version.current = theirs.version;
      if (settled) setAnswer(null);
    },
  };
}

/** A plate as a part of its page shows it. */
export interface ShownPlate {
  readonly data: PlateData;
  readonly plate: ReturnType<typeof usePlate>;
  /** Begins the ids of what is said about a field. */
  readonly ids: string;
}
