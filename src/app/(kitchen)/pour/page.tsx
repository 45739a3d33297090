import { PlateList } from '@/features/pour/components/plate-list';
import { plates } from '@/features/pour/queries';
import { mustWork } from '@/server/session';

export const metadata = { title: 'Plates' };

export default async function Pour() {
  return <PlateList plates={await plates(await mustWork())} />;
}
