import { PlatePage } from '@/features/pour/components/plate-page';
import { plate } from '@/features/pour/queries';
import { mustWork } from '@/server/session';

interface Props {
  readonly params: Promise<{ id: string }>;
}

export const metadata = { title: 'Plate' };

export default async function Plate({ params }: Props) {
  const data = await plate(await mustWork(), (await params).id);
  return <PlatePage key={`${data.plate.id}/${data.version}`} data={data} />;
}
