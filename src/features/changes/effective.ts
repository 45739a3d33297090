/** A change, and which one it takes back. */
export interface Link {
  readonly id: string;
  readonly undoes: string | null;
}

/**
 * Which of some changes still count: one that was taken back does not, until the taking back is taken back itself. An undo counts
 * as long as nobody has taken it back.
 * @param changes with everything that takes any of them back among them, in the order they happened
 */
export function counting(changes: readonly Link[]): ReadonlySet<string> {
  const byTarget = new Map<string, string[]>();
  for (const { id, undoes } of changes)
    if (undoes !== null) byTarget.set(undoes, [...(byTarget.get(undoes) ?? []), id]);
  const counts = new Map<string, boolean>();
  // What takes something back comes after it: from the last to the first, every answer is there when it is asked for.
  for (const { id } of [...changes].reverse())
    counts.set(id, !(byTarget.get(id) ?? []).some((undo) => counts.get(undo)));
  return new Set(changes.flatMap(({ id }) => (counts.get(id) ? [id] : [])));
}

/** Changes that have been built on something: those that count, and are no taking back of one that does not. */
export const builtOn = <L extends Link>(later: readonly L[]): L[] => {
  const counts = counting(later);
  const known = new Set(later.map((l) => l.id));
  return later.filter((l) => counts.has(l.id) && (l.undoes === null || !known.has(l.undoes)));
};
