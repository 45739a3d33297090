import { warmUp } from '@/server/warm-up';

export const dynamic = 'force-dynamic';

/** Says that the application is alive, whatever the state of its database (`/ready`). The first who asks has the figures begun. */
export function GET(): Response {
  void warmUp();
  return new Response('ok\n', { headers: { 'content-type': 'text/plain' } });
}
