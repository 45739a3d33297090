import 'server-only';
import { z } from 'zod';
import { Test } from '@/core/bench';
import { Basis, Ingredient, mannerIn } from '@/core/kitchen-file';
import { TRIM_SCHOOLS } from '@/core/larder';
import { setBatchesAWeek, addYield } from '@/db/edits';
import { archiveSavedCosting } from '@/db/kitchen/saved-costings';
import {
  archiveMeasure,
  patchPhysics,
  setIngredient,
  setKitchenTrim,
  withdraw,
} from '@/db/buying/larder-edits';
import { insertCooked } from '@/db/buying/larder-rows';
import { archivePerson, managersLocked, writePerson } from '@/db/people/people';
import { withdrawPurchase } from '@/db/buying/purchases';
import { notBack, purchaseById } from '@/db/buying/purchases-read';
import { archivedWithIngredient, bumpVersion, setArchived } from '@/db/archive';
import { revokeOtherSignIns } from '@/db/people/sign-ins';
import { withdrawWaste } from '@/db/cooking/wastes';
import { dropTest, leaveOut, writeTest } from '@/db/cooking/yield-tests';
import { database } from '@/server/database';
import { Refused, type Writing } from '@/server/door';
import { no, now, ofKitchen, type Undoing } from './undoing-kinds';
import * as texts from './texts';

/** An ingredient's own settings, as they stood on one side: what is unsaid is the kitchen's. */
const Trims = z.object({
  trim: z
    .object({
      school: z.enum(TRIM_SCHOOLS).nullish(),
      setValuePerKg: z.string().nullish(),
      takenPct: z.number().nullish(),
    })
    .optional(),
  comesOff: z.object({ setValuePerKg: z.string().nullish(), sold: z.boolean().nullish() }).optional(),
  learnFrom: z.object({ season: z.string().nullish(), supplier: z.string().nullish() }).optional(),
});

/** Settings of one ingredient put back at its next version. */
const ofIngredient =
  (id: string, write: (w: Writing) => Promise<unknown>) =>
  async (w: Writing): Promise<void> => {
    await bumpVersion(w.sql, 'ingredient', w.kitchenId, id);
    await write(w);
  };

const trimSchool: Undoing = {
  role: 'manager',
  back: (subject, side) => {
    const { school = null, setValuePerKg = null, takenPct = null } = Trims.parse(side).trim ?? {};
    return now(
      ofIngredient(subject, (w) =>
        setIngredient(w.sql, w.kitchenId, subject, { trim: { school, setValuePerKg, takenPct } }),
      ),
    );
  },
};

const learnFrom: Undoing = {
  role: 'manager',
  back: (subject, side) => {
    const { season = null, supplier = null } = Trims.parse(side).learnFrom ?? {};
    return now(
      ofIngredient(subject, (w) =>
        setIngredient(w.sql, w.kitchenId, subject, { learnFrom: { season, supplier } }),
      ),
    );
  },
};

/** A by-product made, or charged otherwise. */
const byProduct: Undoing = {
  role: 'cook',
  back: (subject, side) => {
    if (side === null || 'id' in z.looseObject({}).parse(side))
      return now(
        async (w) =>
          void (await archivedWithIngredient(w.sql, w.kitchenId, subject, side === null ? w.at : null)),
      );
    const { setValuePerKg = null, sold } = Trims.parse(side).comesOff ?? {};
    return now(
      ofIngredient(subject, (w) =>
        setIngredient(w.sql, w.kitchenId, subject, { comesOff: { setValuePerKg, sold: sold ?? false } }),
      ),
    );
  },
};

const trimTaken: Undoing = {
  role: 'manager',
  back: (subject, side, _looking, state) => {
    const own = state.ingredients.find((i) => i.id === subject);
    const read = z
      .union([
        z.object({ what: z.enum(['stock trim', 'by-product']), pct: z.number() }),
        // Before both were written down it was told by what the ingredient is.
        z.number().transform((pct) => ({ what: own?.comesOff ? 'by-product' : 'stock trim', pct }) as const),
      ])
      .parse(side);
    const takenPct = read.pct >= 100 ? null : read.pct;
    const { school = null, setValuePerKg = null } = own?.trim ?? {};
    return now(
      ofIngredient(subject, (w) =>
        setIngredient(
          w.sql,
          w.kitchenId,
          subject,
          read.what === 'by-product'
            ? { comesOffTakenPct: takenPct }
            : { trim: { school, setValuePerKg, takenPct } },
        ),
      ),
    );
  },
};

const Learned = z.object({
  yields: Ingredient.shape.yields.element.optional(),
  cooked: Ingredient.shape.cooked.unwrap(),
});

/** What tests have taught: the figures of before hold again from today on. */
const learned: Undoing = {
  role: 'manager',
  back: (subject, side, { today, who }, _state, other) => {
    const [was, is] = [Learned.safeParse(side), Learned.safeParse(other)];
    if (!was.success || !is.success) return now(no(texts.whatStoodBeforeNot));
    const had = new Set(was.data.cooked.map((c) => c.figure));
    if (is.data.cooked.some((c) => !had.has(c.figure))) return now(no(texts.noFigureTestBefore));
    const basis = texts.putBack(who.person.name).slice(0, 200);
    return now(
      ofIngredient(subject, async ({ sql, kitchenId, at }) => {
        const { yields, cooked } = was.data;
        if (yields) await addYield(sql, kitchenId, subject, { ...yields, on: today, recordedAt: at, basis });
        const dated = { on: today, recordedAt: at.toISOString(), basis };
        await insertCooked(
          sql,
          kitchenId,
          subject,
          cooked.map((c) => ({ ...c, ...dated })),
        );
      }),
    );
  },
};

/** A test as it stood: on the bench, or as it was finished. */
const test: Undoing = {
  role: 'cook',
  back: (subject, side, _looking, state) => {
    if (side === null) return now(async (w) => void (await dropTest(w.sql, w.kitchenId, subject, w.at)));
    const was = Test.parse(side);
    const manner = mannerIn(state);
    return now(async (w) => {
      await bumpVersion(w.sql, 'yield_test', w.kitchenId, subject);
      await dropTest(w.sql, w.kitchenId, subject, null);
      await writeTest(w.sql, w.kitchenId, was, manner);
    });
  },
};

const LeftOut = z.union([z.null(), z.string(), z.object({ why: z.string() }).transform((s) => s.why)]);
const leftOut = (as: string): Undoing => ({
  role: 'manager',
  as,
  back: (subject, side) => {
    const why = LeftOut.parse(side);
    return now(
      async ({ sql, kitchenId, at, who }) =>
        void (await leaveOut(sql, kitchenId, subject, why === null ? null : { at, by: who.person.id, why })),
    );
  },
});

/** Thrown away after all, or not: stock is moved the other way, or once more. */
const waste: Undoing = {
  role: 'cook',
  back: (_subject, side, _looking, _state, other) => {
    const { id } = z.object({ id: z.string() }).parse(side ?? other);
    return now((w) =>
      withdrawWaste(w.sql, w.kitchenId, id, side === null, { by: w.who.person.id, on: w.today, at: w.at }),
    );
  },
};

/** Counted, or a pack weighed: it counts no more, or again. */
const measured = (table: 'stock_count' | 'pack_weighing', key: 'count' | 'weighing'): Undoing => ({
  role: 'changer',
  back: (subject, side, _looking, _state, other) => {
    const found = z.looseObject({ [key]: z.string() }).safeParse(side ?? other);
    if (!found.success) return now(no(texts.recordedBeforeUndoExisted));
    const id = String(found.data[key]);
    return now(
      ofIngredient(subject, (w) => withdraw(w.sql, table, w.kitchenId, id, side === null ? w.at : null)),
    );
  },
});

/** An invoice or credit note: it counts no more, or again. */
const purchase: Undoing = {
  role: 'changer',
  back: async (subject, side, { who }) => {
    const found = await purchaseById(database(), who.kitchenId, subject);
    if (!found) return no(texts.noLongerAmongPurchases);
    const back = side === null;
    const why = await notBack(database(), who.kitchenId, found, back);
    return (
      why ??
      ((w) =>
        withdrawPurchase(w.sql, w.kitchenId, subject, back, {
          person: w.who.person.id,
          on: w.today,
          at: w.at,
        }))
    );
  },
};

const basis: Undoing = {
  role: 'changer',
  back: (subject, side) => {
    const { basis: was } = z.object({ basis: Basis.nullable() }).parse(side);
    return now(ofIngredient(subject, (w) => setIngredient(w.sql, w.kitchenId, subject, { priceBasis: was })));
  },
};

const boughtAs: Undoing = {
  role: 'changer',
  back: (subject, side) => {
    const was = z
      .object({ boughtAs: z.string().nullish(), partPack: z.enum(['part', 'whole']).optional() })
      .parse(side);
    return now(ofIngredient(subject, (w) => setIngredient(w.sql, w.kitchenId, subject, was)));
  },
};

const batches: Undoing = {
  role: 'manager',
  back: (subject, side) => {
    const was = z.number().parse(side);
    return now(async (w) => {
      await bumpVersion(w.sql, 'recipe', w.kitchenId, subject);
      await setBatchesAWeek(w.sql, w.kitchenId, subject, was);
    });
  },
};

/** A kitchen's trim, wage and tariffs; from before both sides were written alike, too. */
const Trimming = z.union([
  z.object({
    school: z.enum(TRIM_SCHOOLS),
    setValuePerKg: z.string(),
    wagePerHour: z.string().nullable(),
    electricityPerKwh: z.string().nullable(),
    gasPerKwh: z.string().nullable(),
    learning: z.enum(['ask', 'at once']),
    scale: z.string().nullable(),
  }),
  z
    .object({
      trim: z.object({ school: z.enum(TRIM_SCHOOLS), setValuePerKg: z.string() }),
      wage: z.string().nullish(),
      energy: z.object({ electricity: z.string().nullish(), gas: z.string().nullish() }),
      learning: z.enum(['ask', 'at once']),
      scale: z.string().nullish(),
    })
    .transform(({ trim, wage, energy, learning, scale }) => ({
      ...trim,
      wagePerHour: wage ?? null,
      electricityPerKwh: energy.electricity ?? null,
      gasPerKwh: energy.gas ?? null,
      learning,
      scale: scale ?? null,
    })),
]);

const trimming: Undoing = {
  role: 'manager',
  back: (_subject, side) => {
    const was = Trimming.parse(side);
    return now(ofKitchen((w) => setKitchenTrim(w.sql, w.kitchenId, was)));
  },
};

const Cups = z.array(z.object({ id: z.string() }));
const cups: Undoing = {
  role: 'manager',
  back: (_subject, side, _looking, _state, other) => {
    const all = Cups.parse(side ?? other);
    return now(async (w) => {
      for (const { id } of all)
        if (side === null) await archiveMeasure(w.sql, w.kitchenId, id, w.at);
        else await setArchived(w.sql, 'house_measure', w.kitchenId, id, null);
    });
  },
};

/** A costing kept, put away or brought back. */
const keptCosting: Undoing = {
  role: 'cook',
  back: (subject, side, _looking, _state, other) => {
    const made = z.object({ id: z.string() }).safeParse(side ?? other);
    const gone = side === null || z.object({ away: z.boolean() }).safeParse(side).data?.away === true;
    const id = made.success ? made.data.id : subject;
    return now(async (w) => void (await archiveSavedCosting(w.sql, w.kitchenId, id, gone ? w.at : null)));
  },
};

const startingValues = (as: string): Undoing => ({
  role: 'manager',
  as,
  back: (_subject, side) => {
    const fields = z.record(z.string(), z.record(z.string(), z.unknown())).parse(side);
    return now(async (w) => {
      for (const [id, values] of Object.entries(fields)) await patchPhysics(w.sql, w.kitchenId, id, values);
    });
  },
});

const LAST = texts.lastManagerKitchenNobody;

/** The last manager stays one, also by an undo. */
async function mustNotBeLast({ sql, kitchenId }: Writing, id: string): Promise<void> {
  const managers = await managersLocked(sql, kitchenId);
  if (managers.includes(id) && managers.length === 1) throw new Refused(no(LAST));
}

const Person = z.object({ name: z.string(), role: z.enum(['manager', 'cook', 'reader']) });

/** Somebody's name and role. What was new leaves again; a password stays what it was made. */
const person: Undoing = {
  role: 'manager',
  back: (subject, side) => {
    const was = Person.nullable().parse(side);
    return now(async (w) => {
      if (was?.role !== 'manager') await mustNotBeLast(w, subject);
      if (was) await writePerson(w.sql, w.kitchenId, { id: subject, ...was }, {});
      await archivePerson(w.sql, w.kitchenId, subject, was ? null : w.at);
      if (!was) await revokeOtherSignIns(w.sql, w.kitchenId, subject, undefined, w.at);
    });
  },
};

const left = (as: string): Undoing => ({
  role: 'manager',
  as,
  back: (subject, side) => {
    const { away } = z.object({ away: z.boolean() }).parse(side);
    return now(async (w) => {
      if (away) await mustNotBeLast(w, subject);
      await archivePerson(w.sql, w.kitchenId, subject, away ? w.at : null);
      if (away) await revokeOtherSignIns(w.sql, w.kitchenId, subject, undefined, w.at);
    });
  },
});

/** How what people do at the bench, at the door and in the store is taken back. */
export const UNDOING_WORK: Readonly<Record<string, Undoing>> = {
  'trim school': trimSchool,
  'learn from': learnFrom,
  'by-product': byProduct,
  'trim taken': trimTaken,
  'learned yield': learned,
  'test begun': test,
  'test weighed': test,
  'test finished': test,
  'test dropped': test,
  'test left out': leftOut('test counts again'),
  'test counts again': leftOut('test left out'),
  waste,
  count: measured('stock_count', 'count'),
  'pack weighing': measured('pack_weighing', 'weighing'),
  invoice: purchase,
  'credit note': purchase,
  'price basis': basis,
  ingredient: boughtAs,
  'batches a week': batches,
  trimming,
  cups,
  'kept costing': keptCosting,
  'starting values': startingValues('starting values given back'),
  'starting values given back': startingValues('starting values'),
  person,
  left: left('came back'),
  'came back': left('left'),
};
