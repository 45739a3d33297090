'use server';

import { costedKitchen } from '@/server/kitchen';
import { worker } from '@/server/session';
import { findThings } from '@/server/things';
import type { Found } from '@/ui/find';

const LONGEST = 80;
/** As many as anybody looks through before typing another letter. */
const MOST = 12;

/** Ingredients of the kitchen somebody is at work in that fit some words, best first; none for whoever is not signed in. */
export async function findIngredients(wanted: string): Promise<Found[]> {
  const who = await worker();
  if (!who) return [];
  const { costing } = await costedKitchen(who.kitchenId);
  return findThings(costing, wanted.slice(0, LONGEST))
    .slice(0, MOST)
    .map(({ id, name }) => ({ id, name, trims: (costing.supplies.get(id)?.stockTrim ?? 0) > 0 }));
}
