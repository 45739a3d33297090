import { useCallback, useState } from 'react';
import { afterTheKnife, CostGraph, sourcePrices } from '@/core/costing';
import type { PriceBookData, PriceRow } from '../queries';

/** A row's price and yield as numbers; a price that cannot be read is no price. */
export interface Typed {
  readonly packPrice: number | undefined;
  readonly usablePct: number;
}

/** Price per kg after the knife, for a row as it is typed. */
export function knifeOf(row: PriceRow, typed: Typed) {
  const perKg =
    row.article && typed.packPrice !== undefined ? (typed.packPrice * 1000) / row.article.packG : undefined;
  return { perKg, ...afterTheKnife(row, perKg, typed.usablePct / 100, row.stockTrimPct / 100) };
}

const pricesOf = (row: PriceRow, typed: Typed) =>
  sourcePrices([{ ingredient: { id: row.id }, ...knifeOf(row, typed) }]);
const saved = (row: PriceRow): Typed => ({
  packPrice: row.article ? Number(row.article.packPrice) : undefined,
  usablePct: row.usablePct,
});

function opened({ graph: nodes, rows, products, plates }: PriceBookData) {
  const graph = new CostGraph(nodes);
  for (const row of rows) graph.set(pricesOf(row, saved(row)));
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
      if (graph.set(pricesOf(row, typed)).length > 0) redraw((n) => n + 1);
    },
    [graph],
  );
  return { graph, before, set };
}
