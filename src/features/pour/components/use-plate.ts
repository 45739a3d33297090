import { useRef, useState } from 'react';
import { readPrice } from '@/core/larder';
import { type Manner, mannerOf, readAmountOf, toGrams } from '@/core/quantity';
import type { Reply } from '@/wire';
import type { PlateData } from '../queries';
import { keepPlate, type TheirPlate } from '../wire';

export interface LiveLine {
  readonly trouble: string | undefined;
  readonly g: number | undefined;
  readonly cost: number | null;
}

/** What the amounts and the price now typed come to; a line that cannot be read leaves the plate without a cost. */
function pricedPlate(data: PlateData, amounts: readonly string[], menuPrice: string, manner: Manner) {
  const lines = data.lines.map((line, i): LiveLine => {
    const read = readAmountOf(['mass', 'volume', 'count'], amounts[i] ?? '', manner);
    const grams = read.ok ? toGrams(read.value, line.weighable) : read;
    if (!grams.ok) return { trouble: grams.trouble.message, g: undefined, cost: null };
    return {
      trouble: undefined,
      g: grams.value.grams,
      cost: line.perG === null ? null : line.perG * grams.value.grams,
    };
  });
  const price = menuPrice.trim() === '' ? undefined : readPrice(menuPrice, data.mark);
  const cost = lines.reduce<number | null>(
    (sum, l) => (sum === null || l.cost === null ? null : sum + l.cost),
    0,
  );
  const net = price?.ok ? price.value.toNumber() / (1 + data.plate.taxPct / 100) : null;
  const pct = cost === null || net === null || net === 0 ? null : (cost / net) * 100;
  return { lines, price, cost, net, pct };
}

/** A plate as it is typed: priced at every keystroke, kept when a field is left. */
export function usePlate(data: PlateData) {
  const [amounts, setAmounts] = useState(data.lines.map((l) => l.amount));
  const [menuPrice, setMenuPrice] = useState(data.plate.menuPrice ?? '');
  /** As it was when it was opened, or when somebody else's was taken: what a field is held against. */
  const [opened, setOpened] = useState({ amounts, menuPrice });
  const [answer, setAnswer] = useState<Reply<null, TheirPlate> | null>(null);
  const version = useRef(data.version);

  const manner = mannerOf(data.mark, data.measures);
  const { lines, price, cost, net, pct } = pricedPlate(data, amounts, menuPrice, manner);

  const keep = async (nextAmounts: readonly string[], nextPrice: string): Promise<void> => {
    const done = await keepPlate({
      id: data.plate.id,
      seen: version.current,
      lines: data.lines.map((line, i) => ({ id: line.id, amount: nextAmounts[i] ?? '' })),
      menuPrice: nextPrice,
    });
    if (done.ok) version.current = done.version ?? version.current;
    setAnswer(done);
  };
  return {
    manner,
    opened,
    amounts,
    menuPrice,
    lines,
    cost,
    net,
    pct,
    answer,
    priceTrouble: price && !price.ok ? price.trouble.message : undefined,
    typeAmount: (i: number, text: string) => setAmounts((all) => all.map((a, j) => (j === i ? text : a))),
    typePrice: setMenuPrice,
    keepAmount: (i: number, text: string) =>
      void keep(
        amounts.map((a, j) => (j === i ? text : a)),
        menuPrice,
      ),
    keepPrice: (text: string) => void keep(amounts, text),
    keepMine: (theirs: TheirPlate) => {
      version.current = theirs.version;
      void keep(amounts, menuPrice);
    },
    takeTheirs: (theirs: TheirPlate) => {
      version.current = theirs.version;
      const theirAmounts = new Map(theirs.plate.lines.map((l) => [l.id, l.amount]));
      const then = {
        amounts: data.lines.map((l, i) => theirAmounts.get(l.id) ?? amounts[i] ?? ''),
        menuPrice: theirs.plate.menuPrice ?? '',
      };
      setOpened(then);
      setAmounts(then.amounts);
      setMenuPrice(then.menuPrice);
      setAnswer(null);
    },
  };
}
