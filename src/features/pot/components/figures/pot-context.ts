'use client';

import { createContext, use } from 'react';
import type { LedgerColumn } from './columns';
import type { LivePot } from './use-pot';

/** The pot that the figures beside the lines are of, and what of it is shown. */
interface Shown {
  readonly pot: LivePot;
  readonly columns: readonly LedgerColumn[];
  readonly most: number;
}
const ShownContext = createContext<Shown | undefined>(undefined);
const RestedContext = createContext<Shown | undefined>(undefined);
/**
 * Gives the lines below the pot they make. A key changes the figures of every line under it and the words of none: what stands
 * beside a line reads its figures here, and the line itself is not drawn again.
 */
export const PotContext = ShownContext.Provider;
/** Gives it to the lines out of sight, a moment after the key: anyone who scrolls to one finds it as it is. */
export const DebouncedPotContext = RestedContext.Provider;
export const usePotContext = (inSight: boolean): Shown => {
  const shown = use(inSight ? ShownContext : RestedContext);
  if (!shown) throw new Error('a line is drawn without its pot');
  return shown;
};
