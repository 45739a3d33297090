import { LaidView } from '@/features/weigh/components/laid-view';
import { laidPage } from '@/features/weigh/queries';
import { mustWork } from '@/server/session';

interface Props {
  readonly params: Promise<{ id: string }>;
}

export const metadata = { title: 'Weigh up' };

export default async function Kept({ params }: Props) {
  const { id } = await params;
  return <LaidView key={id} page={await laidPage(await mustWork(), { id })} />;
}
