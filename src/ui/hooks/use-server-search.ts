import { useEffect, useState } from 'react';
import { useQueryParam } from './use-query-param';

/** What fits some words, as it was found for them. */
interface Found {
  readonly of: string;
}

/**
 * A search that the server answers while somebody types; what is looked for stands in the address. An answer that comes late is dropped; where nobody answers, what stood
 * there stays.
 * @param first what stands there while nothing is typed
 * @param ask the same function each time
 */
export function useServerSearch<F extends Found>(first: F, ask: (wanted: string) => Promise<F | undefined>) {
  const [wanted, setWanted] = useQueryParam();
  const [found, setFound] = useState(first);
  const typed = wanted.trim();
  useEffect(() => {
    if (typed === '') return;
    let here = true;
    void ask(typed)
      .catch(() => undefined)
      .then((now) => here && now && setFound(now));
    return () => {
      here = false;
    };
    // What is shown first is another after a write: what was found is then looked for again.
  }, [typed, ask, first]);
  return {
    wanted,
    setWanted,
    found: typed === '' ? first : found,
    /** Whether what is shown answers what is typed now. */
    answered: typed === '' || found.of === typed,
  };
}
