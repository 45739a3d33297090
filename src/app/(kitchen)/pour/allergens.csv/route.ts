import { allergensCsv } from '@/features/pour/allergens/csv';
import { allergensPage } from '@/features/pour/allergens/queries';
import { currentWorker } from '@/server/session';

/** Plates, or pots, and their allergens for a spreadsheet. */
export async function GET(request: Request): Promise<Response> {
  const who = await currentWorker();
  if (!who) return new Response(null, { status: 401 });
  const what = new URL(request.url).searchParams.get('of') === 'pots' ? 'pots' : 'plates';
  return new Response(allergensCsv(await allergensPage(who, what)), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="allergens-${what}.csv"`,
      'cache-control': 'no-store',
    },
  });
}
