import { PeopleView } from '@/features/people/components/people-view';
import { peoplePage } from '@/features/people/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.people };

export default async function People() {
  return <PeopleView page={await peoplePage(await requireWorker())} />;
}
