import { notFound } from 'next/navigation';
import { QuestionView } from '@/features/weigh/components/question-view';
import { asksIn, questionPage, versionsAsked } from '@/features/weigh/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

interface Props {
  readonly searchParams: Promise<{ q?: string; of?: string; sheet?: string; versions?: string }>;
}

export const metadata = { title: texts.weighUp };

export default async function Ask({ searchParams }: Props) {
  const { q, of, sheet, versions } = await searchParams;
  const who = await requireWorker();
  const asks = sheet === undefined ? asksIn(q) : await versionsAsked(who, sheet, versions);
  if (!asks) notFound();
  return <QuestionView key={q ?? versions} page={await questionPage(who, { asks, keptAs: of })} />;
}
