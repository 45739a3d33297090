import { z } from 'zod';
import { WrittenStep } from '@/core/verbs';
import { ID, sender, TYPED, wire } from '@/wire';

/** A recipe or plate that could be made and costed before a change and cannot after it, with the reason. */
export interface Broken {
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
}

export const SHEET = wire<{ readonly broken: readonly Broken[] }, TheirSheet>()({
  kind: 'recipe.sheet',
  version: 1,
  body: z.object({
    id: ID,
    vessel: ID,
    hob: ID,
    steps: z.array(WrittenStep).max(200, 'A pot sheet has at most 200 steps.'),
  }),
});

/** How hot it comes to the table, as typed; empty for the usual 65 °C. */
export const SERVED = wire()({
  kind: 'recipe.served',
  version: 1,
  body: z.object({ id: ID, at: TYPED }),
});

export const keepPotSheet = sender(SHEET);
export const keepServed = sender(SERVED);
