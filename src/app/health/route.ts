import { workOutAhead } from '@/server/ahead';
import { kitchenHere } from '@/server/session';

export const dynamic = 'force-dynamic';

/** Answers once the application, its database and a kitchen are there. Who starts it asks here first: figures are begun at once. */
export async function GET(): Promise<Response> {
  await kitchenHere();
  void workOutAhead();
  return new Response('ok\n', { headers: { 'content-type': 'text/plain' } });
}
