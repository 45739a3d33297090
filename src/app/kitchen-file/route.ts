import { kitchenFile } from '@/features/house/kitchen-file';
import * as texts from '@/app/texts';

export const dynamic = 'force-dynamic';

/** The kitchen as a file to be taken away. */
export async function GET(request: Request): Promise<Response> {
  const found = await kitchenFile(new URL(request.url).searchParams.has('history'));
  if (!found) return new Response(texts.managerSignedPasswordTakes, { status: 403 });
  return new Response(found.text, {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': `attachment; filename="${found.name}"`,
      'cache-control': 'no-store',
    },
  });
}
