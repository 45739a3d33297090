import { VersionsView } from '@/features/pot/versions/components/versions-view';
import { MOST_BESIDE, versionsOf } from '@/features/pot/versions/queries';
import { requireWorker } from '@/server/session';
import { titledBy } from '@/server/title';

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<{ with?: string | string[] }>;
}

export const generateMetadata = titledBy('recipes', 'Versions');

export default async function Versions({ params, searchParams }: Props) {
  const [who, { id }, { with: wanted }] = [await requireWorker(), await params, await searchParams];
  const numbers = String(wanted ?? '')
    .split(',')
    .map(Number)
    .filter((n) => Number.isSafeInteger(n) && n > 0);
  return <VersionsView page={await versionsOf(who, id, numbers)} most={MOST_BESIDE} />;
}
