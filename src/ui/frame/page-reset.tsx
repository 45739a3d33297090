'use client';

import { useRouter } from 'next/navigation';
import {
  createContext,
  Fragment,
  startTransition,
  useCallback,
  useContext,
  useState,
  type ReactNode,
} from 'react';

const Context = createContext<() => void>(() => undefined);

/** Holds a page that may be started again, with what the server then has: what a screen has kept of before is gone. The bar stays. */
export function PageReset({ bar, children }: { readonly bar: ReactNode; readonly children: ReactNode }) {
  const router = useRouter();
  const [times, setTimes] = useState(0);
  const reset = useCallback(() => {
    // Both at once: started again before the server has answered it would begin with what was there before.
    startTransition(() => {
      router.refresh();
      setTimes((n) => n + 1);
    });
  }, [router]);
  return (
    <Context value={reset}>
      {bar}
      <Fragment key={times}>{children}</Fragment>
    </Context>
  );
}

export const usePageReset = (): (() => void) => useContext(Context);
