import { stepsInForce } from '../kitchen-file';
import { batchBefore, readSupply } from '../supply';
import { refuse, type Trouble } from '../trouble';
import { ofStep, supplyOf } from '../verbs';
import type { KitchenCosting } from './kitchen';
import * as texts from './texts';

type Say = (trouble: Trouble, place: string) => void;

/** Why a cost is not whole: each gap it has or has inherited, a sentence each, once. */
export function gapsOf(costing: KitchenCosting, key: string): Trouble[] {
  const found = new Map<string, Trouble>();
  const seen = new Set<string>();
  const say: Say = (t, place) => void found.set(`${place}${t.path}${t.message}`, { ...t, path: place });
  const visit = (at: string): void => {
    if (seen.has(at) || at === 'free') return;
    seen.add(at);
    if (costing.graph.has(at) && costing.graph.cost(at) !== null) return;
    const from = readSupply(at);
    if (from?.is === 'usable' || from?.is === 'trim') {
      const trouble = costing.supplies.get(from.id)?.trouble;
      if (trouble) say(trouble, at);
    } else if (from?.is === 'last') visit(batchBefore(from));
    else if (from?.is === 'product') {
      gapsOfRecipe(costing, from.id, at, say, visit);
      // Everything has its cost, and still there is none: what parts takes more than there is.
      if (found.size === 0) say(overCredited(costing, from.id), at);
    } else gapsOfPlate(costing, at, say, visit);
  };
  visit(key);
  return [...found.values()];
}

/** What is wrong with a recipe's own steps, and whatever it takes. */
function gapsOfRecipe(
  costing: KitchenCosting,
  id: string,
  at: string,
  say: Say,
  visit: (key: string) => void,
): void {
  const found = costing.recipes.get(id);
  if (!found) return;
  const { recipe, run } = found;
  const inStep = (step: number, t: Trouble): void =>
    say({ ...t, message: texts.step(recipe.name, step + 1, t.message) }, `${at}.steps[${step}]`);
  for (const { step, trouble } of run.unread) inStep(step, trouble);
  if (run.refused) inStep(run.refused.step, run.refused.trouble);
  else if (!run.product) say(refuse('no-product', '', texts.noStepsYetMake(recipe.name)).trouble, at);
  for (const input of run.inputs) visit(input.supply);
  for (const step of stepsInForce(recipe)) {
    const of = ofStep(step);
    if (of) visit(supplyOf(of));
  }
}

const overCredited = (costing: KitchenCosting, id: string): Trouble =>
  refuse('credit-over-cost', '', texts.whatPartsFromCredited(costing.recipes.get(id)?.recipe.name)).trouble;

function gapsOfPlate(costing: KitchenCosting, at: string, say: Say, visit: (key: string) => void): void {
  const id = at.slice(at.indexOf(':') + 1);
  const plate = costing.plates.get(id)?.plate;
  if (plate?.follows && !costing.plates.has(plate.follows.plate))
    say(refuse('follows-gone', '', texts.sizeDishArchivedRestore(plate.name)).trouble, at);
  for (const [i, line] of (costing.plates.get(id)?.lines ?? []).entries()) {
    if (!line.resolved.ok) say(line.resolved.trouble, `${at}.lines[${i}]`);
    visit(supplyOf(line.written.of));
  }
}
