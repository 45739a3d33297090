const turns = new Map<string, Promise<unknown>>();

/** One after the other for whatever goes under the same name in this process. */
export function withMutex<T>(name: string, work: () => Promise<T>): Promise<T> {
  const before = turns.get(name) ?? Promise.resolve();
  const mine = before.then(work, work);
  const settled = mine.catch(() => undefined);
  turns.set(name, settled);
  void settled.then(() => turns.get(name) === settled && turns.delete(name));
  return mine;
}
