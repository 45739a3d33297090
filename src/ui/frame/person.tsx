'use client';

import { createContext, useContext, useState, type ReactNode } from 'react';
import { useHydrated } from '../forms/use-hydrated';

const Context = createContext('');

/** Says who is at work to everything below. */
export const PersonProvider = ({ id, children }: { readonly id: string; readonly children: ReactNode }) => (
  <Context value={id}>{children}</Context>
);

/** Columns that somebody does not want to see, kept for that person in this browser: a shared tablet shows each their own. */
export function useHiddenColumns(table: string): readonly [readonly string[], (id: string) => void] {
  const key = `half-pot-columns ${useContext(Context)} ${table}`;
  const alive = useHydrated();
  const [chosen, setChosen] = useState<readonly string[]>();
  const hidden = chosen ?? (alive ? keptUnder(key) : []);
  const toggle = (id: string): void => {
    const next = hidden.includes(id) ? hidden.filter((h) => h !== id) : [...hidden, id];
    setChosen(next);
    try {
      window.localStorage.setItem(key, next.join(' '));
    } catch {
      // A browser without storage shows all columns again the next time.
    }
  };
  return [hidden, toggle];
}

function keptUnder(key: string): readonly string[] {
  try {
    return (window.localStorage.getItem(key) ?? '').split(' ').filter(Boolean);
  } catch {
    return [];
  }
}
