import 'server-only';
import { guessColumns, listMark, placesOf, type ListColumns } from '@/core/price-list';
import type { DecimalMark } from '@/core/quantity';
import { type Outcome } from '@/core/trouble';
import { importBody, importById, type PriceImport } from '@/db/buying/price-lists';
import { database } from '@/server/database';
import { refused } from '@/server/door';
import { standingKitchen } from '@/server/kitchen';
import { readTable, type ListTable } from './file';
import * as texts from './texts';

export const USUAL_ODD_SHARE = 0.15;

export async function mustFind(kitchenId: string, importId: string): Promise<PriceImport> {
  const found = await importById(database(), kitchenId, importId);
  if (!found) throw refused('gone', '', texts.priceListNoLonger);
  return found;
}

/** A list that nobody has decided on yet. */
export async function mustBeOpen(
  kitchenId: string,
  importId: string,
  states: readonly PriceImport['state'][],
): Promise<PriceImport> {
  const found = await mustFind(kitchenId, importId);
  if (!states.includes(found.state)) throw refused('too-late', '', texts.listDecidedAlready);
  return found;
}

/** The mark before the cents, as a list's prices tell it. */
export const markOf = (table: ListTable, price: number | undefined): DecimalMark | undefined =>
  price === undefined ? undefined : listMark(table.rows.map((r) => r[price] ?? ''));

/** Columns that can be used without asking: all that were remembered are there, and the mark is clear. */
export function isSettled(table: ListTable, columns: ListColumns): ListColumns | undefined {
  const { mark, ...words } = columns;
  const places = placesOf(table.heads, words);
  const wanted = Object.values(words).filter((w) => w !== undefined).length;
  if (Object.keys(places).length < wanted) return undefined;
  const told = mark ?? markOf(table, places.price);
  return told ? { ...columns, mark: told } : undefined;
}

/** What the columns' page shows: heads, some rows, and a guess. */
export interface ColumnsAsked {
  readonly heads: readonly string[];
  readonly sample: readonly (readonly string[])[];
  readonly rows: number;
  readonly how: string;
  readonly guess: Partial<ListColumns>;
}

export async function columnsAsked(kitchenId: string, importId: string): Promise<Outcome<ColumnsAsked>> {
  const table = await readTable(await importBody(database(), kitchenId, importId));
  if (!table.ok) return table;
  const found = await mustFind(kitchenId, importId);
  const { state } = await standingKitchen(kitchenId);
  const remembered = found.columns ?? state.suppliers.find((s) => s.id === found.supplier)?.columns;
  const guess = guessColumns(table.value.heads, remembered);
  const { price } = placesOf(table.value.heads, guess);
  return {
    ok: true,
    value: {
      heads: table.value.heads,
      sample: table.value.rows.slice(0, 6),
      rows: table.value.rows.length,
      how: table.value.how,
      guess: { ...guess, mark: markOf(table.value, price) ?? remembered?.mark },
    },
  };
}
