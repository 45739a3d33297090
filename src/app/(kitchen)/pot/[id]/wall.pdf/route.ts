import { wallPdf } from '@/features/pot/paper/pages';
import { sizeIn, wallSheet } from '@/features/pot/paper/queries';
import { figuresHere } from '@/app/components/figures-here';
import { pdfAnswer } from '@/server/pdf';
import { currentWorker } from '@/server/session';

/** A pot sheet for the wall, to be printed. */
export async function GET(
  request: Request,
  { params }: { readonly params: Promise<{ id: string }> },
): Promise<Response> {
  const who = await currentWorker();
  if (!who) return new Response(null, { status: 401 });
  const sheet = await wallSheet(who, (await params).id, sizeIn(new URL(request.url).searchParams));
  return pdfAnswer(await wallPdf(sheet, await figuresHere(who)), sheet.name);
}
