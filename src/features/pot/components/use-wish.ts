import { useEffect, useRef } from 'react';
import type { SheetLine } from './sheet-lines';
import type { Book } from './use-book';
import { NOBODY_ANSWERS, type useKeeping } from './use-keeping';

/**
 * Keeps lines as what they mean among all the names there are, and only once it is known whether what they name can go in: a
 * wish that comes before that waits for it.
 */
export function useWish(
  { known, names, again, ready }: Book,
  lines: readonly SheetLine[],
  keeping: ReturnType<typeof useKeeping>,
) {
  const wished = useRef<readonly [readonly SheetLine[], string, string]>(undefined);
  const keepWished = (): void => {
    if (!wished.current) return;
    const [next, vessel, hob] = wished.current;
    wished.current = undefined;
    keeping.wish(next, vessel, hob, known.names);
  };
  useEffect(() => {
    if (ready) keepWished();
  });
  const wish = (next: readonly SheetLine[], vessel: string, hob: string): void => {
    wished.current = [next, vessel, hob];
    if (ready && next === lines) return keepWished();
    void names().then((all) => {
      if (!all) keeping.settled(NOBODY_ANSWERS);
    });
  };
  /** The same lines may mean more from now on: they are kept once that is known here. */
  const wishAnew = (vessel: string, hob: string): void => {
    keeping.forget();
    void again().then((all) => {
      if (all) wished.current = [lines, vessel, hob];
      else keeping.settled(NOBODY_ANSWERS);
    });
  };
  return { wish, wishAnew };
}
