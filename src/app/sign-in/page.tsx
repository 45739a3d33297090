import { cookies } from 'next/headers';
import { redirect } from 'next/navigation';
import { SignInForm } from '@/features/people/components/sign-in-form';
import { canBegin } from '@/features/house/first/service';
import { OUT } from '@/features/people/out';
import { peopleHere } from '@/features/people/queries';
import { env } from '@/server/env';
import { currentWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.sign };

export default async function SignIn({ searchParams }: { searchParams: Promise<{ out?: string }> }) {
  if (await canBegin()) redirect('/first');
  const { out } = await searchParams;
  // The demo opens signed in as its manager; anyone who has signed out sees the door, until somebody comes in by it.
  const gone = out !== undefined || (await cookies()).has(OUT);
  if (env().HALFPOT_DEMO && !gone && !(await currentWorker())) redirect('/sign-in/demo');
  const { kitchen, people } = await peopleHere();
  return <SignInForm kitchen={kitchen} people={people} demo={env().HALFPOT_DEMO !== undefined} />;
}
