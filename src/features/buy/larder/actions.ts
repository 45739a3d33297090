'use server';

import { worker } from '@/server/session';
import { findInLarder, ownNames, type LarderFound, type OwnName } from './queries';

const LONGEST = 80;

/** What of the larder fits some words; undefined for whoever is not signed in. */
export async function findLarder(wanted: string): Promise<LarderFound | undefined> {
  const who = await worker();
  return who && findInLarder(who, wanted.slice(0, LONGEST));
}

/** The kitchen's own ingredients by name. */
export async function namesOfOwn(): Promise<OwnName[]> {
  const who = await worker();
  return who ? ownNames(who) : [];
}
