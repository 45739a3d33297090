import { idsOfStep } from '../verbs';
import { idsOfMatter, type EachId } from '../written';
import { laterCount, type Counted, type History } from './history';
import type { KitchenState } from './state';

/** Where an ingredient's history counts: itself, or the one it was merged into, followed to its end. */
export function mergeTargets(state: Pick<KitchenState, 'ingredients'>): (id: string) => string {
  const to = new Map(
    state.ingredients.flatMap((i) => (i.mergedInto === undefined ? [] : [[i.id, i.mergedInto] as const])),
  );
  return (id) => {
    const seen = new Set<string>();
    let at = id;
    for (let next = to.get(at); next !== undefined && !seen.has(at); next = to.get(at)) {
      seen.add(at);
      at = next;
    }
    return at;
  };
}

/**
 * The kitchen as it is used: a merged ingredient is gone, and everything that named it (articles
 * and so their purchases, recipe lines, plates) names the one it was merged into. What is kept names both, so a merge can be undone.
 */
export function withoutMerged(state: KitchenState): KitchenState {
  if (!state.ingredients.some((i) => i.mergedInto !== undefined)) return state;
  const into = mergeTargets(state);
  const gone = (id: string): boolean => into(id) !== id;
  const moved: EachId = (kind, id) => (kind === 'ingredient' ? into(id) : id);
  // What names nothing that is gone stays the very same object: nothing that depends on it need be worked out again.
  // What does name such is made once for each way in which it counts.
  const names = (visit: (each: EachId) => unknown): string => {
    const counts: string[] = [];
    visit((kind, id) => {
      if (kind === 'ingredient' && gone(id)) counts.push(into(id));
      return id;
    });
    return counts.join(' ');
  };
  return {
    ...state,
    ingredients: state.ingredients
      .filter((i) => !gone(i.id))
      .map((i) => {
        const named = [
          i.comesOff?.ingredient,
          ...i.yields.flatMap((y) => y.byProducts.map((b) => b.ingredient)),
        ];
        const as = names((each) => named.forEach((id) => id !== undefined && each('ingredient', id, '')));
        return once(i, as, () => underAnother(i, into));
      }),
    articles: state.articles.map((a) =>
      once(a, gone(a.ingredient) ? into(a.ingredient) : '', () => ({ ...a, ingredient: into(a.ingredient) })),
    ),
    recipes: state.recipes.map((r) =>
      once(
        r,
        names((each) => r.steps.forEach((s) => idsOfStep(s, each))),
        () => ({ ...r, steps: r.steps.map((s) => idsOfStep(s, moved)) }),
      ),
    ),
    plates: state.plates.map((p) =>
      once(
        p,
        names((each) => p.lines.forEach((l) => idsOfMatter(l.of, each))),
        () => ({ ...p, lines: p.lines.map((l) => ({ ...l, of: idsOfMatter(l.of, moved) })) }),
      ),
    ),
  };
}

const made = new WeakMap<object, { readonly as: string; readonly made: unknown }>();

/** A thing as it counts, made once for each way in which it does; itself where it names nothing that is gone. */
function once<T extends object>(of: T, as: string, make: () => T): T {
  if (as === '') return of;
  const before = made.get(of);
  if (before?.as === as) return before.made as T;
  const now = make();
  made.set(of, { as, made: now });
  return now;
}

const underAnother = (
  i: KitchenState['ingredients'][number],
  into: (id: string) => string,
): KitchenState['ingredients'][number] => ({
  ...i,
  ...(i.comesOff ? { comesOff: { ...i.comesOff, ingredient: into(i.comesOff.ingredient) } } : {}),
  yields: i.yields.map((y) =>
    y.byProducts.length === 0
      ? y
      : { ...y, byProducts: y.byProducts.map((b) => ({ ...b, ingredient: into(b.ingredient) })) },
  ),
});

/** The past of a kitchen as it is used: what was counted under another spelling counts for what that was merged into. */
export function historyMerged(state: KitchenState, history: History): History {
  const merged = state.ingredients.filter((i) => i.mergedInto !== undefined);
  if (merged.length === 0) return history;
  return once(history, merged.map((i) => `${i.id} ${i.mergedInto}`).join(' '), () =>
    countedTogether(state, merged, history),
  );
}

function countedTogether(
  state: KitchenState,
  merged: readonly KitchenState['ingredients'][number][],
  history: History,
): History {
  const into = mergeTargets(state);
  const spellings = new Map<string, string[]>();
  for (const { id } of merged) spellings.set(into(id), [...(spellings.get(into(id)) ?? []), id]);
  return {
    article: history.article,
    times: history.times,
    counted: (id) =>
      [id, ...(spellings.get(id) ?? [])].reduce<Counted | undefined>(
        (last, spelling) => laterCount(last, history.counted(spelling)),
        undefined,
      ),
  };
}
