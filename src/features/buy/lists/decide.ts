import 'server-only';
import { clearRows, replaceRow, rowAt, setWanted } from '@/db/buying/price-list-rows';
import { setImport } from '@/db/buying/price-lists';
import { readKitchenForDay } from '@/db/kitchen/read-kitchen';
import { database } from '@/server/database';
import { declare, refused } from '@/server/door';
import { mustBeOpen } from './lists';
import { previewContext, judgeFor } from './preview';
import { ASSIGN, DROP, WANT } from './wire';
import * as texts from './texts';

/** Takes rows or leaves them out: one line, or all of a verdict. */
const want = declare({
  wire: WANT,
  role: 'manager',
  moves: 'nothing that is costed',
  look: ({ id }, { who }) => mustBeOpen(who.kitchenId, id, ['preview']),
  async write({ sql, kitchenId }, { id, where, wanted }) {
    await setWanted(sql, kitchenId, id, where, wanted);
    return { value: null, what: 'list rows', subject: id, before: null, after: { where, wanted } };
  },
});

/** Says what a row is that fitted no article: an article of this supplier, or a new one of an ingredient. */
const assign = declare({
  wire: ASSIGN,
  role: 'manager',
  moves: 'nothing that is costed',
  async look({ id, line, to }, { who, today }) {
    const { kitchenId } = who;
    const found = await mustBeOpen(kitchenId, id, ['preview']);
    const row = await rowAt(database(), kitchenId, id, line);
    if (!row) throw refused('gone', '', texts.noLineList(line));
    if ('ingredient' in to) {
      if (row.pack === undefined) throw refused('no-pack', '', texts.lineDoesNotSay(line));
      return { before: row, after: { ...row, ingredient: to.ingredient, article: undefined, wanted: true } };
    }
    const day = found.on ?? today;
    const kitchen = await readKitchenForDay(database(), kitchenId, day);
    const bench = previewContext(kitchen, found.supplier, day, {
      places: {},
      mark: found.columns?.mark ?? kitchen.state.kitchen.decimalMark,
      oddShare: found.oddShare,
    });
    if (!bench.current.has(to.article)) throw refused('gone', '', texts.articleNotSuppliers);
    const judged = judgeFor(row, to.article, bench);
    return { before: row, after: { ...judged, wanted: judged.verdict !== 'refused' } };
  },
  async write({ sql, kitchenId }, { id }, { before, after }) {
    await replaceRow(sql, kitchenId, id, after);
    return { value: null, what: 'list row', subject: id, before, after };
  },
});

/** Puts a list away undecided. */
const drop = declare({
  wire: DROP,
  role: 'manager',
  moves: 'nothing that is costed',
  look: ({ id }, { who }) => mustBeOpen(who.kitchenId, id, ['columns', 'preview', 'dropped']),
  async write({ sql, kitchenId }, { id }, { state }) {
    await clearRows(sql, kitchenId, id);
    await setImport(sql, kitchenId, id, { state: 'dropped' });
    return { value: null, what: 'price list dropped', subject: id, before: { state }, after: null };
  },
});

export const decisions = [want, assign, drop];
