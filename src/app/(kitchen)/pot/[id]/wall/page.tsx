import { WallView } from '@/features/pot/paper/components/wall-view';
import { sizeIn, wallSheet } from '@/features/pot/paper/queries';
import { requireWorker } from '@/server/session';
import { titledBy } from '@/server/title';
import * as texts from '@/app/texts';

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export const generateMetadata = titledBy('recipes', texts.wall);

export default async function Wall({ params, searchParams }: Props) {
  const [who, { id }, asked] = [await requireWorker(), await params, await searchParams];
  const search = new URLSearchParams(
    Object.entries(asked).flatMap(([key, value]) => (typeof value === 'string' ? [[key, value]] : [])),
  );
  const query = search.size > 0 ? `?${search.toString()}` : '';
  return <WallView sheet={await wallSheet(who, id, sizeIn(search))} query={query} />;
}
