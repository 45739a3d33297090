import { ListsView } from '@/features/buy/lists/components/lists-view';
import { listsPage } from '@/features/buy/lists/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.priceLists };

export default async function Lists() {
  return <ListsView page={await listsPage(await requireWorker())} />;
}
