'use server';

import { startSession, clientInfo } from '@/server/start-session';
import { pathOf, type Mistake } from '@/wire';
import { beginKitchen } from './service';
import { FirstTyped } from './wire';

type Answer =
  | { readonly ok: true }
  | {
      readonly ok: false;
      readonly message: string;
      readonly path: string;
      readonly mistakes?: readonly Mistake[] | undefined;
    };

/** Begins the kitchen, and signs its first manager in. */
export async function openKitchen(typed: FirstTyped): Promise<Answer> {
  const read = FirstTyped.safeParse(typed);
  if (!read.success) {
    const mistakes = read.error.issues.map((i) => ({ path: pathOf(i.path), message: i.message }));
    return { ok: false, message: mistakes[0]?.message ?? '', path: mistakes[0]?.path ?? '', mistakes };
  }
  const begun = await beginKitchen(read.data);
  if (!begun.ok) return begun;
  const { kitchenId, managerId } = begun;
  await startSession(kitchenId, { personId: managerId, byPin: false }, await clientInfo(kitchenId));
  return { ok: true };
}
