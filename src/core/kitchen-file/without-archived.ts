import type { KitchenFile, WrittenQuestion, WrittenTrial } from './schema';

const idsOf = (list: readonly { readonly id: string }[]): ReadonlySet<string> =>
  new Set(list.map((x) => x.id));

/** What a trial names: what it is of, and what takes its place. */
function names(trial: WrittenTrial): readonly string[] {
  switch (trial.of) {
    case 'price':
    case 'yield':
      return [trial.ingredient];
    case 'supplier':
      return [trial.supplier];
    case 'line':
      return [trial.recipe];
    case 'portion':
    case 'menu price':
      return [trial.plate];
    case 'instead':
      return [trial.from, trial.to];
    default:
      return [];
  }
}

/** Trays without trials of what is not here. */
function traysOf(file: KitchenFile): KitchenFile['trays'] {
  const { ingredients, suppliers, recipes, plates } = file;
  const known = idsOf([...ingredients, ...suppliers, ...recipes, ...plates]);
  return file.trays.map((t) => ({
    ...t,
    trials: t.trials.filter((trial) => names(trial).every((id) => known.has(id))),
  }));
}

const idOf = (of: object): string => String(Object.values(of)[0]);

/** What a question cannot be asked without: its sheet, and everything that is compared with it. */
function asksOf({ asks }: WrittenQuestion): readonly string[] {
  switch (asks.of) {
    case 'base':
      return [asks.recipe, ...asks.bases.map((b) => idOf(b.of)), ...(asks.mend ? [idOf(asks.mend)] : [])];
    case 'thicken':
      return [asks.recipe, ...asks.with.map(idOf)];
    case 'instead':
      return [asks.recipe, ...asks.with.map((b) => idOf(b.of))];
    case 'pot':
      return [asks.recipe, ...asks.vessels];
    case 'article':
      return [asks.recipe, asks.ingredient, ...asks.articles];
    case 'sheets':
      return [asks.recipe, ...asks.with];
    default:
      return [asks.recipe];
  }
}

/** Questions of what is here; one that names something put away stays behind. */
function questionsOf(file: KitchenFile): KitchenFile['questions'] {
  const { ingredients, recipes, vessels, articles } = file;
  const known = idsOf([...ingredients, ...recipes, ...vessels, ...articles]);
  return file.questions
    .filter((q) => asksOf(q).every((id) => known.has(id)))
    .map((q) => ({
      ...q,
      ...(q.told
        ? { told: { ...q.told, prices: q.told.prices.filter((p) => known.has(p.ingredient)) } }
        : {}),
    }));
}

/** Batches of sheets that are here, in vessels that are here, of what is here. */
function batchesOf(file: KitchenFile): KitchenFile['batches'] {
  const known = idsOf([...file.recipes, ...file.vessels, ...file.hobs]);
  const things = idsOf([...file.ingredients, ...file.recipes]);
  const people = new Set(file.people.map((p) => p.name));
  return file.batches
    .filter(
      (b) =>
        [b.recipe, b.vessel, b.hob].every((id) => known.has(id)) &&
        b.steps.every((s) => !('of' in s) || !s.of || things.has(idOf(s.of))),
    )
    .map((b) => ({
      ...b,
      events: b.events.map(({ by, ...e }) => (by !== undefined && people.has(by) ? { ...e, by } : e)),
    }));
}

/**
 * A kitchen without what was put away: whatever happened to that is left out as well, and who has left is named nowhere. What stands
 * in a file has to stand by itself; what is put away goes along with the history.
 */
export function withoutArchived(file: KitchenFile): KitchenFile {
  const [ingredients, articles, suppliers, people] = [
    idsOf(file.ingredients),
    idsOf(file.articles),
    idsOf(file.suppliers),
    idsOf(file.people),
  ];
  const here = (ids: ReadonlySet<string>, id: string | undefined): string | undefined =>
    id !== undefined && ids.has(id) ? id : undefined;
  const bought = file.purchases.flatMap((p) => {
    if (!suppliers.has(p.supplier)) return [];
    const lines = p.lines.filter((l) => l.is !== 'goods' || articles.has(l.article));
    if (!lines.some((l) => l.is === 'goods') && p.lines.some((l) => l.is === 'goods')) return [];
    return [
      {
        ...p,
        lines: lines.map((l) => (l.is === 'goods' ? { ...l, inPlaceOf: here(articles, l.inPlaceOf) } : l)),
      },
    ];
  });
  const all = idsOf(bought);
  const purchases = bought.filter((p) => p.corrects === undefined || all.has(p.corrects));
  const kept = idsOf(purchases);
  return {
    ...file,
    ingredients: file.ingredients.map((i) => ({
      ...i,
      boughtAs: here(articles, i.boughtAs),
      mergedInto: here(ingredients, i.mergedInto),
      ...(i.learnFrom
        ? { learnFrom: { ...i.learnFrom, supplier: here(suppliers, i.learnFrom.supplier) } }
        : {}),
    })),
    purchases,
    // What is tried of something that is put away does nothing.
    trays: traysOf(file),
    questions: questionsOf(file),
    batches: batchesOf(file),
    counts: file.counts.filter((c) => ingredients.has(c.ingredient)),
    wastes: file.wastes
      .filter((w) => ingredients.has(w.ingredient))
      .map((w) => ({ ...w, by: here(people, w.by) })),
    tests: file.tests
      .filter(
        (t) =>
          ingredients.has(t.ingredient) &&
          [...t.parts, ...(t.second?.parts ?? [])].every(
            (p) => p.product === undefined || ingredients.has(p.product),
          ),
      )
      .map((t) => ({
        ...t,
        by: here(people, t.by),
        purchase: here(kept, t.purchase),
        supplier: here(suppliers, t.supplier),
        ...(t.leftOut ? { leftOut: { ...t.leftOut, by: here(people, t.leftOut.by) } } : {}),
      })),
  };
}
