import { useEffect, useRef } from 'react';
import type { PotSheetData } from '../../queries';
import type { TheirSheet } from '../../wire';
import type { useAutosave } from './use-autosave';

/** How often an open sheet asks whether somebody else has changed it, ms: soon enough to see a colleague write. */
const EVERY = 1500;

/** Hears of the sheet as others leave it: asked while the page is in sight, and whenever the page itself is read again. */
export function useRemoteSheet(
  data: PotSheetData,
  { seen, isBusy }: Pick<ReturnType<typeof useAutosave>, 'seen' | 'isBusy'>,
  arrive: (theirs: TheirSheet) => void,
): void {
  const heard = useRef(arrive);
  useEffect(() => {
    heard.current = arrive;
  });
  const { id } = data.recipe;
  useEffect(() => {
    // Read again, by an undo or a price that was kept: what is newer is put together with what stands here.
    if (data.version > seen() && !isBusy()) heard.current({ ...data.recipe, version: data.version });
  }, [data.version, data.recipe, seen, isBusy]);
  useEffect(() => {
    const stop = new AbortController();
    let asking = false;
    const ask = async (): Promise<void> => {
      if (asking || document.hidden || isBusy()) return;
      asking = true;
      try {
        const answer = await fetch(`/pot/${id}/now?seen=${seen()}`, { signal: stop.signal });
        // Nothing new is said without a body; a write of one's own may have ended meanwhile.
        if (answer.status === 200 && !isBusy()) heard.current((await answer.json()) as TheirSheet);
      } catch {
        // Nobody answers: what is typed stands here, and is put together with theirs when somebody does.
      } finally {
        asking = false;
      }
    };
    const every = setInterval(() => void ask(), EVERY);
    return () => {
      clearInterval(every);
      stop.abort();
    };
  }, [id, seen, isBusy]);
}
