import { useEffect, useState } from 'react';
import * as texts from './texts';

/** What is said where a question needs to know what the house has, and this device does not. */
export const NOT_HERE = texts.notKnownHere;
export const NOT_HERE_WORDS = texts.whatHouseNotDevice;

/** ms for which a hand rests before what stands typed is asked about. */
const REST_MS = 200;

/**
 * What is answered to what stands typed, once the hand rests; undefined while it is being worked out.
 * @param ask another function for every other question; undefined where there is none
 */
export function useAnswer<T>(
  ask: (() => Promise<T | undefined>) | undefined,
): T | typeof NOT_HERE | undefined {
  const [answer, setAnswer] = useState<{ readonly to: typeof ask; readonly is: T | typeof NOT_HERE }>();
  useEffect(() => {
    if (!ask) return undefined;
    let over = false;
    const timer = setTimeout(() => {
      ask()
        .then((is) => !over && setAnswer({ to: ask, is: is ?? NOT_HERE }))
        .catch(() => !over && setAnswer({ to: ask, is: NOT_HERE }));
    }, REST_MS);
    return () => {
      over = true;
      clearTimeout(timer);
    };
  }, [ask]);
  return answer && answer.to === ask ? answer.is : undefined;
}
