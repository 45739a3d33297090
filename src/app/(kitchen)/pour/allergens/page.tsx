import { AllergensView } from '@/features/pour/allergens/components/allergens-view';
import { allergensPage } from '@/features/pour/allergens/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

interface Props {
  readonly searchParams: Promise<{ of?: string }>;
}

export const metadata = { title: texts.allergens };

export default async function Allergens({ searchParams }: Props) {
  const { of } = await searchParams;
  return (
    <AllergensView page={await allergensPage(await requireWorker(), of === 'pots' ? 'pots' : 'plates')} />
  );
}
