import 'server-only';
import {
  flawOfFollowing,
  mannerIn,
  SIZES,
  standingPlate,
  writtenOver,
  type WrittenPlate,
} from '@/core/kitchen-file';
import { readNumber } from '@/core/quantity';
import type { KitchenState } from '@/core/kitchen-state';
import { readPct } from '@/core/larder';
import { under } from '@/core/trouble';
import { matterOf } from '@/core/verbs';
import { newId } from '@/db/mapping/ids';
import { nowOf, setArchived, putPlate } from '@/db/archive';
import { database } from '@/server/database';
import { idsIn, Refused, declare, refused, type Looking } from '@/server/door';
import { listNames, uniqueName } from '@/server/unique-name';
import { headTyped, servedTyped } from './head-typed';
import { BY_ITSELF, LINE_SERVED, NEW_PLATE, PLATE_AWAY, PLATE_HEAD, PLATE_LINES } from './wire';
import * as texts from './texts';

const NAMED = {
  none: texts.whatDishCalled,
  twice: (twin: string) => texts.dishAlreadyChooseAnother(twin),
};

/** How a plate stands now: the other side of a stale write. */
async function theirs({ id }: { readonly id: string }, { costed }: Looking) {
  const { costing, versions } = await costed();
  const plate = costing.plates.get(id)?.plate;
  return plate && { version: versions.plates.get(id) ?? 1, plate };
}

/** How a plate that somebody else has changed meanwhile is told. */
export const CHANGES = { table: 'plate' as const, id: (body: { readonly id: string }) => body.id, theirs };

function mustBeThere(here: KitchenState, id: string): WrittenPlate {
  const plate = here.plates.find((p) => p.id === id);
  if (!plate) throw refused('gone', '', texts.dishNoLongerKitchen);
  return plate;
}

/** The plate that one is a size of, while that stands. */
export const parentIn = (here: KitchenState, plate: WrittenPlate): WrittenPlate | undefined =>
  plate.follows && here.plates.find((p) => p.id === plate.follows?.plate);

const standing = (here: KitchenState, plate: WrittenPlate): WrittenPlate =>
  standingPlate(plate, parentIn(here, plate), mannerIn(here));

/** How much of a plate's portions a size of it has, as typed: `half`, `60 %`, `2.5`. */
function sizeOf(typed: string, here: KitchenState): number {
  const mark = here.kitchen.decimalMark;
  const share = /%\s*$/.test(typed) ? readPct(typed, mark) : undefined;
  const number = share ?? readNumber(typed.trim().replace(/^(a )?half$/i, `0${mark}5`), mark);
  if (!number.ok) throw new Refused(under('size', number.trouble));
  const size = share?.ok ? share.value / 100 : Number(number.value);
  if (!(size >= SIZES.least && size <= SIZES.most))
    throw refused(
      'size-out-of-range',
      'size',
      texts.eachPortionFromTimes(typed.trim(), SIZES.least, SIZES.most, mark),
      { value: size, limit: size < SIZES.least ? SIZES.least : SIZES.most },
    );
  return Number(size.toFixed(4));
}

/** A new plate, with what plates here usually begin with. */
const make = declare({
  wire: NEW_PLATE,
  role: 'changer',
  moves: 'costs',
  async look({ name, like, size }, { state }) {
    const here = await state();
    const called = uniqueName(here.plates, name, NAMED);
    const from = like === null ? undefined : standing(here, mustBeThere(here, like));
    if (from && size !== undefined)
      return { plate: sizedOf(from, called, size, here), manner: mannerIn(here) };
    const { usualTaxPct, usualTargetPct } = here.kitchen;
    const plate: WrittenPlate = {
      id: newId(),
      name: called,
      taxPct: from?.taxPct ?? usualTaxPct ?? 0,
      targetFoodCostPct: from ? from.targetFoodCostPct : usualTargetPct,
      ...(from?.menuPrice === undefined ? {} : { menuPrice: from.menuPrice }),
      ...(from?.service === undefined ? {} : { service: from.service }),
      ...(from?.serviceLossPct === undefined ? {} : { serviceLossPct: from.serviceLossPct }),
      ...(from?.hands === undefined ? {} : { hands: from.hands }),
      lines: (from?.lines ?? []).map((l) => ({ ...l, id: newId() })),
    };
    return { plate, manner: mannerIn(here) };
  },
  async write({ sql, kitchenId }, _body, { plate, manner }) {
    await putPlate(sql, kitchenId, plate, manner);
    return { value: { id: plate.id }, what: 'plate', subject: plate.id, before: null, after: plate };
  },
});

/** A size of a plate: it has a name and a price of its own, and follows for the rest. */
function sizedOf(parent: WrittenPlate, name: string, size: string, here: KitchenState): WrittenPlate {
  const plate: WrittenPlate = {
    id: newId(),
    name,
    taxPct: parent.taxPct,
    follows: { plate: parent.id, size: sizeOf(size, here), but: [] },
    lines: [],
  };
  const flaw = flawOfFollowing(plate, parent);
  if (flaw) throw new Refused(flaw);
  return plate;
}

const lines = declare({
  wire: PLATE_LINES,
  role: 'changer',
  moves: 'costs',
  changes: CHANGES,
  async look({ id, lines: wanted }, { costed }) {
    const { state, shelf } = (await costed()).costing;
    const before = mustBeThere(state, id);
    const parent = parentIn(state, before);
    const elsewhere = new Set(
      state.plates
        .filter((p) => p.id !== id && p !== parent)
        .flatMap((p) => p.lines.flatMap((l) => l.id ?? [])),
    );
    for (const [i, line] of wanted.entries()) {
      if (elsewhere.has(line.id)) throw refused('id-twice', `lines[${i}]`, texts.lineSameIdAnother);
      const read = matterOf(line.of, line.amount, shelf);
      if (!read.ok && read.trouble.code !== 'no-product')
        throw new Refused(under(`lines[${i}]`, read.trouble));
    }
    // How a line is served is kept with it, however its portion is.
    const was = new Map(
      standing(state, before).lines.map(({ id: line, overfillPct, takenPct, packaging }) => [
        line,
        { overfillPct, takenPct, packaging },
      ]),
    );
    const manner = mannerIn(state);
    // What a size follows is followed as it is now: the plate may have changed since this screen was read.
    const followed = new Map(
      standing(state, before)
        .lines.filter((l) => parent?.lines.some((p) => p.id === l.id))
        .map((l) => [l.id, l.amount]),
    );
    const stands = wanted.map((line) => ({
      ...line,
      amount: followed.get(line.id) ?? line.amount,
      ...was.get(line.id),
    }));
    return { before, after: writtenOver(before, parent, stands, manner), manner };
  },
  dependsOn: (body, { before }) => idsIn(body, before),
  async write({ sql, kitchenId }, { id }, { before, after, manner }) {
    await putPlate(sql, kitchenId, after, manner, { taken: true });
    return { value: null, what: 'plate', subject: id, before, after };
  },
});

/** A share of 0 to 100 as typed; undefined where nothing is. */
function share(typed: string, path: string, here: KitchenState, most = 100): number | undefined {
  if (typed.trim() === '') return undefined;
  const read = readPct(typed, here.kitchen.decimalMark, 'share');
  if (!read.ok) throw new Refused({ ...read.trouble, path });
  if (!(read.value >= 0 && read.value <= most))
    throw refused('share-out-of-range', path, texts.outOfRange(read.value, most), {
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
  async look({ id, name, tax, target, service, loss, minutes, plates, size }, { state }) {
    const here = await state();
    const before = mustBeThere(here, id);
    const { follows } = before;
    const after: WrittenPlate = {
      ...before,
      ...(follows && size !== undefined ? { follows: { ...follows, size: sizeOf(size, here) } } : {}),
      hands: minutes === undefined ? before.hands : handsOf(minutes, plates ?? '', here),
      name: uniqueName(here.plates, name, NAMED, id),
      taxPct: share(tax, 'tax', here) ?? 0,
      targetFoodCostPct: share(target, 'target', here),
      service: service === undefined ? before.service : service === '' ? undefined : service,
      serviceLossPct: loss === undefined ? before.serviceLossPct : share(loss, 'loss', here, MOST_LOST),
    };
    return { before, after, manner: mannerIn(here) };
  },
  dependsOn: (body, { before }) => idsIn(body, before),
  async write({ sql, kitchenId }, { id }, { before, after, manner }) {
    await putPlate(sql, kitchenId, after, manner, { taken: true });
    return { value: null, what: 'plate', subject: id, before, after };
  },
});

/** Minutes of hands and for how many plates at once, as typed; undefined where no minutes are. */
function handsOf(minutes: string, plates: string, here: KitchenState): WrittenPlate['hands'] {
  const number = (typed: string, path: string, least: number, most: number, what: string): number => {
    const read = readNumber(typed, here.kitchen.decimalMark);
    if (!read.ok) throw new Refused(under(path, read.trouble));
    const value = read.value.toNumber();
    if (!(value >= least && value <= most))
      throw refused('hands-out-of-range', path, texts.from(value, what, least, most), {
        value,
        limit: value < least ? least : most,
      });
    return value;
  };
  if (minutes.trim() === '') return undefined;
  const together = plates.trim() === '' ? 1 : number(plates, 'plates', 1, 10_000, texts.dishesOnce);
  return {
    minutes: number(minutes, 'minutes', 0.01, 1440, 'minutes'),
    plates: Math.round(together),
  };
}

/** A size of a plate that follows it no more: it stands by itself with the lines it has. */
const byItself = declare({
  wire: BY_ITSELF,
  role: 'changer',
  moves: 'costs',
  changes: CHANGES,
  async look({ id }, { state }) {
    const here = await state();
    const before = mustBeThere(here, id);
    if (!before.follows) throw refused('follows-nothing', '', texts.alreadyIndependent(before.name));
    const { follows: _f, ...stands } = standing(here, before);
    const own = new Set(before.lines.map((l) => l.id));
    const after = {
      ...stands,
      lines: stands.lines.map((l) => (own.has(l.id) ? l : { ...l, id: newId() })),
    };
    return { before, after, manner: mannerIn(here) };
  },
  dependsOn: (body, { before }) => idsIn(body, before),
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
      const plate = here.plates.find((p) => p.id === id);
      const theirs = plate && standing(here, plate).lines.find((l) => l.id === line);
      return theirs && servedTyped(theirs, here.kitchen.decimalMark);
    },
  },
  async look({ id, line, overfill, taken, packaging }, { state }) {
    const here = await state();
    const before = mustBeThere(here, id);
    const stands = standing(here, before);
    const own = stands.lines.find((l) => l.id === line);
    if (packaging && own && !('ingredient' in own.of))
      throw refused('not-packaging', 'packaging', texts.onlyWhatBoughtCan);
    if (!own) throw refused('gone', '', texts.lineNoLongerDish);
    const how = {
      overfillPct: share(overfill, 'overfill', here),
      takenPct: share(taken, 'taken', here),
      packaging: (packaging ?? own.packaging) ? (true as const) : undefined,
    };
    const lines = stands.lines.map((l) => (l.id === line ? { ...l, ...how } : l));
    const manner = mannerIn(here);
    return { before, after: writtenOver(before, parentIn(here, before), lines, manner), manner };
  },
  dependsOn: (body, { before }) => idsIn(body, before),
  async write({ sql, kitchenId }, { id }, { before, after, manner }) {
    await putPlate(sql, kitchenId, after, manner, { taken: true });
    return { value: null, what: 'plate', subject: id, before, after };
  },
});

/** Nothing is made from a plate: it goes and comes back as it was. */
const away = declare({
  wire: PLATE_AWAY,
  role: 'changer',
  moves: 'costs',
  async look({ id, away: gone }, { state, who }) {
    const here = await state();
    const before = here.plates.find((p) => p.id === id);
    if (gone !== (before !== undefined))
      throw refused('gone', '', gone ? texts.dishArchivedAlready : texts.dishAlreadyList);
    const sizes = gone ? here.plates.filter((p) => p.follows?.plate === id) : [];
    if (sizes.length > 0)
      throw refused(
        'followed',
        '',
        texts.archiveFirstOrMake(listNames(sizes.map((p) => p.name)), sizes.length),
      );
    if (gone) return { before: { away: false }, after: { away: true } };
    const now = await nowOf(database(), 'plate', who.kitchenId, id);
    if (!now) throw refused('gone', '', texts.noSuchDish);
    uniqueName(here.plates, now.name, NAMED, id);
    return { before: { away: true }, after: { away: false } };
  },
  async write({ sql, kitchenId, at }, { id, away: gone }, { before, after }) {
    await setArchived(sql, 'plate', kitchenId, id, gone ? at : null);
    return { value: null, what: 'plate away', subject: id, before, after };
  },
});

export const plateCommands = [make, lines, head, served, byItself, away];
