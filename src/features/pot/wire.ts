import { z } from 'zod';
import { Choice, MOST_CHOICES, type WrittenChoice } from '@/core/kitchen-file';
import { WrittenStep } from '@/core/verbs';
import { sender, wire } from '@/wire';
import { ID, TYPED } from '@/wire/fields';
import * as texts from './texts';

/** A recipe or plate that could be made and costed before a change and cannot after it, with the reason. */
export interface MissingParts {
  readonly name: string;
  readonly why: string;
  /** Whether it cannot be made at all, or only has no cost any more. */
  readonly undone: boolean;
}

/** A sheet as somebody else left it. */
export interface TheirSheet {
  readonly version: number;
  readonly vessel: string;
  readonly hob: string;
  readonly steps: readonly WrittenStep[];
  readonly choices?: readonly WrittenChoice[] | undefined;
  /** Who left it so, where that is known. */
  readonly by?: string | undefined;
}

export const SHEET = wire<{ readonly broken: readonly MissingParts[] }, TheirSheet>()({
  kind: 'recipe.sheet',
  version: 1,
  body: z.object({
    id: ID,
    vessel: ID,
    hob: ID,
    steps: z.array(WrittenStep).max(200, texts.potSheetMost200),
    /** Left out by a page that knows of none: they stay as they are. */
    choices: z.array(Choice).max(MOST_CHOICES, texts.potSheetMostChoices(MOST_CHOICES)).optional(),
  }),
  waits: ({ id, steps }) => ({ thing: id, whole: true, words: texts.potSheetLines(steps.length) }),
});

/** How hot it comes to the table, as typed; empty for the usual 65 °C. */
export const SERVED = wire()({
  kind: 'recipe.served',
  version: 1,
  body: z.object({ id: ID, at: TYPED }),
});

/** One of the kitchen's own, or one as they usually are, which is then the kitchen's own. */
const Stood = z.union([z.object({ own: ID }), z.object({ like: z.string().min(1).max(120) })]);
/** What a line or a pasted text may have at most. */
export const MOST_PASTED = 20_000;

/** A sheet that was not there: empty, like another, or out of lines that were pasted. */
export const NEW_SHEET = wire<{ readonly id: string; readonly unread: number }>()({
  kind: 'recipe.new',
  version: 1,
  body: z.object({
    name: z.string().max(5000),
    vessel: Stood,
    hob: Stood,
    like: ID.nullable(),
    lines: z.string().max(200_000),
  }),
});

/** What a sheet is called, and what is noted of it. */
export const SHEET_NAMED = wire<null, { readonly name: string; readonly note: string }>()({
  kind: 'recipe.name',
  version: 1,
  body: z.object({
    id: ID,
    name: z.string().max(5000),
    note: z.string().max(400, texts.noteMost400Characters),
  }),
});

/** Puts a sheet away, something else in its place everywhere where that is said; or brings it back. */
export const SHEET_AWAY = wire<null, { readonly users: readonly string[] }>()({
  kind: 'recipe.away',
  version: 1,
  body: z.object({ id: ID, away: z.boolean(), instead: ID.nullable() }),
});

/** Characters a version may be called by. */
export const LONGEST_VERSION = 80;
/** What a version of a sheet is called; empty takes its name away. */
export const VERSION_NAMED = wire()({
  kind: 'recipe.version.name',
  version: 1,
  body: z.object({
    id: ID,
    version: z.int().min(1),
    name: z.string().max(LONGEST_VERSION, texts.nameVersionMostCharacters(LONGEST_VERSION)),
  }),
});

export const makeSheet = sender(NEW_SHEET);
export const nameSheet = sender(SHEET_NAMED);
export const archiveSheet = sender(SHEET_AWAY);
export const saveVersionName = sender(VERSION_NAMED);
export const savePotSheet = sender(SHEET);
export const saveServed = sender(SERVED);
