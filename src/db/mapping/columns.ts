import { readAmount, type Manner } from '@/core/quantity';
import type { Of } from '@/core/written';
import type { JsonColumn } from './json-columns';

/** What an amount came to, kept beside what was typed; nulls where it cannot be read. */
export function normalizedAmount(
  typed: string | null,
  manner: Manner,
): { amount: string | null; kind: string | null; unit: string | null } {
  const read = typed === null ? undefined : readAmount(typed, manner);
  return read?.ok
    ? { amount: read.value.value.toFixed(6), kind: read.value.kind, unit: read.value.unit }
    : { amount: null, kind: null, unit: null };
}

/** The columns that point at what a line takes. */
export const pointerColumns = (
  of: Of | undefined,
): { ingredient: string | null; product: string | null } => ({
  ingredient:
    of === undefined
      ? null
      : 'ingredient' in of
        ? of.ingredient
        : 'stockTrimOf' in of
          ? of.stockTrimOf
          : null,
  product:
    of === undefined ? null : 'product' in of ? of.product : 'lastBatchOf' in of ? of.lastBatchOf : null,
});

/** A JSON column that may be empty. */
export const nullableJson = <T>(column: JsonColumn<T>, value: T | null | undefined): string | null =>
  value === undefined || value === null ? null : column.write(value);
