import { ofStep } from '../kitchen-file';
import { refuse, type Trouble } from '../trouble';
import type { KitchenCosting } from './kitchen';
import { supplyOf } from './resolve';

/** Why a cost is not whole: each gap it has or has inherited, a sentence each, once. */
export function gapsOf(costing: KitchenCosting, key: string): Trouble[] {
  const found = new Map<string, Trouble>();
  const seen = new Set<string>();
  const visit = (at: string): void => {
    if (seen.has(at) || at === 'free') return;
    seen.add(at);
    if (costing.graph.has(at) && costing.graph.cost(at) !== null) return;
    const [kind, id = ''] = at.split(':');
    const say = (t: Trouble, place: string) =>
      found.set(`${place}${t.path}${t.message}`, { ...t, path: place });
    if (kind === 'usable' || kind === 'trim') {
      const trouble = costing.supplies.get(id)?.trouble;
      if (trouble) say(trouble, at);
    } else if (kind === 'last') visit(`product:${id.split('@')[0] ?? ''}`);
    else if (kind === 'product') {
      const recipe = costing.recipes.get(id.split('#')[0] ?? '');
      if (!recipe) return;
      const { run } = recipe;
      for (const { step, trouble } of run.unread)
        say(
          { ...trouble, message: `${recipe.recipe.name}, step ${step + 1}: ${trouble.message}` },
          `${at}.steps[${step}]`,
        );
      if (run.refused)
        say(
          {
            ...run.refused.trouble,
            message: `${recipe.recipe.name}, step ${run.refused.step + 1}: ${run.refused.trouble.message}`,
          },
          `${at}.steps[${run.refused.step}]`,
        );
      else if (!run.product)
        say(
          refuse('no-product', '', `${recipe.recipe.name} has no steps yet that make anything.`).trouble,
          at,
        );
      for (const input of run.inputs) visit(input.supply);
      for (const step of recipe.recipe.steps) {
        const of = ofStep(step);
        if (of) visit(supplyOf(of));
      }
      // Everything has its cost, and still there is none: what parts takes more than there is.
      if (found.size === 0)
        say(
          refuse(
            'credit-over-cost',
            '',
            `${recipe.recipe.name}: what parts from it is credited with more than it all has cost up to there. Lower a set value.`,
          ).trouble,
          at,
        );
    } else {
      for (const [i, line] of (costing.plates.get(id)?.lines ?? []).entries()) {
        if (!line.resolved.ok) say(line.resolved.trouble, `${at}.lines[${i}]`);
        visit(supplyOf(line.written.of));
      }
    }
  };
  visit(key);
  return [...found.values()];
}
