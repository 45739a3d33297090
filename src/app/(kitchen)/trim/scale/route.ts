import { scaleAddress } from '@/features/trim/bench/queries';
import { scaleStream } from '@/features/trim/bench/scale-stream';
import { currentWorker } from '@/server/session';

/** Readings of the bench scale as they come: the browser never speaks to the scale itself. */
export async function GET(request: Request): Promise<Response> {
  const who = await currentWorker();
  if (!who) return new Response(null, { status: 401 });
  const address = await scaleAddress(who);
  if (!address) return new Response(null, { status: 404 });
  return new Response(scaleStream(address, request.signal), {
    headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' },
  });
}
