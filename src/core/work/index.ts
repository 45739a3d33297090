/** Long work that is done a part at a time: anyone who drives it may do other things between two parts. */
export type Work<T> = Generator<void, T, void>;

/** Does all of it at once. */
export function runToEnd<T>(work: Work<T>): T {
  for (;;) {
    const next = work.next();
    if (next.done) return next.value;
  }
}
