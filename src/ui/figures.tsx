'use client';

import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { figuresFor, type Figures, type MoneyWords } from './figure-words';

export type { Figures } from './figure-words';

const Context = createContext<Figures | undefined>(undefined);

/** Makes the kitchen's way of writing figures known to everything below. */
export function FiguresProvider({ words, children }: { words: MoneyWords; children: ReactNode }) {
  const figures = useMemo(() => figuresFor(words), [words]);
  return <Context value={figures}>{children}</Context>;
}

export function useFigures(): Figures {
  const figures = useContext(Context);
  if (!figures) throw new Error('figures are used outside their provider');
  return figures;
}

/** Days in a sentence written in words; where no kitchen's way of writing is known, as they stand. */
export function useSaid(): (text: string) => string {
  return useContext(Context)?.said ?? asItIs;
}
const asItIs = (text: string): string => text;
