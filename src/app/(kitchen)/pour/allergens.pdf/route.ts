import { figuresHere } from '@/app/components/figures-here';
import { allergensPdf } from '@/features/pour/allergens/pdf';
import { allergensPage } from '@/features/pour/allergens/queries';
import { pdfAnswer } from '@/server/pdf';
import { currentWorker } from '@/server/session';

/** Plates, or pots, and their allergens, to be printed. */
export async function GET(request: Request): Promise<Response> {
  const who = await currentWorker();
  if (!who) return new Response(null, { status: 401 });
  const what = new URL(request.url).searchParams.get('of') === 'pots' ? 'pots' : 'plates';
  const page = await allergensPage(who, what);
  return pdfAnswer(await allergensPdf(page, await figuresHere(who)), `Allergens, ${what}`);
}
