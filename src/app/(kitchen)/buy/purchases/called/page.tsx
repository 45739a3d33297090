import { notFound, redirect } from 'next/navigation';
import { z } from 'zod';
import { Day } from '@/core/written';
import { invoiceCalled } from '@/features/buy/purchases/queries';
import { requireWorker } from '@/server/session';

const Asked = z.object({ on: Day, number: z.string().min(1).max(80) });

/** An invoice by its day and number, as a figure names it: where an answer to *why* ends. */
export default async function Called({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  const [who, asked] = [await requireWorker(), Asked.safeParse(await searchParams)];
  const id = asked.success ? await invoiceCalled(who, asked.data.on, asked.data.number) : undefined;
  if (id === undefined) notFound();
  redirect(`/buy/purchases/${id}`);
}
