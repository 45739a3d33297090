import { HappenedView } from '@/features/pour/happened/components/happened-view';
import { happenedPage } from '@/features/pour/happened/queries';
import { mustWork } from '@/server/session';

interface Props {
  readonly searchParams: Promise<{ from?: string; to?: string; known?: string; of?: string }>;
}

export const metadata = { title: 'What happened' };

export default async function Happened({ searchParams }: Props) {
  const { known, ...asked } = await searchParams;
  const page = await happenedPage(await mustWork(), { ...asked, known: known === 'then' ? 'then' : 'since' });
  return <HappenedView page={page} />;
}
