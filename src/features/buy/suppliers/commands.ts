import 'server-only';
import { newId } from '@/db/mapping/ids';
import { nowOf, setArchived, putSupplier } from '@/db/archive';
import { database } from '@/server/database';
import { declare, refused } from '@/server/door';
import { listNames, uniqueName } from '@/server/unique-name';
import { SUPPLIER_NAMED } from './names';
import { SUPPLIER, SUPPLIER_AWAY } from './wire';
import * as texts from './texts';

const HTTP = /^https?:\/\/[^\s/]+/;

/** A supplier by name, and where its list is fetched. */
const supplier = declare({
  wire: SUPPLIER,
  role: 'changer',
  moves: 'costs',
  changes: {
    table: 'supplier',
    id: ({ id }) => id,
    theirs: async ({ id }, { state }) => {
      const theirs = (await state()).suppliers.find((s) => s.id === id);
      return theirs && { name: theirs.name, priceList: theirs.priceList ?? '' };
    },
  },
  async look({ id, name, priceList }, { state }) {
    const here = await state();
    const before = here.suppliers.find((s) => s.id === id);
    if (id !== null && !before) throw refused('gone', '', texts.supplierArchivedAlready);
    const called = uniqueName(
      here.suppliers,
      name,
      { none: texts.whatSupplierCalled, twice: SUPPLIER_NAMED.twice },
      id ?? undefined,
    );
    const list = priceList.trim();
    if (list !== '' && !(HTTP.test(list) && URL.canParse(list)))
      throw refused('not-an-address', 'priceList', texts.notWhereListFetched(list));
    const after = { ...before, id: id ?? newId(), name: called, priceList: list === '' ? undefined : list };
    return { before: before ?? null, after };
  },
  async write({ sql, kitchenId }, _body, { before, after }) {
    await putSupplier(sql, kitchenId, after, { taken: before !== null });
    return { value: { id: after.id }, what: 'supplier', subject: after.id, before, after };
  },
});

const supplierAway = declare({
  wire: SUPPLIER_AWAY,
  role: 'changer',
  moves: 'costs',
  async look({ id, away: gone }, { state, who }) {
    const here = await state();
    const before = here.suppliers.find((s) => s.id === id);
    if (!gone) {
      const now = await nowOf(database(), 'supplier', who.kitchenId, id);
      if (!now?.away) throw refused('gone', '', texts.supplierAlreadyList);
      uniqueName(here.suppliers, now.name, SUPPLIER_NAMED, id);
      return { before: { away: true }, after: { away: false } };
    }
    if (!before) throw refused('gone', '', texts.supplierArchivedAlready);
    const sells = here.articles.filter((a) => a.supplier === id);
    const names = new Map(here.ingredients.map((i) => [i.id, i.name]));
    if (sells.length > 0)
      throw refused(
        'in-use',
        '',
        texts.boughtFromArchiveFirst(
          listNames(sells.map((a) => names.get(a.ingredient) ?? a.name)),
          sells.length,
          before.name,
        ),
        { value: sells.length, limit: 0 },
      );
    return { before: { away: false }, after: { away: true } };
  },
  async write({ sql, kitchenId, at }, { id, away: gone }, { before, after }) {
    await setArchived(sql, 'supplier', kitchenId, id, gone ? at : null);
    return { value: null, what: 'supplier away', subject: id, before, after };
  },
});

export const commands = [supplier, supplierAway];
