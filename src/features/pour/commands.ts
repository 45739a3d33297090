import 'server-only';
import { mannerIn, writtenOver } from '@/core/kitchen-file';
import { priceText, readPrice } from '@/core/larder';
import { under } from '@/core/trouble';
import { matterOf } from '@/core/verbs';
import { writePlate } from '@/db/edits';
import { idsIn, Refused, declare, refused } from '@/server/door';
import { finishing } from './finishing';
import { plateCommands, parentIn } from './making';
import { menus } from './menus/commands';
import { trays } from './what-if/commands';
import { PLATE } from './wire';
import * as texts from './texts';

/** Keeps a plate's amounts and menu price; refuses an amount that cannot be weighed and a price in words. */
const keepPlate = declare({
  wire: PLATE,
  role: 'changer',
  moves: 'costs',
  changes: {
    table: 'plate',
    id: (body) => body.id,
    async theirs({ id }, { costed }) {
      const { costing, versions } = await costed();
      const plate = costing.plates.get(id)?.plate;
      return plate && { version: versions.plates.get(id) ?? 1, plate };
    },
  },
  async look({ id, lines: typed, menuPrice }, { costed }) {
    const { state, shelf, plates } = (await costed()).costing;
    const before = state.plates.find((p) => p.id === id);
    const stands = plates.get(id)?.plate;
    const amounts = new Map(typed.map((l) => [l.id, l.amount]));
    if (!before || !stands) throw refused('gone', '', texts.dishNoLongerKitchen);
    // A line that has just come keeps its amount, one that has just gone is passed over: whether they are one's own is the version's business.
    const asBought = new Set(typed.flatMap((l) => (l.asBought ? [l.id] : [])));
    const lines = stands.lines.map((l) => ({
      ...l,
      of: asBought.has(l.id ?? '') && 'ingredient' in l.of ? { ingredient: l.of.ingredient } : l.of,
      amount: amounts.get(l.id ?? '') ?? l.amount,
    }));
    for (const [i, line] of lines.entries()) {
      const read = matterOf(line.of, line.amount, shelf);
      if (!read.ok && read.trouble.code !== 'no-product')
        throw new Refused(under(`lines[${i}]`, read.trouble));
    }
    const price = menuPrice.trim() === '' ? undefined : readPrice(menuPrice, state.kitchen.decimalMark);
    if (price && !price.ok) throw new Refused(under('menuPrice', price.trouble));
    const manner = mannerIn(state);
    const over = writtenOver(before, parentIn(state, before), lines, manner);
    return { before, after: { ...over, menuPrice: price && priceText(price.value) }, manner };
  },
  dependsOn: (body, { before }) => idsIn(body, before),
  async write({ sql, kitchenId }, { id }, { before, after, manner }) {
    await writePlate(sql, kitchenId, after, manner);
    return { value: null, what: 'plate', subject: id, before, after };
  },
});

export const commands = [keepPlate, ...plateCommands, ...finishing, ...menus, ...trays];
