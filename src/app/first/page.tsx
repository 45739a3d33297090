import { redirect } from 'next/navigation';
import { FirstVisit } from '@/features/house/first/components/first-visit';
import { canBegin } from '@/features/house/first/service';

export const metadata = { title: 'A kitchen of your own' };

export default async function First() {
  if (!(await canBegin())) redirect('/');
  return <FirstVisit />;
}
