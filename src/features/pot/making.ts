import 'server-only';
import { mannerIn, type KitchenFile, type WrittenRecipe, type WrittenVessel } from '@/core/kitchen-file';
import { insteadOf, namedBy, usersOf, type KitchenState } from '@/core/kitchen-state';
import { hobLike, REFERENCE_HOBS, referenceVessels, vesselLike } from '@/core/reference';
import { refuse } from '@/core/trouble';
import { idsOfStep, lineOf, readStep, type WrittenStep } from '@/core/verbs';
import { newId } from '@/db/mapping/ids';
import { latestRecipe } from '@/db/recipes/recipe-versions';
import { withIds } from '@/db/recipes/recipe-steps';
import { nowOf, setArchived, putHob, putPlate, putRecipe, putVessel } from '@/db/archive';
import { database } from '@/server/database';
import { Refused, declare, refused } from '@/server/door';
import { listNames, newLarderName } from '@/server/unique-name';
import { linesIn } from './lines';
import { refuseLoops } from './loops';
import { namesToRead } from '@/core/costing';
import { MOST_PASTED, NEW_SHEET, SHEET_AWAY, SHEET_NAMED } from './wire';
import * as texts from './texts';

type Stood = { readonly own: string } | { readonly like: string };
type Hob = KitchenFile['hobs'][number];

const NAMED = {
  none: texts.whatPotCalled,
  twice: (twin: string) => texts.kitchenAlreadyLineCould(twin),
};

/** What a sheet stands in or on: one of the kitchen's, or one like it, which is then the kitchen's. */
function stood<T extends { readonly id: string; readonly name: string }>(
  own: readonly T[],
  said: Stood,
  like: (name: string) => T | undefined,
  path: string,
): { readonly it: T; readonly made: boolean } {
  const known =
    'own' in said
      ? own.find((x) => x.id === said.own)
      : own.find((x) => x.name.toLowerCase() === said.like.toLowerCase());
  if (known) return { it: known, made: false };
  const made = 'like' in said ? like(said.like) : undefined;
  if (made) return { it: made, made: true };
  throw refused('unknown-vessel', path, texts.chooseWhatStands);
}

const vesselFor = (state: KitchenState, said: Stood) =>
  stood<WrittenVessel>(
    state.vessels,
    said,
    (name) => {
      const row = referenceVessels().find((v) => v.name === name);
      return row && vesselLike(row, newId());
    },
    'vessel',
  );

const hobFor = (state: KitchenState, said: Stood) =>
  stood<Hob>(
    state.hobs,
    said,
    (name) => {
      const row = REFERENCE_HOBS.find((h) => h.name === name);
      return row && hobLike(row, newId());
    },
    'hob',
  );

/** The steps of another sheet without their ids; what takes its own last batch takes the new one's. */
const stepsLike = (from: WrittenRecipe, id: string): WrittenStep[] =>
  from.steps.map(({ id: _id, ...step }) =>
    idsOfStep(step, (kind, named) => (kind === 'recipe' && named === from.id ? id : named)),
  );

const MOST_STEPS = 200;
/** Of a step that nobody can read yet; the file's own limit. */
const LONGEST_LINE = 200;

/** A new sheet: empty, like another one, or out of pasted lines. A line nobody can read stands as it was pasted. */
const make = declare({
  wire: NEW_SHEET,
  role: 'changer',
  moves: 'costs',
  async look({ name, vessel, hob, like, lines }, { costed }) {
    const { costing } = await costed();
    const { state } = costing;
    const called = newLarderName(state, name, NAMED);
    const from = like === null ? undefined : state.recipes.find((r) => r.id === like);
    if (like !== null && !from) throw refused('gone', 'like', texts.sheetLikeNoLonger);
    if (lines.length > MOST_PASTED)
      throw refused('too-long', 'lines', texts.recipeCharactersCannotTaken(lines.length, MOST_PASTED), {
        value: lines.length,
        limit: MOST_PASTED,
      });
    const said = linesIn(lines);
    if (said.length > MOST_STEPS)
      throw refused('too-many-steps', 'lines', texts.theseLinesPotSheet(said.length, MOST_STEPS), {
        value: said.length,
        limit: MOST_STEPS,
      });
    const long = said.findIndex((line) => line.length > LONGEST_LINE);
    if (long >= 0)
      throw refused(
        'line-too-long',
        'lines',
        texts.lineCharactersStepMost(long + 1, said[long]?.length ?? 0, LONGEST_LINE),
        { value: said[long]?.length ?? 0, limit: LONGEST_LINE },
      );
    const id = newId();
    const names = { ...namesToRead(costing), self: id };
    const [v, h] = [vesselFor(state, vessel), hobFor(state, hob)];
    const steps: WrittenStep[] = [
      ...(from ? stepsLike(from, id) : []),
      ...said.map((line) => lineOf(line, names)),
    ];
    const recipe: WrittenRecipe = {
      id,
      name: called,
      vessel: v.it.id,
      hob: h.it.id,
      batchesAWeek: from?.batchesAWeek ?? 1,
      ...(from?.serveCelsius === undefined ? {} : { serveCelsius: from.serveCelsius }),
      // Its lines belong to its ways.
      ...(from?.choices === undefined ? {} : { choices: from.choices }),
      steps: withIds(steps),
    };
    const unread = said.filter((line) => !readStep(line, names).ok).length;
    return { recipe, vessel: v, hob: h, manner: mannerIn(state), unread };
  },
  async write({ sql, kitchenId, at, today }, _body, { recipe, vessel, hob, manner, unread }) {
    if (vessel.made) await putVessel(sql, kitchenId, vessel.it);
    if (hob.made) await putHob(sql, kitchenId, hob.it);
    await putRecipe(sql, kitchenId, recipe, today, at, manner);
    return {
      value: { id: recipe.id, unread },
      what: 'recipe',
      subject: recipe.id,
      before: null,
      after: recipe,
      also: [
        ...(vessel.made ? [{ what: 'vessel', subject: vessel.it.id, before: null, after: vessel.it }] : []),
        ...(hob.made ? [{ what: 'hob', subject: hob.it.id, before: null, after: hob.it }] : []),
      ],
    };
  },
});

/** Calls a sheet otherwise, or notes something of it. Lines and plates that take it go by what it is, not what it is called. */
const named = declare({
  wire: SHEET_NAMED,
  role: 'changer',
  moves: 'costs',
  changes: {
    table: 'recipe',
    id: (body) => body.id,
    async theirs({ id }, { state }) {
      const theirs = (await state()).recipes.find((r) => r.id === id);
      return theirs && { name: theirs.name, note: theirs.note ?? '' };
    },
  },
  async look({ id, name, note }, { state }) {
    const here = await state();
    const before = here.recipes.find((r) => r.id === id);
    if (!before) throw refused('gone', '', texts.potSheetNoLonger);
    const called = newLarderName(here, name, NAMED, id);
    const { note: _n, ...rest } = before;
    const after: WrittenRecipe = {
      ...rest,
      name: called,
      ...(note.trim() === '' ? {} : { note: note.trim() }),
    };
    return { before, after, manner: mannerIn(here) };
  },
  async write({ sql, kitchenId, at, today }, _body, { before, after, manner }) {
    await putRecipe(sql, kitchenId, after, today, at, manner, { taken: true });
    return { value: null, what: 'recipe', subject: after.id, before, after };
  },
});

/** Puts a sheet away: refused while something is made from it, unless something else is said to take its place everywhere. */
const away = declare({
  wire: SHEET_AWAY,
  role: 'changer',
  moves: 'costs',
  async look({ id, away: gone, instead }, { state, who }) {
    const here = await state();
    const manner = mannerIn(here);
    if (!gone) {
      const recipe = await mustComeBack(who.kitchenId, id, here);
      return { before: null, after: recipe, manner, recipes: [], plates: [], was: new Map() };
    }
    const before = here.recipes.find((r) => r.id === id);
    if (!before) throw refused('gone', '', texts.potSheetArchivedAlready);
    const users = usersOf(here, 'recipe', id);
    const names = [...users.recipes, ...users.plates].map((u) => u.name);
    if (names.length > 0 && instead === null)
      throw new Refused(
        refuse('in-use', 'instead', texts.madeFromChooseWhat(listNames(names), names.length)).trouble,
        { theirs: { users: names } },
      );
    const to = instead === null ? undefined : here.recipes.find((r) => r.id === instead && r.id !== id);
    if (instead !== null && !to) throw refused('gone', 'instead', texts.whatTakePlaceNo);
    const next = to ? insteadOf(here, 'recipe', id, to.id) : { recipes: [], plates: [] };
    const changed = new Map(next.recipes.map((r) => [r.id, r]));
    refuseLoops(here.recipes.filter((r) => r.id !== id).map((r) => changed.get(r.id) ?? r));
    return {
      before,
      after: null,
      manner,
      ...next,
      was: new Map<string, unknown>([...users.recipes, ...users.plates].map((u) => [u.id, u])),
    };
  },
  async write({ sql, kitchenId, at, today }, { id }, { before, after, manner, recipes, plates, was }) {
    for (const r of recipes) await putRecipe(sql, kitchenId, r, today, at, manner);
    for (const p of plates) await putPlate(sql, kitchenId, p, manner);
    await setArchived(sql, 'recipe', kitchenId, id, after ? null : at);
    const also = (what: string, list: readonly { readonly id: string }[]) =>
      list.map((x) => ({ what, subject: x.id, before: was.get(x.id), after: x }));
    return {
      value: null,
      what: 'recipe',
      subject: id,
      before,
      after,
      also: [...also('recipe', recipes), ...also('plate', plates)],
    };
  },
});

/** A sheet that was put away, as it stood last; refused while something that it names is away itself. */
async function mustComeBack(kitchenId: string, id: string, here: KitchenState): Promise<WrittenRecipe> {
  const now = await nowOf(database(), 'recipe', kitchenId, id);
  const recipe = now?.away ? await latestRecipe(database(), kitchenId, id) : undefined;
  if (!now || !recipe) throw refused('gone', '', texts.potSheetAlreadyHere);
  newLarderName(here, now.name, NAMED, id);
  mustAllBeThere(recipe, here);
  return recipe;
}

const LISTS = { ingredient: 'ingredients', recipe: 'recipes', vessel: 'vessels', hob: 'hobs' } as const;

/** Refuses a sheet that names what is not in the kitchen any more. */
export function mustAllBeThere(recipe: WrittenRecipe, here: KitchenState): void {
  for (const [kind, ids] of namedBy(recipe)) {
    const there = new Set(here[LISTS[kind]].map((x) => x.id));
    const missing = [...ids].filter((id) => !there.has(id) && id !== recipe.id);
    if (missing.length > 0)
      throw refused('lacks', '', texts.usesArchivedRestoreFirst(recipe.name, missing.length, kind));
  }
}

export const sheetCommands = [make, named, away];
