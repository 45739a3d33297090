import { ListsView } from '@/features/buy/lists/components/lists-view';
import { listsPage } from '@/features/buy/lists/queries';
import { requireWorker } from '@/server/session';

export const metadata = { title: 'Price lists' };

export default async function Lists() {
  return <ListsView page={await listsPage(await requireWorker())} />;
}
