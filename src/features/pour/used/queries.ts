import 'server-only';
import { USED, whereUsed, type UsedRecord, type WhereUsed } from '@/core/costing';
import { costedKitchen } from '@/server/kitchen';
import type { Worker } from '@/server/session';

export interface UsedPage {
  readonly is: UsedRecord | undefined;
  readonly id: string | undefined;
  readonly used: WhereUsed | undefined;
  /** Whether something was asked for that is not here. */
  readonly gone: boolean;
}

/** Where a thing is used, told as `kind:id`. */
export async function usedPage(who: Worker, of: string | undefined): Promise<UsedPage> {
  const [said, ...rest] = (of ?? '').split(':');
  const is = USED.find((u) => u === said);
  const id = rest.join(':');
  if (!is) return { is, id: undefined, used: undefined, gone: of !== undefined };
  const { costing } = await costedKitchen(who.kitchenId);
  const used = whereUsed(costing, is, id);
  return { is, id, used, gone: used === undefined };
}
