import 'server-only';
import type { WrittenTray } from '@/core/kitchen-file';
import { newId } from '@/db/mapping/ids';
import { nowOf, setArchived, putTray } from '@/db/archive';
import { readTrayRows } from '@/db/recipes/trays';
import { database } from '@/server/database';
import { declare, refused, type Looking } from '@/server/door';
import { uniqueName } from '@/server/unique-name';
import { apply } from './applying';
import { TRAY, TRAY_AWAY } from './wire';
import * as texts from './texts';

const NAMED = {
  none: texts.whatWhatIfCalled,
  twice: (twin: string) => texts.whatIfAlreadyChoose(twin),
};

/** Trays as they stand, read when a write is looked at. */
export const traysHere = ({ who }: Looking) => readTrayRows(database(), who.kitchenId);

const keep = declare({
  wire: TRAY,
  role: 'changer',
  // Nothing of the book is touched.
  moves: 'nothing that is costed',
  changes: {
    table: 'tray',
    id: ({ id }) => id,
    theirs: async ({ id }, looking) => {
      const theirs = (await traysHere(looking)).find((t) => t.id === id);
      return theirs && { name: theirs.name, trials: theirs.trials };
    },
  },
  async look({ id, name, trials }, looking) {
    const here = await traysHere(looking);
    const row = here.find((t) => t.id === id);
    if (id !== null && !row) throw refused('gone', '', texts.whatIfDeletedOr);
    const before: WrittenTray | null = row ? { id: row.id, name: row.name, trials: row.trials } : null;
    const after: WrittenTray = {
      id: id ?? newId(),
      name: uniqueName(here, name, NAMED, id ?? undefined),
      trials,
    };
    return { before, after };
  },
  async write({ sql, kitchenId }, _body, { before, after }) {
    await putTray(sql, kitchenId, after, { taken: before !== null });
    return { value: { id: after.id }, what: 'tray', subject: after.id, before, after };
  },
});

const away = declare({
  wire: TRAY_AWAY,
  role: 'changer',
  moves: 'nothing that is costed',
  async look({ id, away: gone }, looking) {
    const here = await traysHere(looking);
    const there = here.some((t) => t.id === id);
    if (gone !== there)
      throw refused('gone', '', gone ? texts.whatIfDeletedAlready : texts.whatIfAlreadyHere);
    if (gone) return { before: { away: false }, after: { away: true } };
    const now = await nowOf(database(), 'tray', looking.who.kitchenId, id);
    if (!now) throw refused('gone', '', texts.noSuchWhatIf);
    uniqueName(here, now.name, NAMED, id);
    return { before: { away: true }, after: { away: false } };
  },
  async write({ sql, kitchenId, at }, { id, away: gone }, { before, after }) {
    await setArchived(sql, 'tray', kitchenId, id, gone ? at : null);
    return { value: null, what: 'tray away', subject: id, before, after };
  },
});

export const trays = [keep, away, apply];
