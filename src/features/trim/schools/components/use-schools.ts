import { useMemo, useState, useTransition } from 'react';
import { CostGraph } from '@/core/graph';
import { TRIM_SCHOOLS, type TrimSchool } from '@/core/larder';
import { compareSchools } from '../actions';
import { pricesIn } from '../priced';
import type { PlatesShown, SchoolsPage } from '../queries';

/** A plate's cost under each school, as the kitchen would have it with a set value. */
export interface PlateInSchools {
  readonly id: string;
  readonly name: string;
  readonly netPrice: number | null;
  readonly target: number | undefined;
  readonly cost: Readonly<Record<TrimSchool, number | null>>;
  /** How far apart the schools are on it. */
  readonly apart: number;
}

/** The plates that are compared: those the page came with until others are chosen. */
export function usePlates(page: SchoolsPage) {
  const [asked, setAsked] = useState<{ readonly of: SchoolsPage; readonly shown: PlatesShown }>();
  const [asking, ask] = useTransition();
  // After a write the page is another, and so are its figures.
  const shown = asked?.of === page ? asked.shown : page.shown;
  const choose = (ids: readonly string[]): void =>
    ask(async () => {
      const found = await compareSchools([...ids]).catch(() => undefined);
      if (found) setAsked({ of: page, shown: found });
    });
  return { shown, asking, choose };
}

/** Prices the shown plates three times, in the browser, with the part of the graph they are made from. */
export function useSchools(shown: PlatesShown, setValue: number): PlateInSchools[] {
  const graph = useMemo(() => {
    const made = new CostGraph(shown.graph);
    made.set(shown.prices);
    return made;
  }, [shown]);
  return useMemo(() => {
    const costs = TRIM_SCHOOLS.map((school) => {
      graph.set(pricesIn(shown.rows, school, setValue).filter(([key]) => graph.has(key)));
      return shown.plates.map((p) => (graph.has(`plate:${p.id}`) ? graph.cost(`plate:${p.id}`) : p.now));
    });
    return shown.plates.map((p, i) => {
      const of = costs.map((c) => c[i] ?? null);
      const cost = Object.fromEntries(TRIM_SCHOOLS.map((s, k) => [s, of[k] ?? null])) as Record<
        TrimSchool,
        number | null
      >;
      const known = of.filter((c) => c !== null);
      return { ...p, cost, apart: known.length > 0 ? Math.max(...known) - Math.min(...known) : 0 };
    });
  }, [graph, shown, setValue]);
}
