import { PlateList } from '@/features/pour/components/plate-list';
import { awayPlates, plates } from '@/features/pour/queries';
import { may, requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.dishes };

export default async function Pour() {
  const who = await requireWorker();
  const [all, away] = await Promise.all([plates(who), awayPlates(who)]);
  return <PlateList plates={all} away={away} mayEdit={may(who.role, 'changer')} />;
}
