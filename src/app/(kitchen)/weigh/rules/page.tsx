import { RulesView } from '@/features/weigh/components/rules-view';
import { rulesPage } from '@/features/weigh/queries';
import { requireWorker } from '@/server/session';

export const metadata = { title: 'Rules of thumb' };

export default async function Rules() {
  return <RulesView page={await rulesPage(await requireWorker())} />;
}
