import { z } from 'zod';
import type { Of } from './of';
import { Id, isWritable, Typed } from './parts';

/** Characters of a note on a step. */
export const LONGEST_NOTE = 200;

/** What every line has, whether it can be read or not. */
const LINE = {
  id: Id.optional().describe(
    'its own, kept through edits and moves; a step that has none is given one when it is loaded',
  ),
  note: z
    .string()
    .trim()
    .min(1)
    .max(LONGEST_NOTE, `a note on a step has at most ${LONGEST_NOTE} characters`)
    .refine(isWritable, 'holds a control character or half a letter')
    .optional()
    .describe('for the cook: printed under the step'),
  off: z.literal(true).optional().describe('switched off: it stands on the sheet and is not done'),
  way: Id.optional().describe('done only where this way of one of the choices of its recipe is taken'),
};

/** What every step has, whatever its verb. */
const ALWAYS = {
  ...LINE,
  hands: Typed.optional().describe('active work; left out, what is usual for such a step'),
};

/** A step of a kind as the kitchen file writes it: amounts as typed, names as ids. */
export const doing = <Do extends string, Shape extends z.ZodRawShape>(verb: Do, shape: Shape) =>
  z.strictObject({ do: z.literal(verb), ...shape, ...ALWAYS });

/** A line nobody could read yet. */
export const Unread = z
  .strictObject({ do: z.literal('unread'), said: z.string().max(200), ...LINE })
  .describe('a line nobody could read yet: it makes the cost incomplete');
export type Unread = z.infer<typeof Unread>;

/** What stands beside a line: its own id, a note for the cook, whether it is switched off, the way it belongs to. */
export interface Beside {
  readonly id?: string | undefined;
  readonly note?: string | undefined;
  readonly off?: true | undefined;
  readonly way?: string | undefined;
}

export interface Written extends Beside {
  readonly do: string;
  readonly hands?: string | undefined;
}

/** What ids in a step name. */
export type Named = 'ingredient' | 'recipe' | 'vessel' | 'hob';
/** Asked for each id of a step, with the field it stands in; gives the id to put in its place. */
export type EachId = (kind: Named, id: string, field: string) => string;

/** What the kitchen file asks of a verb. */
export interface WrittenVerb<W extends Written> {
  /** Its written forms, most often one. */
  readonly written: readonly z.ZodType<W>[];
  /** The same step with every id in it put through `each`: how references are checked, and merged spellings followed. */
  ids(step: W, each: EachId): W;
  /** What it takes from elsewhere, into the pot or around a portion. */
  takes(step: W): Of | undefined;
  /** The name under which something parts from the pot in it. */
  parts(step: W): string | undefined;
  /** The amount it is about, as typed; null where it states none. */
  amount(step: W): string | null;
  /** What is wrong with it beside the rest of the step, in words that go on from “step 3: ”; with the field it stands in. */
  flaw(step: W): { readonly code: string; readonly field: string; readonly words: string } | undefined;
}

/** Puts the ids of what a line takes through `each`. */
export function idsOfMatter<T extends Of>(of: T, each: EachId, field = 'of'): T {
  if ('ingredient' in of)
    return { ...of, ingredient: each('ingredient', of.ingredient, `${field}.ingredient`) };
  if ('stockTrimOf' in of)
    return { ...of, stockTrimOf: each('ingredient', of.stockTrimOf, `${field}.stockTrimOf`) };
  if ('product' in of) return { ...of, product: each('recipe', of.product, `${field}.product`) };
  return { ...of, lastBatchOf: each('recipe', of.lastBatchOf, `${field}.lastBatchOf`) };
}
