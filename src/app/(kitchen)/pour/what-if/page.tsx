import { TraysView } from '@/features/pour/trays/components/trays-view';
import { traysPage } from '@/features/pour/trays/queries';
import { mustWork } from '@/server/session';

interface Props {
  readonly searchParams: Promise<{ of?: string }>;
}

export const metadata = { title: 'What if' };

export default async function WhatIf({ searchParams }: Props) {
  const { of } = await searchParams;
  return <TraysView page={await traysPage(await mustWork(), of)} />;
}
