import { useEffect, useRef, type RefObject } from 'react';

/**
 * What was typed before the page had woken stands in its field and nowhere else: it is taken as if it were typed when the page wakes.
 * @returns the ref of the field
 */
export function useEarlyInput(
  value: string,
  typed: (text: string) => void,
): RefObject<HTMLInputElement | null> {
  const field = useRef<HTMLInputElement>(null);
  const woken = useRef(false);
  useEffect(() => {
    const stands = field.current?.value ?? value;
    if (!woken.current && stands !== value) typed(stands);
    woken.current = true;
  });
  return field;
}
