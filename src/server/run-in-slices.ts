import { setImmediate as others } from 'node:timers/promises';
import type { Work } from '@/core/work';

/** ms of work after which others get their turn. */
const AT_MOST_MS = 10;

let last: Promise<void> = Promise.resolve();

/** The next part's turn: of all long work one part is done between two rounds of answers, however many there are. */
const nextPart = (): Promise<void> => (last = last.then(() => others()));

/**
 * Does long work while others are answered between its parts.
 * @param partDone told after each part
 */
export async function runInSlices<T>(work: Work<T>, partDone?: () => void): Promise<T> {
  for (;;) {
    const until = performance.now() + AT_MOST_MS;
    do {
      const next = work.next();
      if (next.done) return next.value;
      partDone?.();
    } while (performance.now() < until);
    await nextPart();
  }
}
