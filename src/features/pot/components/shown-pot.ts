'use client';

import { createContext, useContext } from 'react';
import type { Column } from './columns';
import type { LivePot } from './use-pot';

/** The pot that the figures beside the lines are of, and what of it is shown. */
interface Shown {
  readonly pot: LivePot;
  readonly columns: readonly Column[];
  readonly most: number;
}
const ShownContext = createContext<Shown | undefined>(undefined);
/**
 * Gives the lines below the pot they make. A key changes the figures of every line under it and the words of none: what stands
 * beside a line reads its figures here, and the line itself is not drawn again.
 */
export const ShownPot = ShownContext.Provider;
export const useShown = (): Shown => {
  const shown = useContext(ShownContext);
  if (!shown) throw new Error('a line is drawn without its pot');
  return shown;
};
