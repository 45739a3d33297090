import { z } from 'zod';
import { sheetNow } from '@/features/pot/queries';
import { currentWorker } from '@/server/session';

const Seen = z.coerce.number().int().min(0).max(1e9);

/** The sheet as somebody else has left it since a version; nothing where nobody has. */
export async function GET(
  request: Request,
  { params }: { readonly params: Promise<{ id: string }> },
): Promise<Response> {
  const who = await currentWorker();
  if (!who) return new Response(null, { status: 401 });
  const seen = Seen.safeParse(new URL(request.url).searchParams.get('seen'));
  const id = z.uuid().safeParse((await params).id);
  if (!seen.success || !id.success) return new Response(null, { status: 400 });
  const sheet = await sheetNow(who, id.data, seen.data);
  return sheet
    ? Response.json(sheet, { headers: { 'cache-control': 'no-store' } })
    : new Response(null, { status: 204 });
}
