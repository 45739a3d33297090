import 'server-only';
import { costByLayer, costOfPlate, costOfProduct, inputCosts, type KitchenCosting } from '@/core/costing';
import { LAYERS } from '@/core/layers';
import { readNumber, type DecimalMark } from '@/core/quantity';
import { CONSTANTS, improvedBy, MODEL, referenceLarder, type LaterValues } from '@/core/reference';
import { lastChange } from '@/db/changes';
import { newId } from '@/db/mapping/ids';
import { LABOUR_COLUMN, type KeptCosting } from '@/db/mapping/json-columns';
import {
  archiveSavedCosting,
  insertSavedCosting as writeKept,
  savedCosting,
} from '@/db/kitchen/saved-costings';
import { addMeasure, patchPhysics, setHands } from '@/db/buying/larder-edits';
import { addModelChange, markModelChangeSeen } from '@/db/kitchen/model-changes';
import { database } from '@/server/database';
import { Refused, declare, refused } from '@/server/door';
import { costsOf, costChangesBetween } from '@/server/model-changes';
import { costedWith } from '@/server/kitchen';
import { CUPS_OF } from './cups';
import { labourTyped } from './settings/typed';
import {
  COSTING_AWAY,
  CUPS,
  OWN_LABOUR,
  KEEP_COSTING,
  MODEL_SEEN,
  STARTING_VALUES,
  STARTING_VALUES_BACK,
} from './wire';
import * as texts from './texts';

const MOST_MINUTES = 600;

/** Minutes as typed; undefined where nothing is. */
function minutes(typed: string, path: string, mark: DecimalMark): number | undefined {
  if (typed.trim() === '') return undefined;
  const read = readNumber(typed.trim().replace(/\s*min$/i, ''), mark);
  if (!read.ok) throw new Refused({ ...read.trouble, path });
  const value = read.value.toNumber();
  if (!(value >= 0 && value <= MOST_MINUTES))
    throw refused('minutes-out-of-range', path, texts.minutesOutOfRange(typed.trim(), MOST_MINUTES), {
      value,
      limit: MOST_MINUTES,
    });
  return value;
}

const hands = declare({
  wire: OWN_LABOUR,
  role: 'manager',
  moves: 'costs',
  changes: {
    table: 'kitchen',
    id: (_body, who) => who.kitchenId,
    theirs: async (_body, { state }) => labourTyped((await state()).kitchen),
  },
  async look({ kinds, sharedBatch, sharedPerL }, { state }) {
    const { kitchen } = await state();
    const mark = kitchen.decimalMark;
    const own = Object.entries(kinds).flatMap(([kind, typed]) => {
      if (!(kind in CONSTANTS.hands)) throw refused('unknown-kind', kind, texts.notKindStep(kind));
      const of = {
        fixedMin: minutes(typed.fixed, `${kind}.fixed`, mark),
        perKgMin: minutes(typed.perKg, `${kind}.perKg`, mark),
        perLMin: minutes(typed.perL, `${kind}.perL`, mark),
      };
      return Object.values(of).some((m) => m !== undefined) ? [[kind, of] as const] : [];
    });
    const shared = {
      batchMin: minutes(sharedBatch, 'sharedBatch', mark),
      perLMin: minutes(sharedPerL, 'sharedPerL', mark),
    };
    const after = {
      kinds: own.length > 0 ? Object.fromEntries(own) : undefined,
      shared: shared.batchMin === undefined && shared.perLMin === undefined ? undefined : shared,
    };
    return { before: { kinds: kitchen.hands, shared: kitchen.sharedHands }, after };
  },
  async write({ sql, kitchenId }, _body, { before, after }) {
    await setHands(sql, kitchenId, after.kinds || after.shared ? LABOUR_COLUMN.write(after) : null);
    return { value: null, what: 'hands', subject: kitchenId, before, after };
  },
});

const cups = declare({
  wire: CUPS,
  role: 'manager',
  moves: 'costs',
  async look({ of }, { state }) {
    const { measures } = await state();
    const there = new Map(measures.map((m) => [m.name.toLowerCase(), m.amount]));
    const wanted = Object.entries(CUPS_OF[of]);
    const other = wanted.find(([name, amount]) => there.has(name) && there.get(name) !== amount);
    if (other)
      throw refused(
        'measure-taken',
        'of',
        texts.hereAlreadyArchiveMeasure(other[0], there.get(other[0]) ?? ''),
      );
    return wanted
      .filter(([name]) => !there.has(name))
      .map(([name, amount]) => ({ id: newId(), name, amount }));
  },
  async write({ sql, kitchenId }, _body, added) {
    for (const { id, name, amount } of added) await addMeasure(sql, kitchenId, id, name, amount);
    return {
      value: { added: added.map((m) => m.name) },
      what: 'cups',
      subject: kitchenId,
      before: null,
      after: added,
    };
  },
});

/** A costing as it is kept: every layer, and what it was made of. */
function costingOf(
  costing: KitchenCosting,
  what: 'product' | 'plate',
  id: string,
): { name: string; body: KeptCosting } | undefined {
  const { currency } = costing.state.kitchen;
  const perKg = (supply: string): number | null => {
    const perG = supply === 'free' ? 0 : costing.graph.cost(supply);
    return perG === null ? null : perG * 1000;
  };
  if (what === 'plate') {
    const plate = costing.plates.get(id);
    if (!plate) return undefined;
    const { lines, netPrice } = costOfPlate(costing, id);
    return {
      name: plate.plate.name,
      body: {
        currency,
        layers: costByLayer(costing, `plate:${id}`),
        netPrice,
        lines: plate.lines.map(({ written, resolved }, i) => ({
          said: resolved.ok
            ? resolved.value.what.is === 'stuff'
              ? resolved.value.what.stuff.name
              : resolved.value.what.name
            : texts.notReadable,
          amount: written.amount,
          cost: lines[i] ?? null,
          perKg: resolved.ok ? perKg(resolved.value.what.supply) : null,
        })),
      },
    };
  }
  const recipe = costing.recipes.get(id);
  if (!recipe) return undefined;
  const { ml, g } = costOfProduct(costing, id);
  const layers = costByLayer(costing, `product:${id}`);
  const costs = inputCosts(costing, id);
  return {
    name: recipe.recipe.name,
    body: {
      currency,
      ml,
      perKg: layers.ingredients === null ? null : layers.ingredients * 1000,
      layers: Object.fromEntries(
        LAYERS.map((name) => {
          const perG = layers[name];
          return [name, perG === null || ml === 0 ? null : (perG * g * 1000) / ml];
        }),
      ),
      lines: recipe.run.inputs.map((input, i) => ({
        said: input.name,
        g: input.g,
        cost: costs[i] ?? null,
        perKg: perKg(input.supply),
      })),
    },
  };
}

const keep = declare({
  wire: KEEP_COSTING,
  role: 'cook',
  moves: 'nothing that is costed',
  async look({ what, subject }, { costed }) {
    const { costing } = await costed();
    const of = costingOf(costing, what, subject);
    if (!of) throw refused('gone', '', texts.noLongerKitchen);
    if (of.body.layers.ingredients === null)
      throw refused('incomplete', '', texts.noCostWhileSomething(of.name));
    return { ...of, day: costing.day, id: newId() };
  },
  async write({ sql, kitchenId, who, at }, { what, subject }, { id, name, body, day }) {
    const kept = {
      id,
      what,
      subjectId: subject,
      name,
      forDay: day,
      keptAt: at,
      byId: who.person.id,
      model: MODEL,
      body,
    };
    await writeKept(sql, kitchenId, kept);
    return {
      value: { id },
      what: 'kept costing',
      subject,
      before: null,
      after: { id, cost: body.layers },
    };
  },
});

const away = declare({
  wire: COSTING_AWAY,
  role: 'cook',
  moves: 'nothing that is costed',
  async look({ id, away: gone }, { who }) {
    if (gone && !(await savedCosting(database(), who.kitchenId, id)))
      throw refused('gone', '', texts.costingArchivedAlready);
  },
  async write({ sql, kitchenId, at }, { id, away: gone }) {
    if ((await archiveSavedCosting(sql, kitchenId, id, gone ? at : null)) === 0)
      throw refused('gone', '', texts.noSuchCosting);
    return {
      value: null,
      what: 'kept costing',
      subject: id,
      before: { away: !gone },
      after: { away: gone },
    };
  },
});

const seen = declare({
  wire: MODEL_SEEN,
  role: 'manager',
  moves: 'nothing that is costed',
  look: () => Promise.resolve(null),
  async write({ sql, kitchenId, who, at }, { id }) {
    await markModelChangeSeen(sql, kitchenId, id, who.person.id, at);
    return { value: null, what: 'model seen', subject: id, before: null, after: null };
  },
});

/** Fields as they stand, null for what is unsaid: enough to give them back. */
const asTheyStand = (own: object, values: LaterValues): Record<string, unknown> =>
  Object.fromEntries(
    Object.keys(values).map((field) => [field, (own as Record<string, unknown>)[field] ?? null]),
  );

const startingValues = declare({
  wire: STARTING_VALUES,
  role: 'manager',
  moves: 'costs',
  async look({ ids }, { costed }) {
    const kitchen = await costed();
    const wanted = new Set(ids);
    const larder = referenceLarder();
    const taken = kitchen.costing.state.ingredients.flatMap((own) => {
      const row = wanted.has(own.id) && own.reference !== undefined ? larder.get(own.reference) : undefined;
      const values = row && improvedBy(own, row);
      return values ? [{ own, values }] : [];
    });
    if (taken.length === 0) throw refused('gone', '', texts.theseTakenAlready);
    const byId = new Map(taken.map((t) => [t.own.id, t]));
    const after = await costedWith(kitchen, (state) => ({
      ...state,
      ingredients: state.ingredients.map((i) => {
        const of = byId.get(i.id);
        return of ? { ...i, ...of.values } : i;
      }),
    }));
    return { taken, moves: costChangesBetween(costsOf(kitchen.costing), costsOf(after)), day: after.day };
  },
  async write({ sql, kitchenId, at }, _body, { taken, moves, day }) {
    for (const { own, values } of taken) await patchPhysics(sql, kitchenId, own.id, values);
    // What that moved is listed like what a model moves: nobody in the kitchen has changed a price.
    if (moves.length > 0)
      await addModelChange(sql, kitchenId, {
        id: newId(),
        fromModel: MODEL,
        toModel: MODEL,
        foundAt: at,
        forDay: day,
        exact: true,
        moves,
      });
    return {
      value: { moved: moves.length },
      what: 'starting values',
      subject: kitchenId,
      before: Object.fromEntries(taken.map(({ own, values }) => [own.id, asTheyStand(own, values)])),
      after: Object.fromEntries(taken.map(({ own, values }) => [own.id, values])),
    };
  },
});

/** What stands in the change log under one taking of starting values and the giving back of it. */
export const TAKEN = ['starting values', 'starting values given back'] as const;

const startingValuesBack = declare({
  wire: STARTING_VALUES_BACK,
  role: 'manager',
  moves: 'costs',
  async look({ change }, { who }) {
    const last = await lastChange(database(), who.kitchenId, TAKEN, who.kitchenId);
    if (last?.id !== change || last.what !== TAKEN[0])
      throw refused('gone', '', texts.theseStartingValuesGiven);
    return last;
  },
  async write({ sql, kitchenId }, _body, last) {
    for (const [id, fields] of Object.entries(last.before as Record<string, Record<string, unknown>>))
      await patchPhysics(sql, kitchenId, id, fields);
    return { value: null, what: TAKEN[1], subject: kitchenId, before: last.after, after: last.before };
  },
});

export const commands = [hands, cups, keep, away, seen, startingValues, startingValuesBack];
