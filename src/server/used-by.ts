import type { KitchenState } from '@/core/kitchen-state';
import { ofStep } from '@/core/verbs';
import type { Of } from '@/core/written';

/** Pot sheets and plates that take a thing, each with where it is looked at. */
export const usedBy = (
  state: Pick<KitchenState, 'recipes' | 'plates'>,
  takes: (of: Of) => boolean,
): { name: string; href: string }[] => [
  ...state.recipes
    .filter((r) => r.steps.some((s) => takes(ofStep(s) ?? { ingredient: '' })))
    .map((r) => ({ name: r.name, href: `/pot/${r.id}` })),
  ...state.plates
    .filter((p) => p.lines.some((l) => takes(l.of)))
    .map((p) => ({ name: p.name, href: `/pour/${p.id}` })),
];

/** Whether a line takes an ingredient, its usable part or its trim. */
export const takesIngredient =
  (id: string) =>
  (of: Of): boolean =>
    ('ingredient' in of && of.ingredient === id) || ('stockTrimOf' in of && of.stockTrimOf === id);
