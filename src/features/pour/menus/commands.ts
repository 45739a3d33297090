import 'server-only';
import type { WrittenMenu } from '@/core/kitchen-file';
import type { KitchenState } from '@/core/kitchen-state';
import { readNumber } from '@/core/quantity';
import { newId } from '@/db/mapping/ids';
import { nowOf, setArchived, putMenu } from '@/db/archive';
import { database } from '@/server/database';
import { Refused, declare, refused } from '@/server/door';
import { uniqueName } from '@/server/unique-name';
import { menuTyped } from './typed';
import { MENU, MENU_AWAY } from './wire';
import * as texts from './texts';

const NAMED = {
  none: texts.whatMenuCalled,
  twice: (twin: string) => texts.menuAlreadyChooseAnother(twin),
};
const MOST_SOLD = 1_000_000;

/** How many are sold, as typed; undefined where nothing is. */
function soldOf(typed: string, path: string, here: KitchenState): number | undefined {
  if (typed.trim() === '') return undefined;
  const read = readNumber(typed, here.kitchen.decimalMark);
  if (!read.ok) throw new Refused({ ...read.trouble, path });
  const sold = read.value.toNumber();
  if (!(sold >= 0 && sold <= MOST_SOLD))
    throw refused('sold-out-of-range', path, texts.soldOutOfRange(sold, MOST_SOLD), {
      value: sold,
      limit: sold < 0 ? 0 : MOST_SOLD,
    });
  return sold;
}

const keep = declare({
  wire: MENU,
  role: 'changer',
  // What stands on menus moves no cost, but every costing holds them beside it.
  moves: 'costs',
  changes: {
    table: 'menu',
    id: ({ id }) => id,
    theirs: async ({ id }, { state }) => {
      const here = await state();
      const theirs = here.menus.find((m) => m.id === id);
      return theirs && menuTyped(theirs, here.kitchen.decimalMark);
    },
  },
  async look({ id, name, mixIn, plates }, { state }) {
    const here = await state();
    const before = here.menus.find((m) => m.id === id);
    if (id !== null && !before) throw refused('gone', '', texts.menuArchivedAlready);
    const there = new Set(here.plates.map((p) => p.id));
    const on = new Set<string>();
    const after: WrittenMenu = {
      id: id ?? newId(),
      name: uniqueName(here.menus, name, NAMED, id ?? undefined),
      mixIn,
      plates: plates.map(({ plate, sold }, i) => {
        if (!there.has(plate)) throw refused('gone', `plates[${i}].plate`, texts.dishArchived);
        if (on.has(plate)) throw refused('plate-twice', `plates[${i}].plate`, texts.dishAlreadyMenu);
        on.add(plate);
        const many = soldOf(sold, `plates[${i}].sold`, here);
        return many === undefined ? { plate } : { plate, sold: many };
      }),
    };
    return { before: before ?? null, after };
  },
  async write({ sql, kitchenId }, _body, { before, after }) {
    await putMenu(sql, kitchenId, after, { taken: before !== null });
    return { value: { id: after.id }, what: 'menu', subject: after.id, before, after };
  },
});

/** Nothing is made from a menu: it goes and comes back as it was. */
const away = declare({
  wire: MENU_AWAY,
  role: 'changer',
  moves: 'costs',
  async look({ id, away: gone }, { state, who }) {
    const here = await state();
    const before = here.menus.find((m) => m.id === id);
    if (gone !== (before !== undefined))
      throw refused('gone', '', gone ? texts.menuArchivedAlready : texts.menuAlreadyHere);
    if (gone) return { before: { away: false }, after: { away: true } };
    const now = await nowOf(database(), 'menu', who.kitchenId, id);
    if (!now) throw refused('gone', '', texts.noSuchMenu);
    uniqueName(here.menus, now.name, NAMED, id);
    return { before: { away: true }, after: { away: false } };
  },
  async write({ sql, kitchenId, at }, { id, away: gone }, { before, after }) {
    await setArchived(sql, 'menu', kitchenId, id, gone ? at : null);
    return { value: null, what: 'menu away', subject: id, before, after };
  },
});

export const menus = [keep, away];
