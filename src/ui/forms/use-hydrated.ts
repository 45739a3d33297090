import { useSyncExternalStore } from 'react';

const never = (): (() => void) => () => undefined;

/** Whether the page has come alive in the browser: what is typed before that would be nobody's. */
export const useHydrated = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
