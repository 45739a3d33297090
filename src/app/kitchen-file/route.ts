import { kitchenFile } from '@/features/house/kitchen-file';

export const dynamic = 'force-dynamic';

/** The kitchen as a file to be taken away. */
export async function GET(request: Request): Promise<Response> {
  const found = await kitchenFile(new URL(request.url).searchParams.has('history'));
  if (!found)
    return new Response('A manager, signed in by password, takes the kitchen as a file.\n', { status: 403 });
  return new Response(found.text, {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': `attachment; filename="${found.name}"`,
      'cache-control': 'no-store',
    },
  });
}
