import { SavedCostingsTable } from '@/features/house/components/saved-costings';
import { savedCostingsPage } from '@/features/house/queries';
import { PotSheet } from '@/features/pot/components/sheet/pot-sheet';
import { potSheet } from '@/features/pot/queries';
import { requireWorker } from '@/server/session';
import { titledBy } from '@/server/title';
import * as texts from '@/app/texts';

interface Props {
  readonly params: Promise<{ id: string }>;
}

export const generateMetadata = titledBy('recipes', texts.potSheet);

export default async function Pot({ params }: Props) {
  const [who, { id }] = [await requireWorker(), await params];
  const [data, kept] = await Promise.all([potSheet(who, id), savedCostingsPage(who, 'product', id)]);
  return (
    <>
      <PotSheet key={data.recipe.id} data={data} />
      <SavedCostingsTable data={kept} />
    </>
  );
}
