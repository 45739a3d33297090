import { useEffect, useSyncExternalStore } from 'react';

/** What stands typed on the page and is not kept. */
const unkept = new Set<object>();
const watchers = new Set<() => void>();
const changed = (): void => watchers.forEach((watcher) => watcher());

/** Whether anything stands typed here that would be lost if the page started again. */
export const hasUnsavedChanges = (): boolean => unkept.size > 0;

/** The same, as a screen shows it. */
export const useHasUnsavedChanges = (): boolean =>
  useSyncExternalStore(
    (watcher) => {
      watchers.add(watcher);
      return () => watchers.delete(watcher);
    },
    hasUnsavedChanges,
    () => false,
  );

/** Says that something typed is not kept yet: anyone who leaves the page is asked, and it does not start again meanwhile. */
export function useUnsavedChanges(is: boolean): void {
  useEffect(() => {
    if (!is) return;
    const here = {};
    const ask = (event: BeforeUnloadEvent): void => event.preventDefault();
    unkept.add(here);
    changed();
    window.addEventListener('beforeunload', ask);
    return () => {
      unkept.delete(here);
      changed();
      window.removeEventListener('beforeunload', ask);
    };
  }, [is]);
}

/** Asked before another page of the house is gone to; set by anyone who can ask on the screen. */
let asker: ((go: () => void) => void) | undefined;
export function setLeavePrompt(ask: typeof asker): void {
  asker = ask;
}

/** Goes to another page, unless something typed here would be lost: then it is asked first. */
export function leaveGuarded(go: () => void): void {
  if (hasUnsavedChanges() && asker) asker(go);
  else go();
}
