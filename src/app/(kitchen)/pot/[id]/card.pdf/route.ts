import { cardPdf } from '@/features/pot/paper/pages';
import { costCard } from '@/features/pot/paper/queries';
import { figuresHere } from '@/app/components/figures-here';
import { pdfAnswer } from '@/server/pdf';
import { currentWorker } from '@/server/session';
import * as texts from '@/app/texts';

/** What a litre costs and why, to be printed or filed. */
export async function GET(
  _request: Request,
  { params }: { readonly params: Promise<{ id: string }> },
): Promise<Response> {
  const who = await currentWorker();
  if (!who) return new Response(null, { status: 401 });
  const card = await costCard(who, (await params).id);
  return pdfAnswer(await cardPdf(card, await figuresHere(who)), texts.cost(card.name));
}
