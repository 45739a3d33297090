import { SchoolsView } from '@/features/trim/schools/components/schools-view';
import { schoolsPage } from '@/features/trim/schools/queries';
import { requireWorker } from '@/server/session';

export const metadata = { title: 'How trim is costed' };

export default async function Schools() {
  const page = await schoolsPage(await requireWorker());
  return <SchoolsView page={page} />;
}
