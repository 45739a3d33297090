import { useEffect, useState } from 'react';

/** ms after the last key at which what need not follow it follows. */
export const DEBOUNCE_MS = 120;

/**
 * A value as it was when it last stood still for a while: what explains a figure need not follow every key, and takes no time from
 * the one that is being pressed.
 * @param ms how long it must stand
 */
export function useDebounced<T>(value: T, ms: number): T {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    const after = setTimeout(() => setRested(value), ms);
    return () => clearTimeout(after);
  }, [value, ms]);
  return rested;
}
