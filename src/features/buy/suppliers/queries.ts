import 'server-only';
import { versionsOf } from '@/db/edits';
import { archivedRows } from '@/server/archived';
import { database } from '@/server/database';
import { standingKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { byName } from '@/search';

export interface SupplierRow {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly priceList: string;
  /** What is bought there: the first few by name, and how many in all. */
  readonly sells: readonly string[];
  readonly articles: number;
}

export interface SuppliersPage {
  readonly mayEdit: boolean;
  readonly rows: readonly SupplierRow[];
  readonly away: Awaited<ReturnType<typeof archivedRows>>;
}

const SHOWN = 4;

export async function suppliersPage(who: Worker): Promise<SuppliersPage> {
  const { state } = await standingKitchen(who.kitchenId);
  const names = new Map(state.ingredients.map((i) => [i.id, i.name]));
  const sells = new Map<string, string[]>();
  for (const a of state.articles) {
    const list = sells.get(a.supplier) ?? [];
    sells.set(a.supplier, list);
    list.push(names.get(a.ingredient) ?? a.name);
  }
  const versions = await versionsOf(database(), 'supplier', who.kitchenId);
  return {
    mayEdit: may(who.role, 'changer'),
    rows: state.suppliers
      .map((s) => {
        const all = [...new Set(sells.get(s.id))];
        return {
          id: s.id,
          version: versions.get(s.id) ?? 1,
          name: s.name,
          priceList: s.priceList ?? '',
          sells: all.slice(0, SHOWN),
          articles: all.length,
        };
      })
      .sort(byName),
    away: await archivedRows(who, 'supplier'),
  };
}
