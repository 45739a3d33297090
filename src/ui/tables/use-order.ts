'use client';

import { createParser, useQueryState } from 'nuqs';

/** By which column, and whether the largest comes first. */
export interface SortOrder {
  readonly id: string;
  readonly down: boolean;
}

/** “cost” and “cost.down” in the address. */
const inAddress = createParser<SortOrder>({
  parse: (text) =>
    /^[a-z]+(\.down)?$/.test(text) ? { id: text.replace(/\.down$/, ''), down: text.endsWith('.down') } : null,
  serialize: ({ id, down }) => (down ? `${id}.down` : id),
  eq: (a, b) => a.id === b.id && a.down === b.down,
});

/** The order of a table's rows, in the address: it stays with *back* and a reload. */
export function useOrder(asksServer: boolean): {
  readonly order: SortOrder | null;
  readonly by: (order: SortOrder) => void;
} {
  const [order, setOrder] = useQueryState(
    'order',
    inAddress.withOptions({ shallow: !asksServer, history: 'push' }),
  );
  return { order, by: (next) => void setOrder(next) };
}
