import { ChangesView } from '@/features/changes/components/changes-view';
import { changesPage } from '@/features/changes/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.history };

interface Props {
  readonly searchParams: Promise<{ of?: string; until?: string }>;
}

export default async function Changes({ searchParams }: Props) {
  const [who, wanted] = [await requireWorker(), await searchParams];
  return <ChangesView page={await changesPage(who, wanted)} />;
}
