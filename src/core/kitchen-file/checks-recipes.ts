import { refuse, type Trouble } from '../trouble';
import { flawOfStep, idsOfStep, ofStep, partOfStep, type WrittenStep } from '../verbs';
import { idsOfMatter, type Of } from '../written';
import { flawsOfChoices } from './in-force';
import { inOrder, loopSentence, partsOf } from './loops';
import type { WrittenPlate, WrittenRecipe } from './schema';
import { readable, missingReferences, type Sparse } from './sparse';
import * as texts from './texts';

/** What recipes and plates say that cannot be: things that are not there, parts that part twice, loops. */
export function checkRecipes(file: Sparse): Trouble[] {
  const found: Trouble[] = [];
  const byId = new Map([...readable(file.recipes)].map(([, r]) => [r.id, r]));
  const want = missingReferences(file, found);
  /** Whether what parts from a recipe under a name really does. */
  const wantPart = (of: Of | undefined, path: string): void => {
    if (!of || !('product' in of || 'lastBatchOf' in of) || of.part === undefined) return;
    const from = byId.get('product' in of ? of.product : of.lastBatchOf);
    if (from && !partsOf(from).includes(of.part))
      found.push(
        refuse('unknown-part', `${path}.part`, texts.nothingCalledPartsFrom(of.part, from.name)).trouble,
      );
  };
  for (const [i, recipe] of readable(file.recipes)) {
    want('vessel', recipe.vessel, `recipes[${i}].vessel`);
    want('hob', recipe.hob, `recipes[${i}].hob`);
    found.push(...flawsOfChoices(recipe, `recipes[${i}]`));
    for (const [j, step] of recipe.steps.entries()) {
      const place = `recipes[${i}].steps[${j}]`;
      idsOfStep(step, (kind, id, field) => {
        want(kind, id, `${place}.${field}`);
        return id;
      });
      wantPart(ofStep(step), `${place}.of`);
      found.push(...flawsOf(recipe, step, j, place));
    }
  }
  const plates = new Map([...readable(file.plates)].map(([, p]) => [p.id, p]));
  for (const [i, plate] of readable(file.plates)) {
    if (plate.follows) {
      want('plate', plate.follows.plate, `plates[${i}].follows.plate`);
      const flaw = flawOfFollowing(plate, plates.get(plate.follows.plate), `plates[${i}].follows.plate`);
      if (flaw) found.push(flaw);
    }
    for (const [j, line] of plate.lines.entries()) {
      const path = `plates[${i}].lines[${j}].of`;
      idsOfMatter(line.of, (kind, id, field) => {
        want(kind, id, `${path.slice(0, -3)}.${field}`);
        return id;
      });
      wantPart(line.of, path);
    }
  }
  for (const [i, menu] of readable(file.menus)) {
    const on = new Set<string>();
    for (const [j, { plate }] of menu.plates.entries()) {
      want('plate', plate, `menus[${i}].plates[${j}].plate`);
      if (on.has(plate))
        found.push(
          refuse('plate-twice', `menus[${i}].plates[${j}].plate`, texts.dishTwice(menu.name)).trouble,
        );
      on.add(plate);
    }
  }
  return [...found, ...checkLoops(file)];
}

/** What is wrong with a plate being a size of another; undefined where nothing is. */
export function flawOfFollowing(
  plate: Pick<WrittenPlate, 'id' | 'name'>,
  parent: Pick<WrittenPlate, 'id' | 'name' | 'follows'> | undefined,
  path = '',
): Trouble | undefined {
  if (parent?.id === plate.id)
    return refuse('follows-itself', path, texts.cannotSizeItself(plate.name)).trouble;
  return parent?.follows
    ? refuse('size-of-a-size', path, texts.sizeAnotherDishItself(parent.name, plate.name)).trouble
    : undefined;
}

/** What is wrong with a step by itself, and a name under which two things part. */
function flawsOf(recipe: WrittenRecipe, step: WrittenStep, at: number, place: string): Trouble[] {
  const found: Trouble[] = [];
  const as = partOfStep(step);
  // Of two ways only one is taken: both may part the same.
  const together = (other: WrittenStep): boolean =>
    step.way === undefined || other.way === undefined || step.way === other.way;
  if (
    as !== undefined &&
    recipe.steps.some((other) => other !== step && partOfStep(other) === as && together(other))
  )
    found.push(refuse('part-twice', `${place}.as`, texts.twoThingsPartFrom(recipe.name, as)).trouble);
  const flaw = flawOfStep(step);
  if (flaw)
    found.push(
      refuse(flaw.code, `${place}.${flaw.field}`, texts.step(recipe.name, at + 1, flaw.words)).trouble,
    );
  return found;
}

function checkLoops(file: Sparse): Trouble[] {
  const found: Trouble[] = [];
  const recipes = [...readable(file.recipes)];
  const nameOf = new Map(recipes.map(([, r]) => [r.id, r.name]));
  for (const loop of inOrder(recipes.map(([, r]) => r)).loops) {
    const at = recipes.find(([, r]) => r.id === loop[0])?.[0] ?? 0;
    found.push(
      refuse('recipe-loop', `recipes[${at}]`, loopSentence(loop.map((id) => nameOf.get(id) ?? id))).trouble,
    );
  }
  return found;
}
