import { pantryText } from '@/features/stove/pantry';
import { currentWorker } from '@/server/session';

/** What the house has that may come into a pot: asked for once by a tablet that is propped up at one, and kept there. */
export async function GET(request: Request): Promise<Response> {
  const who = await currentWorker();
  if (!who) return new Response(null, { status: 401 });
  const { text, tag } = await pantryText(who);
  const headers = { 'cache-control': 'private, no-cache', etag: tag };
  if (request.headers.get('if-none-match')?.includes(tag))
    return new Response(null, { status: 304, headers });
  return new Response(text, { headers: { ...headers, 'content-type': 'application/json; charset=utf-8' } });
}
