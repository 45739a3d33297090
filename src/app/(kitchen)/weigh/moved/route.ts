import { flippedNow } from '@/features/weigh/kept';
import { worker } from '@/server/session';

export const dynamic = 'force-dynamic';

/** Kept questions whose answer is another than when somebody last looked. */
export async function GET(): Promise<Response> {
  const who = await worker();
  if (!who) return new Response(null, { status: 401 });
  return Response.json(await flippedNow(who), { headers: { 'cache-control': 'no-store' } });
}
