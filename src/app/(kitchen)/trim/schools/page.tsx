import { SchoolsView } from '@/features/trim/schools/components/schools-view';
import { schoolsPage } from '@/features/trim/schools/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.howTrimCosted };

export default async function Schools() {
  const page = await schoolsPage(await requireWorker());
  return <SchoolsView page={page} />;
}
