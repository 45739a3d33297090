'use server';

import { worker } from '@/server/session';
import { findToTest, scaleAddress, type BenchRow } from './queries';
import { tareScale } from './read-scale';

/** Things of the larder by name, for the bench. */
export async function findForBench(wanted: string): Promise<BenchRow[]> {
  const who = await worker();
  return who ? findToTest(who, wanted.slice(0, 80)) : [];
}

/** Makes what lies on the scale nothing; a sentence where it does not answer. */
export async function tare(): Promise<
  { readonly ok: true } | { readonly ok: false; readonly message: string }
> {
  const who = await worker();
  const address = who && (await scaleAddress(who));
  if (!address) return { ok: false, message: 'This kitchen has no scale: type the weights.' };
  const done = await tareScale(address);
  return done.ok ? { ok: true } : { ok: false, message: done.trouble.message };
}
