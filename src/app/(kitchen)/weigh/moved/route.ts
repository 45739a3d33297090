import { flippedQuestions } from '@/features/weigh/saved-questions';
import { currentWorker } from '@/server/session';

export const dynamic = 'force-dynamic';

/** Kept questions whose answer is another than when somebody last looked. */
export async function GET(): Promise<Response> {
  const who = await currentWorker();
  if (!who) return new Response(null, { status: 401 });
  return Response.json(await flippedQuestions(who), { headers: { 'cache-control': 'no-store' } });
}
