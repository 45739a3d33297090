'use client';

import { createContext, useContext, type ReactNode } from 'react';

/** An ingredient that fits what was typed. */
export interface FoundIngredient {
  readonly id: string;
  readonly name: string;
  /** Whether trimming it gives stock trim. */
  readonly trims: boolean;
}

type Find = (wanted: string) => Promise<FoundIngredient[]>;
const Context = createContext<Find>(() => Promise.resolve([]));

/** Gives every chooser below its search over the kitchen's ingredients. */
export const IngredientSearchProvider = ({
  find,
  children,
}: {
  readonly find: Find;
  readonly children: ReactNode;
}) => <Context value={find}>{children}</Context>;

export const useIngredientSearch = (): Find => useContext(Context);
