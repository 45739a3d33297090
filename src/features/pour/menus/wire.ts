import { z } from 'zod';
import { MIXES, MOST_ON_A_MENU } from '@/core/kitchen-file';
import { wire } from '@/wire';
import { ID, TYPED } from '@/wire/fields';
import * as texts from './texts';

/** A menu as it is typed: its plates, and what is sold of each; nothing where nobody has said. */
export const MenuTyped = z.object({
  name: z.string().trim().min(1, texts.whatMenuCalled).max(5000),
  mixIn: z.enum(MIXES),
  plates: z
    .array(z.object({ plate: ID, sold: TYPED }))
    .max(MOST_ON_A_MENU, texts.menuMostDishes(MOST_ON_A_MENU)),
});
export type MenuTyped = z.infer<typeof MenuTyped>;

/** Keeps a menu whole; without an id a new one. */
export const MENU = wire<{ readonly id: string }, MenuTyped>()({
  kind: 'menu.keep',
  version: 1,
  body: MenuTyped.extend({ id: ID.nullable() }),
});

/** Puts a menu away, or brings it back. */
export const MENU_AWAY = wire()({
  kind: 'menu.away',
  version: 1,
  body: z.object({ id: ID, away: z.boolean() }),
});
