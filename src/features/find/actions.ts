'use server';

import { z } from 'zod';
import { asked } from '@/server/asked';
import { costedKitchen } from '@/server/kitchen';
import { findThings } from '@/server/things';
import type { Found } from '@/ui/find';
import { placesLike, type Place } from './everywhere';

/** As many as anybody looks through before typing another letter. */
const MOST = 12;

/** Ingredients of the kitchen somebody is at work in that fit some words, best first. */
export const findIngredients = asked(
  { role: 'reader', of: z.tuple([z.string().max(200)]), otherwise: [] },
  async (who, wanted): Promise<Found[]> => {
    const { costing } = await costedKitchen(who.kitchenId);
    return findThings(costing, wanted)
      .slice(0, MOST)
      .map(({ id, name }) => ({ id, name, trims: (costing.supplies.get(id)?.stockTrim ?? 0) > 0 }));
  },
);

/** Anything of the kitchen that fits some words: things, invoices, screens. */
export const findAnything = asked(
  { role: 'reader', of: z.tuple([z.string().max(200)]), otherwise: [] },
  (who, wanted): Promise<Place[]> => placesLike(who, wanted),
);
