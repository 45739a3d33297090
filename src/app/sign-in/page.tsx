import { redirect } from 'next/navigation';
import { Door } from '@/features/people/components/door';
import { peopleHere } from '@/features/people/queries';
import { env } from '@/server/env';
import { worker } from '@/server/session';

export const metadata = { title: 'Sign in' };

export default async function SignIn({ searchParams }: { searchParams: Promise<{ out?: string }> }) {
  const { out } = await searchParams;
  // The demo opens signed in as its manager; whoever signs out sees the door.
  if (env().HALFPOT_DEMO && out === undefined && !(await worker())) redirect('/sign-in/demo');
  const { kitchen, people } = await peopleHere();
  return <Door kitchen={kitchen} people={people} demo={env().HALFPOT_DEMO !== undefined} />;
}
