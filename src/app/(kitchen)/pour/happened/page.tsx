import { WhatChangedView } from '@/features/pour/what-changed/components/happened-view';
import { whatChangedPage } from '@/features/pour/what-changed/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

interface Props {
  readonly searchParams: Promise<{ from?: string; to?: string; known?: string; of?: string }>;
}

export const metadata = { title: texts.whatChanged };

export default async function Happened({ searchParams }: Props) {
  const { known, ...asked } = await searchParams;
  const page = await whatChangedPage(await requireWorker(), {
    ...asked,
    known: known === 'then' ? 'then' : 'since',
  });
  return <WhatChangedView page={page} />;
}
