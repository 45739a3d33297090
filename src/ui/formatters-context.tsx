'use client';

import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { formattersFor, type Formatters, type MoneyWords } from './formatters';

export type { Formatters } from './formatters';

const Context = createContext<Formatters | undefined>(undefined);

/** Makes the kitchen's way of writing figures known to everything below. */
export function FormattersProvider({ words, children }: { words: MoneyWords; children: ReactNode }) {
  const figures = useMemo(() => formattersFor(words), [words]);
  return <Context value={figures}>{children}</Context>;
}

export function useFormatters(): Formatters {
  const figures = useContext(Context);
  if (!figures) throw new Error('figures are used outside their provider');
  return figures;
}

/** Days in a sentence written in words; where no kitchen's way of writing is known, as they stand. */
export function useSaid(): (text: string) => string {
  return useContext(Context)?.said ?? asItIs;
}
const asItIs = (text: string): string => text;
