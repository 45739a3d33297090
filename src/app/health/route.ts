import { kitchenHere } from '@/server/session';

export const dynamic = 'force-dynamic';

/** Answers once the application, its database and a kitchen are there. */
export async function GET(): Promise<Response> {
  await kitchenHere();
  return new Response('ok\n', { headers: { 'content-type': 'text/plain' } });
}
