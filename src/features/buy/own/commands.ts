import 'server-only';
import { Ingredient, mannerIn, packOn, stuffOf, type WrittenIngredient } from '@/core/kitchen-file';
import { insteadOf, usersOf, type KitchenState, type StateArticle } from '@/core/kitchen-state';
import { checkStuff, fromLabel, readPct, readPrice, type NutritionLabel } from '@/core/larder';
import { isSameName } from '@/core/name';
import { COUNT_UNITS, readAmountOf, readNumber, type CountUnit, type DecimalMark } from '@/core/quantity';
import { refuse, under, type Trouble } from '@/core/trouble';
import { addQuote } from '@/db/edits';
import { newId } from '@/db/mapping/ids';
import { patchPhysics, setIngredient } from '@/db/buying/larder-edits';
import { insertArticles, insertIngredients } from '@/db/buying/larder-rows';
import { archivedWithIngredient, recordName, nowOf, putPlate, putRecipe, putSupplier } from '@/db/archive';
import { database } from '@/server/database';
import { Refused, declare, refused } from '@/server/door';
import { listNames, newLarderName, uniqueName } from '@/server/unique-name';
import {
  FIRST_PRICE,
  INGREDIENT_AWAY,
  INGREDIENT_NAMED,
  ALLERGENS,
  ONE_WEIGHS,
  OWN,
  type LabelTyped,
  type OwnTyped,
} from './wire';
import { SUPPLIER_NAMED } from '../suppliers/names';
import * as texts from './texts';

const NAMED = {
  none: texts.whatCalledKitchen,
  twice: (twin: string) => texts.kitchenAlreadyLineCould(twin),
};

const FIGURES = [
  'energyKj',
  'fat',
  'carbohydrate',
  'sugars',
  'fibre',
  'protein',
  'salt',
  'alcoholVolPct',
] as const;

/** The table's figures as numbers; every one that is none is told where it stands. */
function labelOf(typed: LabelTyped, mark: DecimalMark): NutritionLabel {
  const mistakes: Trouble[] = [];
  const figures = FIGURES.flatMap((field) => {
    const text = typed[field]
      .trim()
      .replace(/\s*(?:g|kJ|%)$/i, '')
      .replace(/^</, '');
    if (text === '') return [];
    const read = readNumber(text, mark);
    if (read.ok) return [[field, read.value.toNumber()] as const];
    mistakes.push({ ...read.trouble, path: `label.${field}` });
    return [];
  });
  const [first] = mistakes;
  if (first) throw new Refused(first, { mistakes });
  return { per: typed.per, ...Object.fromEntries(figures) };
}

/** What one of it weighs, and one what; nothing where nobody says. */
function eachOf(
  typed: Pick<OwnTyped, 'eachUnit' | 'eachWeighs'>,
  state: KitchenState,
): { eachG?: number; eachUnit?: CountUnit } {
  if (typed.eachWeighs.trim() === '') return {};
  const read = readAmountOf(['mass'], typed.eachWeighs, mannerIn(state));
  if (!read.ok) throw new Refused({ ...read.trouble, path: 'eachWeighs' });
  const grams = read.value.value;
  if (!(grams > 0 && grams <= 100_000))
    throw refused('weight-out-of-range', 'eachWeighs', texts.gOneCannotAbove(grams), {
      value: grams,
      limit: 100_000,
    });
  const unit = COUNT_UNITS.find((u) => u === typed.eachUnit);
  return { eachG: grams, ...(unit ? { eachUnit: unit } : {}) };
}

/** An ingredient of the kitchen's own, out of its label. */
const own = declare({
  wire: OWN,
  role: 'changer',
  moves: 'costs',
  async look(typed, { state, today, at, who }) {
    const here = await state();
    const mark = here.kitchen.decimalMark;
    const name = newLarderName(here, typed.name, NAMED);
    const made = fromLabel(labelOf(typed.label, mark));
    if (!made.ok)
      throw new Refused(
        under('label', { ...made.trouble, path: made.trouble.path.replace(/^label$/, 'fat') }),
      );
    const usable =
      typed.usable.trim() === '' ? { ok: true as const, value: 100 } : readPct(typed.usable, mark);
    if (!usable.ok) throw new Refused({ ...usable.trouble, path: 'usable' });
    if (!(usable.value > 0 && usable.value <= 100))
      throw refused('usable-out-of-range', 'usable', texts.usableOutOfRange(usable.value), {
        value: usable.value,
        limit: usable.value > 100 ? 100 : 0,
      });
    const ingredient: WrittenIngredient = Ingredient.parse({
      id: newId(),
      name,
      role: typed.role,
      composition: made.value.composition,
      ...(made.value.densityGPerMl === undefined ? {} : { densityGPerMl: made.value.densityGPerMl }),
      ...eachOf(typed, here),
      allergens: [...new Set(typed.allergens)],
      ...(typed.allergensRead || typed.allergens.length > 0 ? { allergensRead: true } : {}),
      yields: [
        {
          on: today,
          recordedAt: at.toISOString(),
          usablePct: usable.value,
          stockTrimPct: 0,
          source: 'estimate',
          basis: texts.set(who.person.name).slice(0, 200),
        },
      ],
    });
    const stuff = stuffOf(ingredient);
    const flaw = stuff.ok ? checkStuff(stuff.value)[0] : stuff.trouble;
    if (flaw) throw new Refused({ ...flaw, path: 'role' });
    return { ingredient, place: here.ingredients.length, remarks: made.value.remarks };
  },
  async write({ sql, kitchenId }, _body, { ingredient, place, remarks }) {
    await insertIngredients(sql, kitchenId, [ingredient], place);
    return {
      value: { id: ingredient.id, remarks },
      what: 'ingredient made',
      subject: ingredient.id,
      before: null,
      after: ingredient,
    };
  },
});

/** What one of a counted pack weighs, where the price asked for it. */
function piece(typed: string, pack: string, state: KitchenState): { unit: CountUnit; g: number } | undefined {
  if (typed.trim() === '') return undefined;
  const manner = mannerIn(state);
  const counted = readAmountOf(['count'], pack, manner);
  const each = readAmountOf(['mass'], typed, manner);
  if (!each.ok) throw new Refused({ ...each.trouble, path: 'eachWeighs' });
  const unit = counted.ok ? COUNT_UNITS.find((u) => u === counted.value.unit) : undefined;
  return { unit: unit ?? 'each', g: each.value.value };
}

/** The first price of an ingredient: an article of a supplier, who may be new too, and what it costs from today. */
const firstPrice = declare({
  wire: FIRST_PRICE,
  role: 'changer',
  moves: 'costs',
  async look(typed, { state, today }) {
    const here = await state();
    const found = here.ingredients.find((i) => i.id === typed.ingredient);
    if (!found) throw refused('gone', '', texts.ingredientNoLongerLarder);
    const { supplier: said } = typed;
    const known =
      'own' in said
        ? here.suppliers.find((s) => s.id === said.own)
        : here.suppliers.find((s) => isSameName(s.name, said.called));
    const called = 'called' in said ? said.called : '';
    const supplier = known ?? { id: newId(), name: uniqueName(here.suppliers, called, SUPPLIER_NAMED) };
    const weighs = piece(typed.eachWeighs, typed.pack, here);
    const ingredient = weighs ? { ...found, pieceG: { ...found.pieceG, [weighs.unit]: weighs.g } } : found;
    const article: StateArticle = {
      id: newId(),
      supplier: supplier.id,
      ingredient: found.id,
      name: found.name,
      pack: typed.pack.trim(),
      weighings: [],
    };
    if (article.pack === '') throw refused('no-pack', 'pack', texts.howPackedWriteSuch);
    const pack = packOn(article, ingredient, today, mannerIn(here));
    if (!pack.ok)
      throw new Refused({
        ...pack.trouble,
        path: pack.trouble.code === 'piece-weight-unknown' ? 'eachWeighs' : 'pack',
      });
    const price = readPrice(typed.price, here.kitchen.decimalMark);
    if (!price.ok) throw new Refused({ ...price.trouble, path: 'price' });
    return {
      supplier,
      isNew: !known,
      article,
      pack: pack.value,
      weighs,
      price: price.value,
      place: here.articles.length,
    };
  },
  async write(
    { sql, kitchenId, today, at },
    typed,
    { supplier, isNew, article, pack, weighs, price, place },
  ) {
    if (isNew) await putSupplier(sql, kitchenId, supplier);
    if (weighs) await setIngredient(sql, kitchenId, article.ingredient, { piece: weighs });
    await insertArticles(sql, kitchenId, [{ article, pack }], place);
    await addQuote(sql, kitchenId, article.id, today, at, typed.price.trim(), price.toFixed(4));
    return {
      value: { article: article.id },
      what: 'article',
      subject: article.id,
      before: null,
      after: { ...article, price: price.toString() },
      also: isNew ? [{ what: 'supplier', subject: supplier.id, before: null, after: supplier }] : [],
    };
  },
});

/** What one of an ingredient weighs, where a line asked for it. */
const oneWeighs = declare({
  wire: ONE_WEIGHS,
  role: 'changer',
  moves: 'costs',
  async look({ id, typed }, { state }) {
    const here = await state();
    const found = here.ingredients.find((i) => i.id === id);
    if (!found) throw refused('gone', '', texts.ingredientNoLongerLarder);
    const { eachG } = eachOf({ eachUnit: '', eachWeighs: typed }, here);
    if (eachG === undefined) throw refused('no-weight', 'typed', texts.whatDoesOneWeigh);
    return { g: eachG, before: found.pieceG ?? {} };
  },
  async write({ sql, kitchenId }, { id, unit }, { g, before }) {
    await setIngredient(sql, kitchenId, id, { piece: { unit, g } });
    return { value: null, what: 'one weighs', subject: id, before, after: { ...before, [unit]: g } };
  },
});

/** What an ingredient carries, read from its label: pots and plates carry it from then on. */
const allergens = declare({
  wire: ALLERGENS,
  role: 'changer',
  moves: 'costs',
  changes: {
    table: 'ingredient',
    id: (body) => body.id,
    theirs: async ({ id }, { state }) => {
      const theirs = (await state()).ingredients.find((i) => i.id === id);
      return theirs && { allergens: theirs.allergens };
    },
  },
  async look({ id, allergens: read }, { state }) {
    const before = (await state()).ingredients.find((i) => i.id === id);
    if (!before) throw refused('gone', '', texts.ingredientNoLongerLarder);
    const told = (of: readonly string[], isRead: boolean | undefined) => ({
      allergens: [...of].sort(),
      allergensRead: isRead ?? null,
    });
    return {
      before: told(before.allergens, before.allergensRead),
      after: told([...new Set(read)], true),
    };
  },
  async write({ sql, kitchenId }, { id }, { before, after }) {
    await patchPhysics(sql, kitchenId, id, after, { taken: true });
    return { value: null, what: 'allergens', subject: id, before, after };
  },
});

/** Calls an ingredient otherwise: lines and plates go by what it is. */
const named = declare({
  wire: INGREDIENT_NAMED,
  role: 'changer',
  moves: 'costs',
  changes: {
    table: 'ingredient',
    id: (body) => body.id,
    theirs: async ({ id }, { state }) => {
      const theirs = (await state()).ingredients.find((i) => i.id === id);
      return theirs && { name: theirs.name };
    },
  },
  async look({ id, name }, { state }) {
    const here = await state();
    const before = here.ingredients.find((i) => i.id === id);
    if (!before) throw refused('gone', '', texts.ingredientNoLongerLarder);
    return { before: before.name, after: newLarderName(here, name, NAMED, id) };
  },
  async write({ sql, kitchenId }, { id }, { before, after }) {
    await recordName(sql, 'ingredient', kitchenId, id, after);
    return { value: null, what: 'name', subject: id, before: { name: before }, after: { name: after } };
  },
});

/** What stands in the way of putting an ingredient away, beside lines and plates. */
function holding(here: KitchenState, id: string): string | undefined {
  const off = here.ingredients.find((i) => i.comesOff?.ingredient === id);
  if (off) return texts.comesOffArchiveFirst(off.name);
  const by = here.ingredients.find((i) =>
    i.yields.some((y) => y.byProducts.some((b) => b.ingredient === id)),
  );
  if (by) return texts.comesOffWhoseTests(by.name);
  const spelling = here.ingredients.find((i) => i.mergedInto === id);
  return spelling && texts.anotherSpellingSeparateTwo(spelling.name);
}

const away = declare({
  wire: INGREDIENT_AWAY,
  role: 'changer',
  moves: 'costs',
  async look({ id, away: gone, instead }, { state, who }) {
    const here = await state();
    const manner = mannerIn(here);
    const nothing = { recipes: [], plates: [], was: new Map<string, unknown>() };
    if (!gone) {
      const now = await nowOf(database(), 'ingredient', who.kitchenId, id);
      if (!now?.away) throw refused('gone', '', texts.ingredientLarderAlready);
      newLarderName(here, now.name, NAMED, id);
      return { before: { away: true }, after: { away: false }, manner, ...nothing };
    }
    const it = here.ingredients.find((i) => i.id === id);
    if (!it) throw refused('gone', '', texts.ingredientArchivedAlready);
    const held = holding(here, id);
    if (held) throw refused('in-use', '', held);
    const users = usersOf(here, 'ingredient', id);
    const names = [...users.recipes, ...users.plates].map((u) => u.name);
    if (names.length > 0 && instead === null)
      throw new Refused(
        refuse('in-use', 'instead', texts.chooseWhatTakesPlace(listNames(names), names.length)).trouble,
        { theirs: { users: names } },
      );
    const to = here.ingredients.find((i) => i.id === instead && i.id !== id);
    if (instead !== null && !to) throw refused('gone', 'instead', texts.whatTakePlaceNo);
    if (to && to.role !== it.role)
      throw refused('other-role', 'instead', texts.potCannotTakePlace(it.name, it.role, to.name, to.role));
    const next = to ? insteadOf(here, 'ingredient', id, to.id) : nothing;
    return {
      before: { away: false, name: it.name },
      after: { away: true, instead: to?.name },
      manner,
      recipes: next.recipes,
      plates: next.plates,
      was: new Map<string, unknown>([...users.recipes, ...users.plates].map((u) => [u.id, u])),
    };
  },
  async write(
    { sql, kitchenId, at, today },
    { id, away: gone },
    { before, after, manner, recipes, plates, was },
  ) {
    for (const r of recipes) await putRecipe(sql, kitchenId, r, today, at, manner);
    for (const p of plates) await putPlate(sql, kitchenId, p, manner);
    await archivedWithIngredient(sql, kitchenId, id, gone ? at : null);
    const also = (what: string, list: readonly { readonly id: string }[]) =>
      list.map((x) => ({ what, subject: x.id, before: was.get(x.id), after: x }));
    return {
      value: null,
      what: 'ingredient away',
      subject: id,
      before,
      after,
      also: [...also('recipe', recipes), ...also('plate', plates)],
    };
  },
});

export const commands = [own, firstPrice, oneWeighs, allergens, named, away];
