import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Names } from '@/core/said';
import { ofStep, type WrittenStep } from '@/core/verbs';
import { withRetry } from '@/ui/hooks/with-retry';
import { matterFor, namesForLines } from '../../actions';
import type { PotSheetData } from '../../queries';
import type { Reach } from '../../reach';
import { stepsOf, type Draft, type SheetLine } from './sheet-lines';

/** Two reaches as one: what is known twice is known as it was told last. */
export const mergeNames = (a: Reach, b: Reach): Reach => {
  const byId = <T extends { readonly id: string }>(x: readonly T[], y: readonly T[]): T[] => [
    ...new Map([...x, ...y].map((item) => [item.id, item])).values(),
  ];
  return {
    opens: [...a.opens, ...b.opens],
    stuffs: [...a.stuffs, ...b.stuffs],
    products: byId(a.products, b.products),
    prices: [...a.prices, ...b.prices],
    layers: {
      packaging: [...a.layers.packaging, ...b.layers.packaging],
      energy: [...a.layers.energy, ...b.layers.energy],
      hands: [...a.layers.hands, ...b.layers.hands],
    },
    asPurchased: [...a.asPurchased, ...b.asPurchased],
    estimates: [...new Set([...a.estimates, ...b.estimates])],
    standsOn: byId(a.standsOn, b.standsOn),
  };
};

/** What steps take, by id. */
export function namesInDraft(steps: readonly WrittenStep[]) {
  const [ingredients, recipes] = [new Set<string>(), new Set<string>()];
  for (const step of steps) {
    const of = ofStep(step);
    if (!of) continue;
    const id = 'ingredient' in of ? of.ingredient : 'stockTrimOf' in of ? of.stockTrimOf : undefined;
    if (id !== undefined) ingredients.add(id);
    else if ('product' in of) recipes.add(of.product);
    else if ('lastBatchOf' in of) recipes.add(of.lastBatchOf);
  }
  return { ingredients: [...ingredients], recipes: [...recipes] };
}

/** What lines name that the sheet has not been told of yet. */
function missingIn(lines: readonly SheetLine[], known: PotSheetData) {
  const there = new Set([...known.standsOn.map((s) => s.id), ...known.products.map((p) => p.id)]);
  const steps = stepsOf(lines, known.names);
  const { ingredients, recipes } = namesInDraft(steps);
  const not = (ids: readonly string[]): string[] => ids.filter((id) => !there.has(id));
  const unread = steps.filter((s) => s.do === 'unread').map((s) => s.id);
  return { ingredients: not(ingredients), recipes: not(recipes), unread };
}

export interface SheetBook {
  /** The sheet with everything that it has been told of since it was opened. */
  readonly known: PotSheetData;
  /** The sheet as far as all its lines name is known: what can be run and priced. */
  readonly shown: Draft;
  /** Whether every name is known, and the matter of all that the lines name. */
  readonly ready: boolean;
  /** Every name there is: asked for once, when somebody begins to write. Undefined where nobody answers. */
  readonly names: () => Promise<Names | undefined>;
  /** Something came to be known that was missed: names and matter are asked for again. */
  readonly again: () => Promise<Names | undefined>;
}

/** Every name there is, asked for once; and again when something came to be known. */
function useNames() {
  const [all, setAll] = useState<Names>();
  const [noNames, setNoNames] = useState(false);
  const asking = useRef<Promise<Names | undefined>>(undefined);
  /** Counts what has come to be known since the sheet was opened. */
  const [moved, setMoved] = useState(0);
  const names = useCallback((): Promise<Names | undefined> => {
    asking.current ??= withRetry(namesForLines).then((found) => {
      if (found) setAll(found);
      else asking.current = undefined;
      setNoNames(!found);
      return found;
    });
    return asking.current;
  }, []);
  const again = useCallback((): Promise<Names | undefined> => {
    asking.current = undefined;
    setMoved((n) => n + 1);
    return names();
  }, [names]);
  return { all, noNames, moved, names, again };
}

/**
 * What a sheet knows of its kitchen: what it came with, every name once somebody writes, and the matter of whatever its lines
 * come to name.
 */
export function useBook(data: PotSheetData, draft: Draft): SheetBook {
  const { lines } = draft;
  const [told, setTold] = useState<Reach>();
  const { all, noNames, moved, names, again } = useNames();
  const known = useMemo(
    () => ({
      ...data,
      ...(told && mergeNames(data, told)),
      names: { ...(all ?? data.names), self: data.recipe.id },
    }),
    [data, told, all],
  );
  // A line that was kept unread may say a name that did not come with the sheet: what is said of it must be true.
  const anyUnread = data.recipe.steps.some((s) => s.do === 'unread');
  useEffect(() => {
    if (anyUnread) void names();
  }, [anyUnread, names]);
  const missing = useMemo(() => missingIn(lines, known), [lines, known]);
  const now = useRef({ lines, names: known.names });
  useEffect(() => {
    now.current = { lines, names: known.names };
  });
  // Asked once for each thing that came to be known, whatever is typed meanwhile.
  useEffect(() => {
    if (moved === 0) return;
    const { ingredients, recipes } = namesInDraft(stepsOf(now.current.lines, now.current.names));
    void withRetry(() => matterFor(data.recipe.id, ingredients, recipes)).then(
      (found) => found && setTold((before) => (before ? mergeNames(before, found) : found)),
    );
  }, [moved, data.recipe.id]);
  // A line that cannot be read by the few names there are may say one of the others, which are on their way.
  const wasUnread = new Set(data.recipe.steps.filter((s) => s.do === 'unread').map((s) => s.id));
  const waits = !all && !noNames && missing.unread.some((id) => !wasUnread.has(id));
  // Asked and told all that there was to tell: what is then still missing is shown as it is, until the lines are others.
  const [answered, setAnswered] = useState<{
    readonly lines: readonly SheetLine[];
    readonly all: Names | undefined;
  }>();
  const asked =
    answered?.lines === lines && answered.all === all
      ? ''
      : [...missing.ingredients, ...missing.recipes].join(' ');
  useEffect(() => {
    if (asked === '') return;
    let here = true;
    void withRetry(() => matterFor(data.recipe.id, missing.ingredients, missing.recipes)).then((found) => {
      if (!here) return;
      if (found) setTold((before) => (before ? mergeNames(before, found) : found));
      setAnswered({ lines, all });
    });
    return () => {
      here = false;
    };
  }, [asked, data.recipe.id, lines, missing, all]);
  const [shown, setShown] = useState(draft);
  if (asked === '' && !waits && shown !== draft) setShown(draft);
  return { known, shown, names, again, ready: all !== undefined && asked === '' };
}
