'use client';

import { createContext, useCallback, useContext, useState, type ReactNode } from 'react';
import { lazyPart } from '../lazy-part';
import type { ToastMessage } from './toast-list';

/** The notices come with the first of them. */
export const fetchToasts = () => import('./toast-list').then((m) => m.ToastList);
const ToastList = lazyPart(fetchToasts);

type Tell = (words: string, undo?: () => void) => void;
const Context = createContext<Tell>(() => undefined);

/** Says at the foot of the screen what was done, with the way to take it back where there is one. */
export function ToastProvider({ children }: { readonly children: ReactNode }) {
  const [all, setAll] = useState<readonly ToastMessage[]>([]);
  const close = (id: number): void => setAll((told) => told.filter((t) => t.id !== id));
  const tell = useCallback<Tell>((words, undo) => {
    setAll((told) => [...told.slice(-2), { id: (told.at(-1)?.id ?? 0) + 1, words, undo }]);
  }, []);
  return (
    <Context value={tell}>
      {children}
      {all.length > 0 && <ToastList all={all} close={close} />}
    </Context>
  );
}

export const useToast = (): Tell => useContext(Context);
