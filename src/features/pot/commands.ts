import 'server-only';
import { costOfPlate, costOfProduct, gapsOf, type KitchenCosting } from '@/core/costing';
import { flawsOfChoices, mannerIn, type WrittenRecipe } from '@/core/kitchen-file';
import { ownConstants } from '@/core/kitchen-state';
import { readAmountOf } from '@/core/quantity';
import { CONSTANTS } from '@/core/reference';
import { potOf } from '@/core/shelf';
import { productOf } from '@/core/supply';
import { under } from '@/core/trouble';
import { runPot } from '@/core/verbs';
import { lastChangedBy } from '@/db/changes';
import { setServed, writeRecipe } from '@/db/edits';
import { withIds } from '@/db/recipes/recipe-steps';
import { nameVersion, recipeAt, versionName } from '@/db/recipes/recipe-versions';
import { database } from '@/server/database';
import { Refused, declare, idsIn, refused } from '@/server/door';
import { costedWith } from '@/server/kitchen';
import { dependencyIds, refuseLoops } from './loops';
import { sheetCommands } from './making';
import { SERVED, SHEET, VERSION_NAMED, type MissingParts } from './wire';
import * as texts from './texts';

/** What is made from a changed recipe and can no longer be made or costed: the manager is told, not stopped. */
function brokenBy(before: KitchenCosting, after: KitchenCosting, changed: string): MissingParts[] {
  const recipes = after.state.recipes
    .filter((r) => r.id !== changed)
    .filter((r) => costOfProduct(before, r.id).total !== null && costOfProduct(after, r.id).total === null)
    .map((r): MissingParts => ({
      name: r.name,
      why: gapsOf(after, productOf(r.id))[0]?.message ?? '',
      undone: after.recipes.get(r.id)?.run.refused !== undefined,
    }));
  const plates = after.state.plates
    .filter((p) => costOfPlate(before, p.id).cost !== null && costOfPlate(after, p.id).cost === null)
    .map((p): MissingParts => ({
      name: p.name,
      why: gapsOf(after, `plate:${p.id}`)[0]?.message ?? '',
      undone: false,
    }));
  return [...recipes, ...plates];
}

/** Ids of steps are theirs alone: of no other recipe, and of none twice. */
function refuseStrayIds(recipe: WrittenRecipe, others: readonly WrittenRecipe[]): void {
  const taken = new Set(others.flatMap((r) => r.steps.flatMap((s) => s.id ?? [])));
  for (const [i, { id }] of recipe.steps.entries()) {
    if (id === undefined) continue;
    if (taken.has(id)) throw refused('id-twice', `steps[${i}]`, texts.stepSameIdAnother(i + 1));
    taken.add(id);
  }
}

/**
 * Keeps a pot sheet: vessel, hob and steps. Refuses a loop, a vessel or ingredient the kitchen does
 * not have, and a step that cannot be done; a line nobody can read is kept and leaves the cost incomplete.
 */
const keepSheet = declare({
  wire: SHEET,
  role: 'changer',
  moves: 'costs',
  changes: {
    table: 'recipe',
    id: (body) => body.id,
    async theirs({ id }, { costed, who }) {
      const { costing, versions } = await costed();
      const now = costing.state.recipes.find((r) => r.id === id);
      return (
        now && {
          version: versions.recipes.get(id) ?? 1,
          vessel: now.vessel,
          hob: now.hob,
          steps: now.steps,
          choices: now.choices,
          by: await lastChangedBy(database(), who.kitchenId, id),
        }
      );
    },
  },
  async look(next, { costed }) {
    const kitchen = await costed();
    const { costing } = kitchen;
    const before = costing.state.recipes.find((r) => r.id === next.id);
    if (!before) throw refused('gone', '', texts.potSheetNoLonger);
    if (!costing.shelf.vessel(next.vessel) || !costing.shelf.hob(next.hob))
      throw refused('unknown-vessel', 'vessel', texts.kitchenDoesNotVessel);
    const recipe: WrittenRecipe = {
      ...before,
      vessel: next.vessel,
      hob: next.hob,
      steps: withIds(next.steps),
      choices: next.choices === undefined ? before.choices : next.choices.length ? next.choices : undefined,
    };
    const [flaw] = flawsOfChoices(recipe, '');
    if (flaw) throw new Refused(flaw);
    const others = costing.state.recipes.filter((r) => r.id !== recipe.id);
    refuseStrayIds(recipe, others);
    const recipes = costing.state.recipes.map((r) => (r.id === recipe.id ? recipe : r));
    refuseLoops(recipes);
    const run = runPot(potOf(recipe, costing.shelf), ownConstants(costing.state.kitchen, CONSTANTS));
    if (run.refused) throw new Refused(under(`steps[${run.refused.step}]`, run.refused.trouble));
    const after = await costedWith(kitchen, (state) => ({ ...state, recipes }));
    const manner = mannerIn(costing.state);
    return {
      before,
      recipe,
      manner,
      broken: brokenBy(costing, after, recipe.id),
      dependsOn: new Set([...idsIn(before), ...dependencyIds(recipe, recipes)]),
    };
  },
  dependsOn: (_body, { dependsOn }) => dependsOn,
  async write({ sql, kitchenId, at, today, version }, _body, { before, recipe, manner, broken }) {
    await writeRecipe(sql, kitchenId, recipe, version ?? 1, today, at, manner);
    return { value: { broken }, what: 'recipe', subject: recipe.id, before, after: recipe };
  },
});

/** °C between which anything is served. */
const SERVED_FROM = -5;
const SERVED_TO = 100;

/** Sets how hot it is served. It moves no line, so anyone who writes on the sheet is not in its way. */
const served = declare({
  wire: SERVED,
  role: 'changer',
  moves: 'costs',
  async look({ id, at }, { state }) {
    const here = await state();
    const before = here.recipes.find((r) => r.id === id);
    if (!before) throw refused('gone', '', texts.potSheetNoLonger);
    if (at.trim() === '') return { before: before.serveCelsius ?? null, celsius: null };
    const typed = /^[-\d.,\s]+$/.test(at) ? `${at.trim()} °C` : at;
    const read = readAmountOf(['temperature'], typed, mannerIn(here));
    if (!read.ok) throw new Refused(under('at', read.trouble));
    const celsius = Math.round(read.value.value * 10) / 10;
    if (!(celsius >= SERVED_FROM && celsius <= SERVED_TO))
      throw refused(
        'served-out-of-range',
        'at',
        texts.servedCCannotFrom(celsius.toFixed(0), SERVED_FROM, SERVED_TO),
        { value: celsius, limit: celsius > SERVED_TO ? SERVED_TO : SERVED_FROM },
      );
    return { before: before.serveCelsius ?? null, celsius };
  },
  dependsOn: ({ id }) => [id],
  async write({ sql, kitchenId }, { id }, { before, celsius }) {
    await setServed(sql, kitchenId, id, celsius);
    return { value: null, what: 'served at', subject: id, before, after: celsius };
  },
});

/** Names a version of a sheet, so that it is found again; it moves nothing. */
const versionNamed = declare({
  wire: VERSION_NAMED,
  role: 'changer',
  moves: 'nothing that is costed',
  async look({ id, version, name }, { who }) {
    if (!(await recipeAt(database(), who.kitchenId, id, version)))
      throw refused('gone', '', texts.sheetNoSuchVersion);
    const before = await versionName(database(), who.kitchenId, id, version);
    return { before, after: name.trim() === '' ? null : name.trim() };
  },
  async write({ sql, kitchenId, at, who }, { id, version }, { before, after }) {
    await nameVersion(sql, { kitchenId, at, by: who.person.id }, id, version, after);
    return {
      value: null,
      what: 'version name',
      subject: id,
      before: { version, name: before },
      after: { version, name: after },
    };
  },
});

export const commands = [keepSheet, served, versionNamed, ...sheetCommands];
