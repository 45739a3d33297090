import { notFound } from 'next/navigation';
import { z } from 'zod';
import { CoolingRecord } from '@/features/stove/components/cooling/cooling-record';
import { batchPage } from '@/features/stove/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.recordCooling };

export default async function Record({ params }: { readonly params: Promise<{ id: string }> }) {
  const id = z.uuid().safeParse((await params).id);
  if (!id.success) notFound();
  return <CoolingRecord batch={await batchPage(await requireWorker(), id.data)} />;
}
