import { cookies } from 'next/headers';
import { NextResponse } from 'next/server';
import { OUT } from '@/features/people/out';
import { signInDemoManager } from '@/features/people/service';

export const dynamic = 'force-dynamic';

/** Opens the demo as its manager. Outside the demo there is nobody behind this address. */
export async function GET(): Promise<Response> {
  const opened = await signInDemoManager();
  if (opened) (await cookies()).delete(OUT);
  return new NextResponse(null, { status: 303, headers: { location: opened ? '/buy' : '/sign-in?out' } });
}
