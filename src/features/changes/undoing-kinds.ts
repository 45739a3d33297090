import type { KitchenState } from '@/core/kitchen-state';
import { refuse, type Trouble } from '@/core/trouble';
import { bumpVersion } from '@/db/archive';
import type { Looking, Writing } from '@/server/door';
import type { Rank } from '@/server/roles';

export type UndoState = KitchenState;
export type Back = (writing: Writing) => Promise<void>;

/** How one kind of change is taken back: what it needs is found out first, with nothing locked. */
export interface Undoing {
  /** The least that somebody must be. */
  readonly role: Rank;
  /** What the taking back is called in the history, where that is another word. */
  readonly as?: string;
  /**
   * @param side the side that is put back: what stood there before
   * @param other the side that goes
   * @returns what writes it, or why it cannot be
   */
  readonly back: (
    subject: string,
    side: unknown,
    looking: Looking,
    state: UndoState,
    other: unknown,
  ) => Promise<Back | Trouble>;
}

export const no = (message: string): Trouble => refuse('cannot-undo', '', message).trouble;

export const now = (back: Back | Trouble): Promise<Back | Trouble> => Promise.resolve(back);

/** What of the kitchen's own row is written again takes its version too. */
export const ofKitchen =
  (write: (w: Writing) => Promise<unknown>): Back =>
  async (w) => {
    await bumpVersion(w.sql, 'kitchen', w.kitchenId, w.kitchenId);
    await write(w);
  };
