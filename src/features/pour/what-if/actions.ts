'use server';

import { z } from 'zod';
import { namesToRead } from '@/core/costing';
import { MOST_ON_A_TRAY, Trial } from '@/core/kitchen-file';
import { writeStep } from '@/core/verbs';
import { searcher } from '@/search';
import { serverQuery } from '@/server/server-query';
import { costedKitchen } from '@/server/kitchen';
import { ID } from '@/wire/fields';
import { trayAnswer, type TrayAnswer } from './queries';
import * as texts from './texts';

const MOST = 12;

/** What some trials do, worked out where pots can be run. */
export const answerTray = serverQuery(
  { role: 'reader', of: z.tuple([z.array(Trial).max(MOST_ON_A_TRAY)]), otherwise: null },
  (who, trials): Promise<TrayAnswer | null> => trayAnswer(who, trials),
);

interface Choice {
  readonly id: string;
  readonly name: string;
}

/** Something that a trial can be of, by any of its words. */
export const findTrialSubjects = serverQuery(
  {
    role: 'reader',
    of: z.tuple([z.enum(['ingredient', 'bought', 'recipe', 'plate']), z.string().max(200)]),
    otherwise: [],
  },
  async (who, kind, wanted): Promise<Choice[]> => {
    const { state, supplies } = (await costedKitchen(who.kitchenId)).costing;
    const list: readonly Choice[] =
      kind === 'recipe'
        ? state.recipes
        : kind === 'plate'
          ? state.plates
          : kind === 'bought'
            ? state.ingredients.filter((i) => supplies.get(i.id)?.price)
            : state.ingredients;
    return searcher(list.map(({ id, name }) => ({ id, name })))(wanted).slice(0, MOST);
  },
);

/** The lines of a pot as they read, or what stands on a plate and how much of it. */
export const partsToTry = serverQuery(
  { role: 'reader', of: z.tuple([z.enum(['recipe', 'plate']), ID]), otherwise: [] },
  async (who, kind, id): Promise<{ readonly id: string; readonly name: string; readonly now: string }[]> => {
    const { costing } = await costedKitchen(who.kitchenId);
    if (kind === 'recipe') {
      const names = { ...namesToRead(costing), self: id };
      const steps = costing.state.recipes.find((r) => r.id === id)?.steps ?? [];
      return steps.flatMap((s) => {
        const text = writeStep(s, names);
        return s.id === undefined || s.off ? [] : [{ id: s.id, name: text, now: text }];
      });
    }
    return (costing.plates.get(id)?.lines ?? []).flatMap(({ written, resolved }) => {
      const what = resolved.ok ? resolved.value.what : undefined;
      const name = what === undefined ? texts.notReadable : what.is === 'stuff' ? what.stuff.name : what.name;
      return written.id === undefined
        ? []
        : [{ id: written.id, name: `${name}, ${written.amount}`, now: written.amount }];
    });
  },
);

/** The usable share of a thing, %, or what a plate costs on the menu: where a trial of it begins. */
export const currentValue = serverQuery(
  { role: 'reader', of: z.tuple([z.enum(['yield', 'menu price']), ID]), otherwise: null },
  async (who, kind, id): Promise<number | null> => {
    const { costing } = await costedKitchen(who.kitchenId);
    if (kind === 'yield') {
      const usable = costing.supplies.get(id)?.usable;
      return usable === undefined ? null : Number((usable * 100).toFixed(2));
    }
    const plate = costing.plates.get(id)?.plate;
    return plate ? Number(plate.menuPrice ?? '10') : null;
  },
);
