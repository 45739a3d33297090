import { checkStuff } from '../larder';
import { stuffOf, type WrittenIngredient } from '../kitchen-file';
import type { ReferenceIngredient } from './ingredients';

/** What a later edition of the starting values may know of an ingredient that an earlier one did not. */
export const LATER_FIELDS = ['juice', 'pulpPct', 'curdlesAtC', 'givesHalfLifeH', 'gelatin'] as const;
export type LaterField = (typeof LATER_FIELDS)[number];
export type LaterValues = Partial<Pick<WrittenIngredient, LaterField>>;

const unsaid = (value: unknown): boolean => value === undefined || value === 0;

/**
 * What the starting values say of an ingredient that this kitchen's copy leaves unsaid; undefined where there is nothing, or where it
 * would not go together with what the kitchen has written. What a kitchen has said itself is never touched.
 */
export function improvedBy(own: WrittenIngredient, row: ReferenceIngredient): LaterValues | undefined {
  const values = Object.fromEntries(
    LATER_FIELDS.flatMap((field) => (unsaid(own[field]) && !unsaid(row[field]) ? [[field, row[field]]] : [])),
  ) as LaterValues;
  if (Object.keys(values).length === 0) return undefined;
  const stuff = stuffOf({ ...own, ...values });
  return stuff.ok && checkStuff(stuff.value).length === 0 ? values : undefined;
}
