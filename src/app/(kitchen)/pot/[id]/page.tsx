import { PotSheet } from '@/features/pot/components/pot-sheet';
import { potSheet } from '@/features/pot/queries';
import { mustWork } from '@/server/session';

interface Props {
  readonly params: Promise<{ id: string }>;
}

export const metadata = { title: 'Pot sheet' };

export default async function Pot({ params }: Props) {
  const data = await potSheet(await mustWork(), (await params).id);
  // A version of its own for each sheet: another browser's change arrives whole with a reload.
  return <PotSheet key={`${data.recipe.id}/${data.version}`} data={data} />;
}
