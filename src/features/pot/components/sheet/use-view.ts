import { useCallback, useSyncExternalStore } from 'react';
import * as texts from './texts';

const KEY = texts.columnsSheet;
const watchers = new Set<() => void>();

/** What the columns of sheets show, as this browser had it last. */
export function useView(): readonly [string, (view: string) => void] {
  const view = useSyncExternalStore(
    (watcher) => {
      watchers.add(watcher);
      return () => watchers.delete(watcher);
    },
    () => localStorage.getItem(KEY) ?? 'usual',
    () => 'usual',
  );
  const set = useCallback((next: string): void => {
    localStorage.setItem(KEY, next);
    watchers.forEach((watcher) => watcher());
  }, []);
  return [view, set];
}
