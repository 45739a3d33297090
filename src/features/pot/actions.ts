'use server';

import { z } from 'zod';
import { productOf } from '@/core/supply';
import { serverQuery } from '@/server/server-query';
import { costedKitchen } from '@/server/kitchen';
import { pots, type PotsFound } from './queries';
import { reachOf, type Reach } from './reach';
import { namesToRead } from '@/core/costing';
import { usualMeasures, type SheetNames } from './names';

const Ids = z.array(z.uuid()).max(200);

/** Every name that a line may say: asked for when somebody begins to write. */
export const namesForLines = serverQuery(
  { role: 'reader', of: z.tuple([]), otherwise: undefined },
  async (who): Promise<SheetNames | undefined> => {
    const { costing } = await costedKitchen(who.kitchenId);
    return { ...namesToRead(costing), usual: usualMeasures(costing) };
  },
);

/** What a sheet uses of things that it has come to name: ingredients, then recipes. */
export const matterFor = serverQuery(
  { role: 'reader', of: z.tuple([z.uuid(), Ids, Ids]), otherwise: undefined },
  async (who, sheet, ingredients, recipes): Promise<Reach | undefined> => {
    const { costing } = await costedKitchen(who.kitchenId);
    return reachOf(costing, sheet, { ingredients, recipes });
  },
);

/** Pots by any of their words. */
export const findPots = serverQuery(
  { role: 'reader', of: z.tuple([z.string().max(200), z.string().max(40).nullable()]), otherwise: undefined },
  (who, wanted, order): Promise<PotsFound | undefined> => pots(who, wanted, order ?? undefined),
);

/** Plates that take some of what a sheet makes, and ml of it on each. */
export const platesFrom = serverQuery(
  { role: 'reader', of: z.tuple([z.uuid()]), otherwise: undefined },
  async (
    who,
    recipe,
  ): Promise<readonly { readonly id: string; readonly name: string; readonly ml: number }[] | undefined> => {
    const { costing } = await costedKitchen(who.kitchenId);
    const product = costing.recipes.get(recipe)?.run.product;
    if (!product) return [];
    const key = productOf(recipe);
    return [...costing.plates.values()].flatMap(({ plate, lines }) => {
      const g = lines.reduce(
        (sum, l) => sum + (l.resolved.ok && l.resolved.value.what.supply === key ? l.resolved.value.g : 0),
        0,
      );
      return g > 0 ? [{ id: plate.id, name: plate.name, ml: (g * product.ml) / product.g }] : [];
    });
  },
);
