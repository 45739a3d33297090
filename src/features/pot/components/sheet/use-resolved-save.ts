import { useEffect, useRef } from 'react';
import type { Draft } from './sheet-lines';
import type { SheetBook } from './use-book';
import { NO_ANSWER, type useAutosave } from './use-autosave';

/**
 * Keeps a sheet as what its lines mean among all the names there are, and only once it is known whether what they name can go in: a
 * wish that comes before that waits for it.
 */
export function useResolvedSave(
  { known, names, again, ready }: SheetBook,
  draft: Draft,
  keeping: ReturnType<typeof useAutosave>,
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
      if (!all) keeping.settled(NO_ANSWER);
    });
  };
  /** The same lines may mean more from now on: they are kept once that is known here. */
  const wishAnew = (): void => {
    keeping.forget();
    void again().then((all) => {
      if (all) wished.current = draft;
      else keeping.settled(NO_ANSWER);
    });
  };
  return { wish, wishAnew };
}
