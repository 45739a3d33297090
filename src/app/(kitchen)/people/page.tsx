import { PeopleView } from '@/features/people/components/people-view';
import { peoplePage } from '@/features/people/queries';
import { requireWorker } from '@/server/session';

export const metadata = { title: 'People' };

export default async function People() {
  return <PeopleView page={await peoplePage(await requireWorker())} />;
}
