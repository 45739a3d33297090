import type { KitchenFile } from './schema';
import type { Of } from './schema-steps';

/** Where an ingredient's history counts: itself, or the one it was merged into, followed to its end. */
export function mergeTargets(file: Pick<KitchenFile, 'ingredients'>): (id: string) => string {
  const to = new Map(
    file.ingredients.flatMap((i) => (i.mergedInto === undefined ? [] : [[i.id, i.mergedInto] as const])),
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
 * The kitchen as it is reckoned with: a merged ingredient is gone, and everything that named it (articles
 * and so their purchases, counts, recipe lines, plates) names the one it was merged into. The file itself keeps both, so a merge can be undone.
 */
export function withoutMerged(file: KitchenFile): KitchenFile {
  if (!file.ingredients.some((i) => i.mergedInto !== undefined)) return file;
  const into = mergeTargets(file);
  const moved = <T extends Of>(of: T): T => {
    if ('ingredient' in of) return { ...of, ingredient: into(of.ingredient) };
    return 'stockTrimOf' in of ? { ...of, stockTrimOf: into(of.stockTrimOf) } : of;
  };
  return {
    ...file,
    ingredients: file.ingredients
      .filter((i) => into(i.id) === i.id)
      .map((i) => ({
        ...i,
        ...(i.comesOff ? { comesOff: { ...i.comesOff, ingredient: into(i.comesOff.ingredient) } } : {}),
        yields: i.yields.map((y) =>
          y.byProducts.length === 0
            ? y
            : { ...y, byProducts: y.byProducts.map((b) => ({ ...b, ingredient: into(b.ingredient) })) },
        ),
      })),
    articles: file.articles.map((a) => ({ ...a, ingredient: into(a.ingredient) })),
    counts: file.counts.map((c) => ({ ...c, ingredient: into(c.ingredient) })),
    recipes: file.recipes.map((r) => ({
      ...r,
      steps: r.steps.map((s) => {
        if (s.do === 'pick') return s.piece === undefined ? s : { ...s, piece: into(s.piece) };
        if (s.do === 'strain') return s.keep ? { ...s, keep: s.keep.map(into) } : s;
        if (s.do === 'portion' && s.container !== undefined) return { ...s, container: into(s.container) };
        return 'of' in s ? { ...s, of: moved(s.of) } : s;
      }),
    })),
    tests: file.tests.map((t) => ({ ...t, ingredient: into(t.ingredient) })),
    wastes: file.wastes.map((w) => ({ ...w, ingredient: into(w.ingredient) })),
    plates: file.plates.map((p) => ({ ...p, lines: p.lines.map((l) => ({ ...l, of: moved(l.of) })) })),
  };
}
