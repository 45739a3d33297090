import { redirect } from 'next/navigation';
import { FirstVisit } from '@/features/house/first/components/first-visit';
import { canBegin } from '@/features/house/first/service';
import * as texts from '@/app/texts';

export const metadata = { title: texts.kitchenYourOwn };

export default async function First() {
  if (!(await canBegin())) redirect('/');
  return <FirstVisit />;
}
