import { RulesView } from '@/features/weigh/components/rules-view';
import { rulesPage } from '@/features/weigh/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.rulesThumb };

export default async function Rules() {
  return <RulesView page={await rulesPage(await requireWorker())} />;
}
