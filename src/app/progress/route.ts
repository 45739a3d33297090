import { progressOf } from '@/server/kitchen';
import { currentWorker } from '@/server/session';

export const dynamic = 'force-dynamic';

/** How far the first costing after a start is, for anyone who waits for it; nothing where nothing is under way. */
export async function GET(): Promise<Response> {
  const who = await currentWorker();
  return Response.json((who && progressOf(who.kitchenId)) ?? null, {
    headers: { 'cache-control': 'no-store' },
  });
}
