import { useCallback, useRef, useState } from 'react';
import { sourcePrices, priceAfterTrim } from '@/core/knife';
import { CostGraph } from '@/core/graph';
import type { PriceRow, AffectedDish } from '../queries';

/** A row's price and yield as numbers; a price that cannot be read is no price. */
export interface TypedPrice {
  readonly packPrice: number | undefined;
  readonly usablePct: number;
}

/** Price per kg after the knife, for a row as it is typed. */
export function knifeOf(row: PriceRow, typed: TypedPrice) {
  const latest =
    row.article && typed.packPrice !== undefined ? (typed.packPrice * 1000) / row.article.packG : undefined;
  const bought = latest === undefined ? undefined : (row.basisPerKg ?? latest);
  const perKg = row.comesOff ? row.comesOff.perKg : bought;
  return { perKg, ...priceAfterTrim(row.knife, perKg, typed.usablePct / 100, row.stockTrimPct / 100) };
}

/** The sources a row's price moves: its own, and what comes off it. */
function* pricesOf(row: PriceRow, typed: TypedPrice) {
  const { cameOff, ...own } = knifeOf(row, typed);
  yield* sourcePrices([
    { ingredient: { id: row.id }, ...own },
    ...cameOff.map(({ id, ...prices }) => ({ ingredient: { id }, ...prices })),
  ]);
}

const graphOf = ({ graph: nodes, prices }: AffectedDish): CostGraph => {
  const graph = new CostGraph(nodes);
  graph.set(prices);
  return graph;
};

/** What everybody who answers costs as it was told, by key. */
const costsIn = ({ products, plates }: AffectedDish): ReadonlyMap<string, number | null> =>
  new Map([...products, ...plates].map((a) => [a.key, a.cost]));

/** What a row's prices come to in a graph; a source nothing is made from is not in it. */
const known = (graph: CostGraph, row: PriceRow, typed: TypedPrice) =>
  [...pricesOf(row, typed)].filter(([key]) => graph.has(key));

/**
 * The part of the kitchen's cost graph above the rows in view: a price being typed moves every product and plate at once.
 * When other rows come into view it is another part, and what has been typed is typed there too.
 */
export function useAnswers(first: AffectedDish) {
  const [, redraw] = useState(0);
  const [{ reached, graph, before }, setPart] = useState(() => ({
    reached: first,
    graph: graphOf(first),
    before: costsIn(first),
  }));
  const typed = useRef(new Map<string, readonly [PriceRow, TypedPrice]>());
  const set = useCallback(
    (row: PriceRow, as: TypedPrice) => {
      typed.current.set(row.id, [row, as]);
      if (graph.set(known(graph, row, as)).length > 0) redraw((n) => n + 1);
    },
    [graph],
  );
  const reach = useCallback((next: AffectedDish): void => {
    const made = graphOf(next);
    for (const [row, as] of typed.current.values()) made.set(known(made, row, as));
    // What was in view before keeps the cost it was first seen with: what moved is counted from there.
    setPart((was) => ({
      reached: next,
      graph: made,
      before: new Map([...costsIn(next), ...was.before]),
    }));
  }, []);
  return { reached, graph, before, set, reach };
}
