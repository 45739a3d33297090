import { useMemo } from 'react';
import { sourcePrices, afterTheKnife } from '@/core/knife';
import { CostGraph } from '@/core/graph';
import { TRIM_SCHOOLS, type TrimSchool } from '@/core/larder';
import type { SchoolRow, SchoolsPage } from '../queries';

/** Every plate's cost under each school, as the kitchen would have it with a set value. */
export interface PlateInSchools {
  readonly id: string;
  readonly name: string;
  readonly netPrice: number | null;
  readonly target: number | undefined;
  readonly cost: Readonly<Record<TrimSchool, number | null>>;
  /** How far apart the schools are on it. */
  readonly apart: number;
}

/** What an ingredient's parts cost under a school, its own if it has one. */
export const pricedIn = (row: SchoolRow, school: TrimSchool, setValue: number) =>
  afterTheKnife(
    { ...row.knife, school: row.own ?? school, setValuePerKg: Number(row.ownValue ?? setValue) },
    row.perKg,
    row.usable,
    row.stockTrim,
  );

/** Prices the whole kitchen three times, in the browser, with the same graph that prices it once. */
export function useSchools(page: SchoolsPage, setValue: number): PlateInSchools[] {
  const graph = useMemo(() => {
    const made = new CostGraph(page.graph);
    made.set(page.prices);
    return made;
  }, [page]);
  return useMemo(() => {
    const costs = new Map<TrimSchool, (number | null)[]>();
    for (const school of TRIM_SCHOOLS) {
      for (const row of page.rows) {
        const { cameOff, ...own } = pricedIn(row, school, setValue);
        graph.set(
          sourcePrices([
            { ingredient: { id: row.id }, ...own },
            ...cameOff.map(({ id, ...prices }) => ({ ingredient: { id }, ...prices })),
          ]),
        );
      }
      costs.set(
        school,
        page.plates.map((p) => graph.cost(`plate:${p.id}`)),
      );
    }
    return page.plates.map((p, i) => {
      const cost = Object.fromEntries(TRIM_SCHOOLS.map((s) => [s, costs.get(s)?.[i] ?? null])) as Record<
        TrimSchool,
        number | null
      >;
      const known = Object.values(cost).filter((c) => c !== null);
      return { ...p, cost, apart: known.length > 0 ? Math.max(...known) - Math.min(...known) : 0 };
    });
  }, [graph, page, setValue]);
}
