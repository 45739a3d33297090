import { refuse, type Trouble } from '../trouble';
import type { WrittenRecipe } from './schema';
import * as texts from './texts';

type Lined = Pick<WrittenRecipe, 'steps' | 'choices'>;
type Step = WrittenRecipe['steps'][number];
/** Whether a line of a recipe is done: it is not switched off, and belongs to no way or to the one the house takes. */
export function inForce({ choices }: Pick<Lined, 'choices'>): (step: Step) => boolean {
  if (!choices || choices.length === 0) return (step) => step.off !== true;
  const ways = new Set(choices.map((c) => c.house));
  return (step) => step.off !== true && (step.way === undefined || ways.has(step.way));
}

/** The lines of a recipe that are done, the house's way. */
export function stepsInForce(recipe: Lined): readonly Step[] {
  // Most sheets are done as they are written.
  if (recipe.steps.every((s) => s.off === undefined && s.way === undefined)) return recipe.steps;
  return recipe.steps.filter(inForce(recipe));
}

/** What of a recipe's choices cannot be: ids that stand twice, a house's way that is none of the ways, lines of a way that is not there. */
export function flawsOfChoices(recipe: WrittenRecipe, place: string): Trouble[] {
  const found: Trouble[] = [];
  const ids = new Set<string>();
  for (const [i, choice] of (recipe.choices ?? []).entries()) {
    for (const id of [choice.id, ...choice.ways.map((w) => w.id)]) {
      if (ids.has(id))
        found.push(
          refuse('id-twice', `${place}.choices[${i}]`, texts.twoVariantsSameId(recipe.name)).trouble,
        );
      ids.add(id);
    }
    if (!choice.ways.some((w) => w.id === choice.house))
      found.push(
        refuse('unknown-way', `${place}.choices[${i}].house`, texts.housesWayNotOne(recipe.name, choice.name))
          .trouble,
      );
  }
  const ways = new Set((recipe.choices ?? []).flatMap((c) => c.ways.map((w) => w.id)));
  for (const [j, { way }] of recipe.steps.entries())
    if (way !== undefined && !ways.has(way))
      found.push(
        refuse('unknown-way', `${place}.steps[${j}].way`, texts.stepBelongsVariantSheet(recipe.name, j + 1))
          .trouble,
      );
  return found;
}
