import 'server-only';
import { mannerIn, type WrittenPlate } from '@/core/kitchen-file';
import type { KitchenState } from '@/core/kitchen-state';
import { readPct } from '@/core/larder';
import { refuse, under } from '@/core/trouble';
import { matterOf } from '@/core/verbs';
import { newId } from '@/db/ids';
import { nowOf, putAway, putPlate } from '@/db/things';
import { database } from '@/server/database';
import { declare, Refused, type Looking } from '@/server/door';
import { mustBeOwnName } from '@/server/names';
import { headTyped, servedTyped } from './head-typed';
import { LINE_SERVED, NEW_PLATE, PLATE_AWAY, PLATE_HEAD, PLATE_LINES } from './wire';

const refused = (code: string, path: string, message: string, numbers?: Record<string, number>): Refused =>
  new Refused(refuse(code, path, message, numbers).trouble);

const NAMED = {
  none: 'What is the plate called?',
  twice: (twin: string) => `“${twin}” is a plate already: call this one otherwise.`,
};

/** How a plate stands now: the other side of a stale write. */
async function theirs({ id }: { readonly id: string }, { costed }: Looking) {
  const { costing, versions } = await costed();
  const plate = costing.state.plates.find((p) => p.id === id);
  return plate && { version: versions.plates.get(id) ?? 1, plate };
}

const CHANGES = { table: 'plate' as const, id: (body: { readonly id: string }) => body.id, theirs };

function mustBeThere(here: KitchenState, id: string): WrittenPlate {
  const plate = here.plates.find((p) => p.id === id);
  if (!plate) throw refused('gone', '', 'This plate is no longer in the book.');
  return plate;
}

/** A new plate, with what plates here usually begin with. */
const make = declare({
  wire: NEW_PLATE,
  role: 'changer',
  moves: 'costs',
  async look({ name, like }, { state }) {
    const here = await state();
    const called = mustBeOwnName(here.plates, name, NAMED);
    const from = like === null ? undefined : mustBeThere(here, like);
    const { usualTaxPct, usualTargetPct } = here.kitchen;
    const plate: WrittenPlate = {
      id: newId(),
      name: called,
      taxPct: from?.taxPct ?? usualTaxPct ?? 0,
      targetFoodCostPct: from ? from.targetFoodCostPct : usualTargetPct,
      ...(from?.menuPrice === undefined ? {} : { menuPrice: from.menuPrice }),
      ...(from?.service === undefined ? {} : { service: from.service }),
      ...(from?.serviceLossPct === undefined ? {} : { serviceLossPct: from.serviceLossPct }),
      lines: (from?.lines ?? []).map((l) => ({ ...l, id: newId() })),
    };
    return { plate, manner: mannerIn(here) };
  },
  async write({ sql, kitchenId }, _body, { plate, manner }) {
    await putPlate(sql, kitchenId, plate, manner);
    return { value: { id: plate.id }, what: 'plate', subject: plate.id, before: null, after: plate };
  },
});

const lines = declare({
  wire: PLATE_LINES,
  role: 'changer',
  moves: 'costs',
  changes: CHANGES,
  async look({ id, lines: wanted }, { costed }) {
    const { state, shelf } = (await costed()).costing;
    const before = mustBeThere(state, id);
    const elsewhere = new Set(
      state.plates.filter((p) => p.id !== id).flatMap((p) => p.lines.flatMap((l) => l.id ?? [])),
    );
    for (const [i, line] of wanted.entries()) {
      if (elsewhere.has(line.id))
        throw refused('id-twice', `lines[${i}]`, 'This line stands under an id that another has.');
      const read = matterOf(line.of, line.amount, shelf);
      if (!read.ok && read.trouble.code !== 'no-product')
        throw new Refused(under(`lines[${i}]`, read.trouble));
    }
    // How a line is served is kept with it, however its portion is.
    const was = new Map(
      before.lines.map(({ id: line, overfillPct, takenPct }) => [line, { overfillPct, takenPct }]),
    );
    const after = { ...before, lines: wanted.map((line) => ({ ...line, ...was.get(line.id) })) };
    return { before, after, manner: mannerIn(state) };
  },
  async write({ sql, kitchenId }, { id }, { before, after, manner }) {
    await putPlate(sql, kitchenId, after, manner, { taken: true });
    return { value: null, what: 'plate', subject: id, before, after };
  },
});

/** A share of 0 to 100 as typed; undefined where nothing is. */
function share(typed: string, path: string, here: KitchenState, most = 100): number | undefined {
  if (typed.trim() === '') return undefined;
  const read = readPct(typed, here.kitchen.decimalMark);
  if (!read.ok)
    throw new Refused({ ...read.trouble, message: read.trouble.message.replace('yield', 'share'), path });
  if (!(read.value >= 0 && read.value <= most))
    throw refused('share-out-of-range', path, `${read.value} % cannot be: from 0 to ${most} %.`, {
      value: read.value,
      limit: read.value > most ? most : 0,
    });
  return read.value;
}

/** Of what is made up, % that may be lost in service: with more nothing would be sold. */
const MOST_LOST = 90;

const head = declare({
  wire: PLATE_HEAD,
  role: 'changer',
  moves: 'costs',
  changes: {
    ...CHANGES,
    theirs: async ({ id }, { state }) => {
      const here = await state();
      const plate = here.plates.find((p) => p.id === id);
      return plate && headTyped(plate, here.kitchen.decimalMark);
    },
  },
  async look({ id, name, tax, target, service, loss }, { state }) {
    const here = await state();
    const before = mustBeThere(here, id);
    const after: WrittenPlate = {
      ...before,
      name: mustBeOwnName(here.plates, name, NAMED, id),
      taxPct: share(tax, 'tax', here) ?? 0,
      targetFoodCostPct: share(target, 'target', here),
      service: service === undefined ? before.service : service === '' ? undefined : service,
      serviceLossPct: loss === undefined ? before.serviceLossPct : share(loss, 'loss', here, MOST_LOST),
    };
    return { before, after, manner: mannerIn(here) };
  },
  async write({ sql, kitchenId }, { id }, { before, after, manner }) {
    await putPlate(sql, kitchenId, after, manner, { taken: true });
    return { value: null, what: 'plate', subject: id, before, after };
  },
});

const served = declare({
  wire: LINE_SERVED,
  role: 'changer',
  moves: 'costs',
  changes: {
    ...CHANGES,
    theirs: async ({ id, line }, { state }) => {
      const here = await state();
      const theirs = here.plates.find((p) => p.id === id)?.lines.find((l) => l.id === line);
      return theirs && servedTyped(theirs, here.kitchen.decimalMark);
    },
  },
  async look({ id, line, overfill, taken }, { state }) {
    const here = await state();
    const before = mustBeThere(here, id);
    if (!before.lines.some((l) => l.id === line))
      throw refused('gone', '', 'This line is no longer on the plate.');
    const how = { overfillPct: share(overfill, 'overfill', here), takenPct: share(taken, 'taken', here) };
    const lines = before.lines.map((l) => (l.id === line ? { ...l, ...how } : l));
    return { before, after: { ...before, lines }, manner: mannerIn(here) };
  },
  async write({ sql, kitchenId }, { id }, { before, after, manner }) {
    await putPlate(sql, kitchenId, after, manner, { taken: true });
    return { value: null, what: 'plate', subject: id, before, after };
  },
});

/** Nothing lives from a plate: it goes and comes back as it was. */
const away = declare({
  wire: PLATE_AWAY,
  role: 'changer',
  moves: 'costs',
  async look({ id, away: gone }, { state, who }) {
    const here = await state();
    const before = here.plates.find((p) => p.id === id);
    if (gone !== (before !== undefined))
      throw refused(
        'gone',
        '',
        gone ? 'This plate has been put away already.' : 'This plate stands in the list already.',
      );
    if (gone) return { before: { away: false }, after: { away: true } };
    const now = await nowOf(database(), 'plate', who.kitchenId, id);
    if (!now) throw refused('gone', '', 'There is no such plate.');
    mustBeOwnName(here.plates, now.name, NAMED, id);
    return { before: { away: true }, after: { away: false } };
  },
  async write({ sql, kitchenId, at }, { id, away: gone }, { before, after }) {
    await putAway(sql, 'plate', kitchenId, id, gone ? at : null);
    return { value: null, what: 'plate away', subject: id, before, after };
  },
});

export const making = [make, lines, head, served, away];
