'use client';

import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { figuresFor, type Figures, type MoneyWords } from './figure-words';

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
