import { useEffect, useRef } from 'react';
import type { Draft } from './sheet-lines';
import type { Book } from './use-book';
import { NOBODY_ANSWERS, type useKeeping } from './use-keeping';

/**
 * Keeps a sheet as what its lines mean among all the names there are, and only once it is known whether what they name can go in: a
 * wish that comes before that waits for it.
 */
export function useWish(
  { known, names, again, ready }: Book,
  draft: Draft,
  keeping: ReturnType<typeof useKeeping>,
) {
  const wished = useRef<Draft>(undefined);
  const keepWished = (): void => {
    const wanted = wished.current;
    if (!wanted) return;
    wished.current = undefined;
    keeping.wish(wanted, known.names);
  };
  useEffect(() => {
    if (ready) keepWished();
  });
  const wish = (next: Draft): void => {
    wished.current = next;
    keeping.coming();
    if (ready && next === draft) return keepWished();
    void names().then((all) => {
      if (!all) keeping.settled(NOBODY_ANSWERS);
    });
  };
  /** The same lines may mean more from now on: they are kept once that is known here. */
  const wishAnew = (): void => {
    keeping.forget();
    void again().then((all) => {
      if (all) wished.current = draft;
      else keeping.settled(NOBODY_ANSWERS);
    });
  };
  return { wish, wishAnew };
}
