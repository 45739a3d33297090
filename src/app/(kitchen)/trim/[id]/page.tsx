import { TaughtView } from '@/features/trim/taught/components/taught-view';
import { taughtPage } from '@/features/trim/taught/queries';
import { requireWorker } from '@/server/session';
import { titledBy } from '@/server/title';
import * as texts from '@/app/texts';

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<{ after?: string }>;
}

export const generateMetadata = titledBy('ingredients', texts.learnedFromYieldTests);

export default async function Taught({ params, searchParams }: Props) {
  const page = await taughtPage(await requireWorker(), (await params).id);
  return <TaughtView key={page.id} page={page} after={(await searchParams).after} />;
}
