import { SavedCostingsTable } from '@/features/house/components/saved-costings';
import { savedCostingsPage } from '@/features/house/queries';
import { PlatePage } from '@/features/pour/components/plate-page';
import { plate } from '@/features/pour/queries';
import { requireWorker } from '@/server/session';
import { titledBy } from '@/server/title';

interface Props {
  readonly params: Promise<{ id: string }>;
}

export const generateMetadata = titledBy('plates', 'Dish');

export default async function Plate({ params }: Props) {
  const [who, { id }] = [await requireWorker(), await params];
  const [data, kept] = await Promise.all([plate(who, id), savedCostingsPage(who, 'plate', id)]);
  return (
    <>
      <PlatePage key={data.plate.id} data={data} />
      <SavedCostingsTable data={kept} />
    </>
  );
}
