import { TraysView } from '@/features/pour/what-if/components/trays-view';
import { traysPage } from '@/features/pour/what-if/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

interface Props {
  readonly searchParams: Promise<{ of?: string }>;
}

export const metadata = { title: texts.whatIf };

export default async function WhatIf({ searchParams }: Props) {
  const { of } = await searchParams;
  return <TraysView page={await traysPage(await requireWorker(), of)} />;
}
