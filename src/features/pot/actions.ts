'use server';

import { z } from 'zod';
import type { Names } from '@/core/said';
import { costedKitchen } from '@/server/kitchen';
import { worker } from '@/server/session';
import { pots, type PotsFound } from './queries';
import { reachOf, type Reach } from './reach';
import { namesToRead } from './names';

const Ids = z.array(z.uuid()).max(200);

/** Every name that a line may say: asked for when somebody begins to write. */
export async function namesForLines(): Promise<Names | undefined> {
  const who = await worker();
  if (!who) return undefined;
  const { costing } = await costedKitchen(who.kitchenId);
  return namesToRead(costing);
}

/** What a sheet reckons with of things that it has come to name. */
export async function matterFor(
  sheet: string,
  ingredients: readonly string[],
  recipes: readonly string[],
): Promise<Reach | undefined> {
  const who = await worker();
  if (!who) return undefined;
  const named = { ingredients: Ids.parse(ingredients), recipes: Ids.parse(recipes) };
  const { costing } = await costedKitchen(who.kitchenId);
  return reachOf(costing, z.uuid().parse(sheet), named);
}

const LONGEST = 80;

/** Pots by any of their words; undefined for whoever is not signed in. */
export async function findPots(wanted: string): Promise<PotsFound | undefined> {
  const who = await worker();
  return who && pots(who, wanted.slice(0, LONGEST));
}
