import { notFound } from 'next/navigation';
import { z } from 'zod';
import { BatchView } from '@/features/stove/components/batch/batch-view';
import { batchPage } from '@/features/stove/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.batch };

export default async function Batch({ params }: { readonly params: Promise<{ id: string }> }) {
  const id = z.uuid().safeParse((await params).id);
  if (!id.success) notFound();
  return <BatchView key={id.data} batch={await batchPage(await requireWorker(), id.data)} />;
}
