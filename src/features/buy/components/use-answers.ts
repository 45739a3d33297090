import { useCallback, useState } from 'react';
import { sourcePrices, afterTheKnife } from '@/core/knife';
import { CostGraph } from '@/core/graph';
import type { PriceBookData, PriceRow } from '../queries';

/** A row's price and yield as numbers; a price that cannot be read is no price. */
export interface Typed {
  readonly packPrice: number | undefined;
  readonly usablePct: number;
}

/** Price per kg after the knife, for a row as it is typed. */
export function knifeOf(row: PriceRow, typed: Typed) {
  const latest =
    row.article && typed.packPrice !== undefined ? (typed.packPrice * 1000) / row.article.packG : undefined;
  const bought = latest === undefined ? undefined : (row.basisPerKg ?? latest);
  const perKg = row.comesOff ? row.comesOff.perKg : bought;
  return { perKg, ...afterTheKnife(row.knife, perKg, typed.usablePct / 100, row.stockTrimPct / 100) };
}

/** The sources a row's price moves: its own, and what comes off it. */
function* pricesOf(row: PriceRow, typed: Typed) {
  const { cameOff, ...own } = knifeOf(row, typed);
  yield* sourcePrices([
    { ingredient: { id: row.id }, ...own },
    ...cameOff.map(({ id, ...prices }) => ({ ingredient: { id }, ...prices })),
  ]);
}

function opened({ graph: nodes, prices, products, plates }: PriceBookData) {
  const graph = new CostGraph(nodes);
  graph.set(prices);
  return { graph, before: new Map([...products, ...plates].map((a) => [a.key, graph.cost(a.key)])) };
}

/**
 * The kitchen's cost graph in the browser: a price being typed moves every product and plate at once.
 * `before` are the costs as they stood when the page was opened.
 */
export function useAnswers(data: PriceBookData) {
  const [, redraw] = useState(0);
  const [{ graph, before }] = useState(() => opened(data));
  const set = useCallback(
    (row: PriceRow, typed: Typed) => {
      // A source nothing lives from is not in this graph.
      const known = [...pricesOf(row, typed)].filter(([key]) => graph.has(key));
      if (graph.set(known).length > 0) redraw((n) => n + 1);
    },
    [graph],
  );
  return { graph, before, set };
}
