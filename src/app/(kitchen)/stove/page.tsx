import { BoardView } from '@/features/stove/components/board/board-view';
import { boardPage } from '@/features/stove/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.stove };

interface Props {
  readonly searchParams: Promise<{ put?: string }>;
}

export default async function Stove({ searchParams }: Props) {
  const { put } = await searchParams;
  return <BoardView key={put} page={await boardPage(await requireWorker())} put={put} />;
}
