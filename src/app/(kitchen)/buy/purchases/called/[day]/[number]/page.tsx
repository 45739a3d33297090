import { notFound, redirect } from 'next/navigation';
import { isDay } from '@/core/day';
import { invoiceCalled } from '@/features/buy/purchases/queries';
import { mustWork } from '@/server/session';

interface Props {
  readonly params: Promise<{ readonly day: string; readonly number: string }>;
}

/** An invoice by its day and number, as a figure names it: where an answer to *why* ends. */
export default async function Called({ params }: Props) {
  const [who, { day, number }] = [await mustWork(), await params];
  const id = isDay(day) ? await invoiceCalled(who, day, decodeURIComponent(number)) : undefined;
  if (id === undefined) notFound();
  redirect(`/buy/purchases/${id}`);
}
