import { readAmount, type Manner } from '@/core/quantity';
import type { Of, WrittenStep } from '@/core/kitchen-file';

/** The amount a step states, if it states one, as typed. */
export function typedAmount(step: WrittenStep): string | null {
  if ('amount' in step) return step.amount;
  if ('time' in step && step.time !== undefined && step.do !== 'brown') return step.time;
  if (step.do === 'to taste') return step.usual;
  if (step.do === 'second pass') return step.back;
  if (step.do === 'puree' || step.do === 'sieve') return step.loss ?? null;
  if (step.do === 'brown') return step.loss;
  if (step.do === 'reduce' || step.do === 'bring' || step.do === 'chill') return step.to;
  if (step.do === 'portion') return step.size;
  if (step.do === 'season to') return step.salt;
  if (step.do === 'water') return 'level' in step ? step.level : step.cover;
  return null;
}

/** What an amount came to, kept beside what was typed; nulls where it cannot be read. */
export function normalised(
  typed: string | null,
  manner: Manner,
): { amount: string | null; kind: string | null; unit: string | null } {
  const read = typed === null ? undefined : readAmount(typed, manner);
  return read?.ok
    ? { amount: read.value.value.toFixed(6), kind: read.value.kind, unit: read.value.unit }
    : { amount: null, kind: null, unit: null };
}

/** The columns that point at what a line takes. */
export const pointers = (of: Of | undefined): { ingredient: string | null; product: string | null } => ({
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

export const jsonOrNull = (value: unknown): string | null =>
  value === undefined ? null : JSON.stringify(value);
