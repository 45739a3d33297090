'use client';

import { parseAsString, useQueryState } from 'nuqs';

/** What somebody looks for on a page, in the address: it stays with *back* and a reload. The server is asked apart. */
export function useQueryParam(): readonly [string, (wanted: string) => void] {
  const [wanted, setWanted] = useQueryState(
    'find',
    parseAsString.withDefault('').withOptions({ throttleMs: 300 }),
  );
  return [wanted, (next) => void setWanted(next === '' ? null : next)];
}
