import 'server-only';
import { shiftDay } from '@/core/day';
import { readPct } from '@/core/larder';
import { placesOf, type ListColumns, type Places } from '@/core/price-list';
import type { DecimalMark } from '@/core/quantity';
import { importBody, rememberColumns, setImport } from '@/db/buying/price-lists';
import { clearRows, insertListRows } from '@/db/buying/price-list-rows';
import { readKitchenForDay } from '@/db/kitchen/read-kitchen';
import { database } from '@/server/database';
import { declare, Refused, refused } from '@/server/door';
import { readTable, type ListTable } from './file';
import { breathe, startJob } from './jobs';
import { markOf, mustBeOpen } from './lists';
import { previewContext, previewRows } from './preview';
import { LOOK } from './wire';
import * as texts from './texts';

const AT_A_TIME = 500;
const DAYS_AHEAD = 90;

/** A list that is to be looked through: everything its rows are judged by. */
export interface ListPreview {
  readonly id: string;
  readonly supplier: string;
  readonly on: string;
  readonly columns: ListColumns;
  readonly places: Places;
  readonly mark: DecimalMark;
  readonly oddShare: number;
  readonly table: ListTable;
}

/** Columns that were chosen, found in the list; refused where they are not enough to read it by. */
export function previewRequest(
  asked: Pick<ListPreview, 'id' | 'supplier' | 'on' | 'columns' | 'oddShare' | 'table'>,
): ListPreview {
  const { mark, ...words } = asked.columns;
  const places = placesOf(asked.table.heads, words);
  if (places.price === undefined) throw refused('no-price-column', '', texts.whichColumnPriceChoose);
  if (places.code === undefined && places.name === undefined)
    throw refused('no-name-column', '', texts.whichColumnSaysWhat);
  const told = mark ?? markOf(asked.table, places.price);
  if (!told) throw refused('mark-unclear', '', texts.pricesDoNotShow);
  return { ...asked, columns: { ...asked.columns, mark: told }, places, mark: told };
}

function oddTyped(typed: string): number {
  const share = readPct(typed, '.', 'share');
  if (!share.ok) throw refused('share-unread', '', share.trouble.message);
  const odd = share.value / 100;
  if (!(odd > 0 && odd <= 10))
    throw refused('share-out-of-range', '', texts.shareOutOfRange(Math.round(odd * 100)));
  return odd;
}

/** Looks a list through with these columns: every row is judged, nothing is written to the price book. */
export const previewList = declare({
  wire: LOOK,
  role: 'manager',
  moves: 'nothing that is costed',
  async look({ id, on, odd, columns }, { who, today }) {
    if (on === '') throw refused('no-day', '', texts.fromWhichDayDo);
    const found = await mustBeOpen(who.kitchenId, id, ['columns', 'preview']);
    const latest = shiftDay(today, DAYS_AHEAD);
    if (on > latest) throw refused('too-far-ahead', '', texts.pricesFromMostDays(on, DAYS_AHEAD, latest));
    const oddShare = oddTyped(odd);
    const table = await readTable(await importBody(database(), who.kitchenId, id));
    if (!table.ok) throw new Refused(table.trouble);
    const { supplier } = found;
    return {
      ...previewRequest({ id, supplier, on, columns, oddShare, table: table.value }),
      before: found.columns,
    };
  },
  async write({ sql, kitchenId }, { columns: typed }, { id, supplier, on, columns, oddShare, before }) {
    await setImport(sql, kitchenId, id, { state: 'columns', on, columns, oddShare });
    await rememberColumns(sql, kitchenId, supplier, typed);
    return { value: null, what: 'list columns', subject: supplier, before, after: typed };
  },
  then: (_body, ready, who) => {
    startPreview(who.kitchenId, ready);
  },
});

/** Judges every row of a list in the background; what it finds is what the page shows. */
export function startPreview(kitchenId: string, list: ListPreview): void {
  const { id, supplier, on, places, mark, oddShare, table } = list;
  startJob(
    id,
    'looking',
    async (job) => {
      job.total = table.rows.length;
      const kitchen = await readKitchenForDay(database(), kitchenId, on);
      const bench = previewContext(kitchen, supplier, on, { places, mark, oddShare });
      await clearRows(database(), kitchenId, id);
      let batch = [];
      for (const row of previewRows(table, bench)) {
        job.done += 1;
        if (row) batch.push(row);
        if (job.done % AT_A_TIME !== 0) continue;
        await insertListRows(database(), kitchenId, id, batch);
        batch = [];
        await breathe(job);
      }
      await insertListRows(database(), kitchenId, id, batch);
      await setImport(database(), kitchenId, id, { state: 'preview' });
    },
    async () => void (await clearRows(database(), kitchenId, id)),
  );
}
