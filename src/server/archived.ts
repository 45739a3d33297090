import 'server-only';
import { dayIn } from '@/core/day';
import { archivedOf, type Archivable } from '@/db/archive';
import { database } from './database';
import { may, type Worker } from './roles';

/** What was put away of a kind, for anyone who may bring it back: the day as the kitchen's clock had it. */
export async function archivedRows(
  who: Worker,
  table: Archivable,
): Promise<{ id: string; name: string; since: string }[]> {
  if (!may(who.role, 'changer')) return [];
  const rows = await archivedOf(database(), table, who.kitchenId);
  return rows.map(({ id, name, at }) => ({ id, name, since: dayIn(who.zone, at) }));
}
