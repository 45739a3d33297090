import 'server-only';
import { z } from 'zod';
import {
  BatchEvent,
  Basis,
  Hob,
  HouseRules,
  mannerIn,
  Menu,
  Plate,
  Recipe,
  Supplier,
  Question,
  Tray,
  Ingredient,
  TaughtBoils,
  Vessel,
} from '@/core/kitchen-file';
import { namedBy, usersOf } from '@/core/kitchen-state';
import { yieldOn } from '@/core/kitchen-file';
import { comesOffShare } from '@/core/knife';
import { isSameName } from '@/core/name';
import { SHOWN_IN } from '@/core/quantity';
import type { Trouble } from '@/core/trouble';
import type { Named } from '@/core/written';
import { withdrawEvent } from '@/db/cooking/batches';
import { addQuote, addYield, setServed } from '@/db/edits';
import { LABOUR_COLUMN } from '@/db/mapping/json-columns';
import { nameVersion } from '@/db/recipes/recipe-versions';
import { setBoils } from '@/db/cooking/stove';
import { setSettings, type KitchenSettings } from '@/db/kitchen/kitchen-settings';
import {
  archiveMeasure,
  patchPhysics,
  setHands,
  setIngredient,
  setKitchenBasis,
} from '@/db/buying/larder-edits';
import {
  articleCalled,
  archivedWithIngredient,
  bumpVersion,
  recordName,
  setArchived,
  putHob,
  putMenu,
  putQuestion,
  putTray,
  putPlate,
  putRecipe,
  putSupplier,
  putVessel,
} from '@/db/archive';
import type { Writing } from '@/server/door';
import { listNames } from '@/server/unique-name';
import { no, now, ofKitchen, type UndoState, type Undoing } from './undoing-kinds';
import { UNDOING_WORK } from './undoing-work';
import * as texts from './texts';

/** Why something cannot go: something is made from it by now. */
function held(state: UndoState, kind: Named, id: string): Trouble | undefined {
  const { recipes, plates } = usersOf(state, kind, id);
  const names = [...recipes, ...plates].map((u) => u.name);
  return names.length > 0 ? no(texts.builtSinceUndoFirst(listNames(names), names.length)) : undefined;
}

const LISTS = { ingredient: 'ingredients', recipe: 'recipes', vessel: 'vessels', hob: 'hobs' } as const;

/** Why something cannot come back: what it names is not there any more. */
function lacks(state: UndoState, of: Parameters<typeof namedBy>[0]): Trouble | undefined {
  for (const [kind, ids] of namedBy(of)) {
    const there = new Set(state[LISTS[kind]].map((x) => x.id));
    if ([...ids].some((id) => id !== of.id && !there.has(id)))
      return no(texts.takesArchivedRestoreFirst(of.name, kind));
  }
  const parent = 'follows' in of ? of.follows?.plate : undefined;
  if (parent !== undefined && !state.plates.some((p) => p.id === parent))
    return no(texts.sizeDishArchivedRestore(of.name));
  return undefined;
}

/** Why a plate cannot go: sizes follow it. */
function followed(state: UndoState, id: string): Trouble | undefined {
  const sizes = state.plates.filter((p) => p.follows?.plate === id).map((p) => p.name);
  return sizes.length > 0 ? no(texts.followUndoFirst(listNames(sizes))) : undefined;
}

/** A thing kept whole on both sides of its change: nothing on one of them means that it was not there. */
function whole<T extends { readonly id: string; readonly name: string }>(
  schema: z.ZodType<T>,
  list: (state: UndoState) => readonly { readonly id: string; readonly name: string }[],
  kind: Named | undefined,
  put: (writing: Writing, it: T, state: UndoState) => Promise<unknown>,
  gone: (writing: Writing, id: string) => Promise<unknown>,
): Undoing {
  return {
    role: 'changer',
    back: (subject, side, _looking, state) => {
      if (side === null) {
        const why = kind && held(state, kind, subject);
        return Promise.resolve(why ?? (async (w: Writing) => void (await gone(w, subject))));
      }
      const it = schema.parse(side);
      const twin = list(state).find((x) => x.id !== it.id && isSameName(x.name, it.name));
      if (twin) return Promise.resolve(no(texts.somethingElseCalledNow(twin.name)));
      return Promise.resolve(async (w: Writing) => void (await put(w, it, state)));
    },
  };
}

const Away = z.object({ away: z.boolean() });

/** Put away or brought back. */
const away = (
  put: (writing: Writing, id: string, at: Date | null) => Promise<unknown>,
  kind?: Named,
): Undoing => ({
  role: 'changer',
  back: (subject, side, _looking, state) => {
    const gone = Away.parse(side).away;
    const why = gone && kind ? held(state, kind, subject) : undefined;
    return Promise.resolve(why ?? (async (w: Writing) => void (await put(w, subject, gone ? w.at : null))));
  },
});

const Told = z.object({ event: BatchEvent, stands: z.boolean() });

/** What was told of a batch, withdrawn or standing again. */
const told: Undoing = {
  role: 'cook',
  back: (subject, side) => {
    const { event, stands } = Told.parse(side);
    return now(
      async (w) => void (await withdrawEvent(w.sql, w.kitchenId, subject, event, stands ? null : w.at)),
    );
  },
};

/** What batches have taught of a vessel. */
const boils: Undoing = {
  role: 'manager',
  back: (subject, side) => {
    const was = z.array(TaughtBoils).parse(side);
    return now(async (w) => void (await setBoils(w.sql, w.kitchenId, subject, was)));
  },
};

const Priced = z.object({ price: z.string() });
const Yielded = z.object({ usablePct: z.number() });
const Measured = z.object({ name: z.string(), amount: z.string() }).nullable();
const Settings = z.object({
  name: z.string(),
  currency: z.string(),
  zone: z.string(),
  locale: z.string(),
  decimalMark: z.enum(['.', ',']),
  usualTaxPct: z.number().nullable(),
  usualTargetPct: z.number().nullable(),
  cooksMayChange: z.boolean(),
  shownIn: z.enum(SHOWN_IN).default('metric'),
  rules: HouseRules.nullable().default(null),
});
const Into = z.object({ into: z.string() }).nullable();

const goneWithArticles = ({ sql, kitchenId, at }: Writing, id: string) =>
  archivedWithIngredient(sql, kitchenId, id, at);

/** How each kind of change is taken back. A kind that is not here is no edit: a password, a device, somebody signing in. */
export const UNDOING: Readonly<Record<string, Undoing>> = {
  ...UNDOING_WORK,
  recipe: {
    role: 'changer',
    back: async (subject, side, looking, state) => {
      const why = side === null ? undefined : lacks(state, Recipe.parse(side));
      if (why) return why;
      return whole(
        Recipe,
        (s) => [...s.recipes, ...s.ingredients],
        'recipe',
        (w, it, s) => putRecipe(w.sql, w.kitchenId, it, w.today, w.at, mannerIn(s)),
        (w, id) => setArchived(w.sql, 'recipe', w.kitchenId, id, w.at),
      ).back(subject, side, looking, state, null);
    },
  },
  plate: {
    role: 'changer',
    back: async (subject, side, looking, state) => {
      const why = side === null ? followed(state, subject) : lacks(state, Plate.parse(side));
      if (why) return why;
      return whole(
        Plate,
        (s) => s.plates,
        undefined,
        (w, it, s) => putPlate(w.sql, w.kitchenId, it, mannerIn(s)),
        (w, id) => setArchived(w.sql, 'plate', w.kitchenId, id, w.at),
      ).back(subject, side, looking, state, null);
    },
  },
  vessel: whole(
    Vessel,
    (s) => s.vessels,
    'vessel',
    (w, it) => putVessel(w.sql, w.kitchenId, it),
    (w, id) => setArchived(w.sql, 'vessel', w.kitchenId, id, w.at),
  ),
  hob: whole(
    Hob,
    (s) => s.hobs,
    'hob',
    (w, it) => putHob(w.sql, w.kitchenId, it),
    (w, id) => setArchived(w.sql, 'hob', w.kitchenId, id, w.at),
  ),
  supplier: whole(
    Supplier,
    (s) => s.suppliers,
    undefined,
    (w, it) => putSupplier(w.sql, w.kitchenId, it),
    (w, id) => setArchived(w.sql, 'supplier', w.kitchenId, id, w.at),
  ),
  menu: whole(
    Menu,
    (s) => s.menus,
    undefined,
    // A plate that has been put away since stays away.
    (w, it, s) => {
      const there = new Set(s.plates.map((p) => p.id));
      return putMenu(w.sql, w.kitchenId, { ...it, plates: it.plates.filter((p) => there.has(p.plate)) });
    },
    (w, id) => setArchived(w.sql, 'menu', w.kitchenId, id, w.at),
  ),
  tray: whole(
    Tray,
    () => [],
    undefined,
    (w, it) => putTray(w.sql, w.kitchenId, it),
    (w, id) => setArchived(w.sql, 'tray', w.kitchenId, id, w.at),
  ),
  question: whole(
    Question,
    () => [],
    undefined,
    (w, it) => putQuestion(w.sql, w.kitchenId, it),
    (w, id) => setArchived(w.sql, 'question', w.kitchenId, id, w.at),
  ),
  batch: away((w, id, at) => setArchived(w.sql, 'batch', w.kitchenId, id, at)),
  'batch told': told,
  boils,
  retention: {
    role: 'manager',
    back: (subject, side) => {
      const was = Ingredient.pick({ retentionMlPerKg: true, retentionPressedMlPerKg: true }).parse(side);
      return now(async (w) => void (await patchPhysics(w.sql, w.kitchenId, subject, was)));
    },
  },
  gelatin: {
    role: 'manager',
    back: (subject, side) => {
      const was = Ingredient.pick({ gelatin: true }).parse(side);
      return now(async (w) => void (await patchPhysics(w.sql, w.kitchenId, subject, was)));
    },
  },
  'question away': away((w, id, at) => setArchived(w.sql, 'question', w.kitchenId, id, at)),
  'tray away': away((w, id, at) => setArchived(w.sql, 'tray', w.kitchenId, id, at)),
  'menu away': away((w, id, at) => setArchived(w.sql, 'menu', w.kitchenId, id, at)),
  'supplier away': away((w, id, at) => setArchived(w.sql, 'supplier', w.kitchenId, id, at)),
  'plate away': away((w, id, at) => setArchived(w.sql, 'plate', w.kitchenId, id, at)),
  'vessel away': away((w, id, at) => setArchived(w.sql, 'vessel', w.kitchenId, id, at), 'vessel'),
  'hob away': away((w, id, at) => setArchived(w.sql, 'hob', w.kitchenId, id, at), 'hob'),
  'ingredient away': away((w, id, at) => archivedWithIngredient(w.sql, w.kitchenId, id, at), 'ingredient'),
  'ingredient taken': ingredientMade(),
  'ingredient made': ingredientMade(),
  article: {
    role: 'changer',
    back: (subject, side) =>
      now(
        async (w) =>
          void (await setArchived(
            w.sql,
            'supplier_article',
            w.kitchenId,
            subject,
            side === null ? w.at : null,
          )),
      ),
  },
  'article away': away((w, id, at) => setArchived(w.sql, 'supplier_article', w.kitchenId, id, at)),
  'article called': {
    role: 'changer',
    back: (subject, side) => {
      const { name, code } = z.object({ name: z.string(), code: z.string().nullable() }).parse(side);
      return now(async (w) => {
        await bumpVersion(w.sql, 'supplier_article', w.kitchenId, subject);
        await articleCalled(w.sql, w.kitchenId, subject, name, code);
      });
    },
  },
  price: {
    role: 'changer',
    back: (subject, side) => {
      const { price } = Priced.parse(side);
      return now(async (w) => {
        await bumpVersion(w.sql, 'supplier_article', w.kitchenId, subject);
        await addQuote(w.sql, w.kitchenId, subject, w.today, w.at, price, Number(price).toFixed(4));
      });
    },
  },
  yield: {
    role: 'changer',
    back: async (subject, side, { supplies, who, today }) => {
      const { usablePct } = Yielded.parse(side);
      const supply = (await supplies()).get(subject);
      if (!supply) return no(texts.ingredientNoLongerLarder);
      const { byProducts } = yieldOn(supply.ingredient, today);
      const trim = comesOffShare(supply.stockTrim, supply.knife);
      if (usablePct / 100 + trim > 1.0001) return no(texts.trimNowUsableWould(usablePct));
      return async (w) => {
        await bumpVersion(w.sql, 'ingredient', w.kitchenId, subject);
        await addYield(w.sql, w.kitchenId, subject, {
          on: w.today,
          recordedAt: w.at,
          usablePct,
          stockTrimPct: Number((supply.stockTrim * 100).toFixed(5)),
          byProducts,
          source: 'estimate',
          basis: texts.putBack(who.person.name).slice(0, 200),
        });
      };
    },
  },
  measure: {
    role: 'changer',
    back: (subject, side) => {
      const was = Measured.parse(side);
      return now(async (w) => {
        if (was) await setArchived(w.sql, 'house_measure', w.kitchenId, subject, null);
        else await archiveMeasure(w.sql, w.kitchenId, subject, w.at);
      });
    },
  },
  name: {
    role: 'changer',
    back: (subject, side, _looking, state) => {
      const { name } = z.object({ name: z.string() }).parse(side);
      const twin = [...state.ingredients, ...state.recipes].find(
        (x) => x.id !== subject && isSameName(x.name, name),
      );
      if (twin) return Promise.resolve(no(texts.somethingElseCalledNow(twin.name)));
      return now(async (w) => {
        await bumpVersion(w.sql, 'ingredient', w.kitchenId, subject);
        await recordName(w.sql, 'ingredient', w.kitchenId, subject, name);
      });
    },
  },
  'one weighs': {
    role: 'changer',
    back: (subject, side, _looking, state) => {
      const before = z.record(z.string(), z.number()).parse(side);
      const is = state.ingredients.find((i) => i.id === subject)?.pieceG ?? {};
      // What was not there before is taken away.
      const none = Object.fromEntries(Object.keys(is).map((unit) => [unit, null]));
      return now(
        async (w) =>
          void (await patchPhysics(w.sql, w.kitchenId, subject, { pieceG: { ...none, ...before } })),
      );
    },
  },
  allergens: {
    role: 'changer',
    back: (subject, side) => {
      const was = z
        .object({ allergens: z.array(z.string()), allergensRead: z.boolean().nullable() })
        .parse(side);
      return now(async (w) => void (await patchPhysics(w.sql, w.kitchenId, subject, was)));
    },
  },
  merge: merged(),
  'merge taken apart': merged(),
  'version name': {
    role: 'changer',
    back: (subject, side) => {
      const { version, name } = z.object({ version: z.number(), name: z.string().nullable() }).parse(side);
      return now(
        async (w) =>
          void (await nameVersion(
            w.sql,
            { kitchenId: w.kitchenId, at: w.at, by: w.who.person.id },
            subject,
            version,
            name,
          )),
      );
    },
  },
  'served at': {
    role: 'changer',
    back: (subject, side) =>
      now(
        async (w) => void (await setServed(w.sql, w.kitchenId, subject, z.number().nullable().parse(side))),
      ),
  },
  settings: {
    role: 'manager',
    back: (_subject, side) => {
      const was: KitchenSettings = Settings.parse(side);
      return now(ofKitchen((w) => setSettings(w.sql, w.kitchenId, was)));
    },
  },
  'usual price basis': {
    role: 'manager',
    back: (_subject, side) => {
      const basis = Basis.parse(side);
      return now(ofKitchen((w) => setKitchenBasis(w.sql, w.kitchenId, basis)));
    },
  },
  hands: {
    role: 'manager',
    back: (_subject, side) => {
      const was = z.object({ kinds: z.unknown().optional(), shared: z.unknown().optional() }).parse(side);
      const hands =
        was.kinds || was.shared ? LABOUR_COLUMN.read.parse({ v: LABOUR_COLUMN.version, is: was }) : null;
      return now(ofKitchen((w) => setHands(w.sql, w.kitchenId, hands ? LABOUR_COLUMN.write(hands) : null)));
    },
  },
};

function ingredientMade(): Undoing {
  return {
    role: 'changer',
    back: (subject, side, _looking, state) => {
      if (side !== null)
        return now(async (w) => void (await archivedWithIngredient(w.sql, w.kitchenId, subject, null)));
      const why = held(state, 'ingredient', subject);
      return Promise.resolve(why ?? (async (w: Writing) => void (await goneWithArticles(w, subject))));
    },
  };
}

function merged(): Undoing {
  return {
    role: 'changer',
    back: (subject, side) => {
      const into = Into.parse(side)?.into ?? null;
      return now(async (w) => {
        await bumpVersion(w.sql, 'ingredient', w.kitchenId, subject);
        await setIngredient(w.sql, w.kitchenId, subject, { mergedInto: into });
      });
    },
  };
}
