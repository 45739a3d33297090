import { notFound } from 'next/navigation';
import { LaidView } from '@/features/weigh/components/laid-view';
import { asksIn, laidPage, versionsAsked } from '@/features/weigh/queries';
import { mustWork } from '@/server/session';

interface Props {
  readonly searchParams: Promise<{ q?: string; of?: string; sheet?: string; versions?: string }>;
}

export const metadata = { title: 'Weigh up' };

export default async function Ask({ searchParams }: Props) {
  const { q, of, sheet, versions } = await searchParams;
  const who = await mustWork();
  const asks = sheet === undefined ? asksIn(q) : await versionsAsked(who, sheet, versions);
  if (!asks) notFound();
  return <LaidView key={q ?? versions} page={await laidPage(who, { asks, keptAs: of })} />;
}
