'use server';

import { z } from 'zod';
import type { Names } from '@/core/said';
import { asked } from '@/server/asked';
import { costedKitchen } from '@/server/kitchen';
import { pots, type PotsFound } from './queries';
import { reachOf, type Reach } from './reach';
import { namesToRead } from './names';

const Ids = z.array(z.uuid()).max(200);

/** Every name that a line may say: asked for when somebody begins to write. */
export const namesForLines = asked(
  { role: 'reader', of: z.tuple([]), otherwise: undefined },
  async (who): Promise<Names | undefined> => namesToRead((await costedKitchen(who.kitchenId)).costing),
);

/** What a sheet reckons with of things that it has come to name: ingredients, then recipes. */
export const matterFor = asked(
  { role: 'reader', of: z.tuple([z.uuid(), Ids, Ids]), otherwise: undefined },
  async (who, sheet, ingredients, recipes): Promise<Reach | undefined> => {
    const { costing } = await costedKitchen(who.kitchenId);
    return reachOf(costing, sheet, { ingredients, recipes });
  },
);

/** Pots by any of their words. */
export const findPots = asked(
  { role: 'reader', of: z.tuple([z.string().max(200), z.string().max(40).nullable()]), otherwise: undefined },
  (who, wanted, order): Promise<PotsFound | undefined> => pots(who, wanted, order ?? undefined),
);
