import 'server-only';
import { notFound } from 'next/navigation';
import { dayIn } from '@/core/day';
import { VERDICTS, type Verdict } from '@/core/price-list';
import { importById, importsOf, type PriceImport } from '@/db/buying/price-lists';
import { listRowsOf, verdictCounts, type ImportRow } from '@/db/buying/price-list-rows';
import { database } from '@/server/database';
import { costedKitchen, todayIn } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { editedAfter } from './accept';
import { jobOf } from './jobs';
import { columnsAsked, type ColumnsAsked } from './lists';

export interface ListsPage {
  readonly imports: readonly PriceImport[];
  readonly suppliers: readonly {
    readonly id: string;
    readonly name: string;
    readonly priceList?: string | undefined;
  }[];
  readonly mayEdit: boolean;
}

/** A list with the kitchen's day on which it was read. */
const inZone = (list: PriceImport, zone: string): PriceImport => ({
  ...list,
  startedAt: dayIn(zone, new Date(list.startedAt)),
});

export async function listsPage(who: Worker): Promise<ListsPage> {
  const { state } = (await costedKitchen(who.kitchenId)).costing;
  return {
    imports: (await importsOf(database(), who.kitchenId)).map((list) => inZone(list, who.zone)),
    suppliers: state.suppliers.map(({ id, name, priceList }) => ({ id, name, priceList })),
    mayEdit: may(who.role, 'manager'),
  };
}

const A_PAGE = 50;

export interface ListPage {
  readonly list: PriceImport;
  readonly today: string;
  readonly mayEdit: boolean;
  readonly working: boolean;
  readonly columns?: ColumnsAsked | undefined;
  readonly counts: readonly { readonly verdict: Verdict; readonly rows: number; readonly wanted: number }[];
  readonly verdict: Verdict;
  readonly rows: readonly ImportRow[];
  readonly from: number;
  readonly more: boolean;
  /** Names of the ingredients that rows in view were said to be new articles of. */
  readonly assigned: Readonly<Record<string, string>>;
  /** Of an accepted list: what somebody has edited since. */
  readonly edited: readonly { readonly article: string; readonly name: string; readonly price: string }[];
}

export async function listPage(
  who: Worker,
  id: string,
  asked: { verdict?: Verdict | undefined; from?: number | undefined; columns?: boolean | undefined },
): Promise<ListPage> {
  // Asked before the list is read: work that ends in between is then looked at again, not missed.
  const job = jobOf(id);
  const working = job !== undefined && !job.ended;
  const list = await importById(database(), who.kitchenId, id);
  if (!list || list.state === 'dropped') notFound();
  const { state } = (await costedKitchen(who.kitchenId)).costing;
  const choosing =
    !working && (list.state === 'columns' || (list.state === 'preview' && asked.columns === true));
  const table = choosing ? await columnsAsked(who.kitchenId, id) : undefined;
  const counts = choosing || working ? new Map() : await verdictCounts(database(), who.kitchenId, id);
  const first = VERDICTS.find((v) => counts.has(v)) ?? 'moved';
  const verdict = asked.verdict ?? first;
  const from = Math.max(0, asked.from ?? 0);
  const rows =
    choosing || working ? [] : await listRowsOf(database(), who.kitchenId, id, verdict, from, A_PAGE + 1);
  const said = new Set(rows.map((r) => r.ingredient));
  return {
    list: inZone(list, who.zone),
    today: await todayIn(who.kitchenId),
    mayEdit: may(who.role, 'manager'),
    working,
    columns: table?.ok ? table.value : undefined,
    counts: VERDICTS.map((v) => ({
      verdict: v,
      rows: counts.get(v)?.rows ?? 0,
      wanted: counts.get(v)?.wanted ?? 0,
    })),
    verdict,
    rows: rows.slice(0, A_PAGE),
    from,
    more: rows.length > A_PAGE,
    assigned: Object.fromEntries(state.ingredients.flatMap((i) => (said.has(i.id) ? [[i.id, i.name]] : []))),
    edited: list.state === 'accepted' ? await editedAfter(who.kitchenId, id) : [],
  };
}
