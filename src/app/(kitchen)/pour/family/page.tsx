import { FamilyView } from '@/features/pour/family/components/family-view';
import { familyPage } from '@/features/pour/family/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

interface Props {
  readonly searchParams: Promise<{ of?: string }>;
}

export const metadata = { title: texts.familyTree };

export default async function FamilyMap({ searchParams }: Props) {
  const { of } = await searchParams;
  const page = await familyPage(await requireWorker(), of);
  return <FamilyView key={page.of} page={page} />;
}
