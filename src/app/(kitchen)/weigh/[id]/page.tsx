import { QuestionView } from '@/features/weigh/components/question-view';
import { questionPage } from '@/features/weigh/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

interface Props {
  readonly params: Promise<{ id: string }>;
}

export const metadata = { title: texts.weighUp };

export default async function Kept({ params }: Props) {
  const { id } = await params;
  return <QuestionView key={id} page={await questionPage(await requireWorker(), { id })} />;
}
