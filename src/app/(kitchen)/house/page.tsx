import { HouseView } from '@/features/house/components/house-view';
import { housePage } from '@/features/house/queries';
import { mustWork } from '@/server/session';

export const metadata = { title: 'This kitchen' };

export default async function House() {
  const page = await housePage(await mustWork());
  return <HouseView key={page.version} page={page} />;
}
