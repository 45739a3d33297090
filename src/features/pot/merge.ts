import equal from 'fast-deep-equal/es6/index.js';
import type { Draft, SheetLine } from './components/sheet/sheet-lines';

/** A line that two people have changed: what either of them has there now, nothing where it was taken out. */
export interface Conflict {
  readonly id: string;
  readonly mine: SheetLine | undefined;
  readonly theirs: SheetLine | undefined;
  /** Who the other is, where that is known. */
  readonly by?: string | undefined;
}

export interface Merged {
  /** What both did; where both touched one line, mine stands, or theirs where I took it out. */
  readonly draft: Draft;
  readonly touched: readonly Conflict[];
  /** Where it starts and the ways it has, in the words of its fields, that both changed: mine stand. */
  readonly both: readonly ('vessel' | 'hob' | 'choices')[];
  /** Ids of lines that are new here or another. */
  readonly arrived: readonly string[];
}

const byId = (lines: readonly SheetLine[]): ReadonlyMap<string, SheetLine> =>
  new Map(lines.map((l) => [l.id, l]));

/**
 * Two people's changes to one sheet put together, line by line: lines have ids of their own, so that what one has moved and the
 * other has said otherwise is both. Nothing that anybody typed is lost: a line both have touched stands in `touched` with both.
 * @param base the sheet both began from
 */
export function merge(base: Draft, mine: Draft, theirs: Draft): Merged {
  const [was, here, there] = [byId(base.lines), byId(mine.lines), byId(theirs.lines)];
  const touched: Conflict[] = [];
  const settled = new Map<string, SheetLine>();
  for (const id of new Set([...here.keys(), ...there.keys()])) {
    const [b, m, t] = [was.get(id), here.get(id), there.get(id)];
    const [iDid, theyDid] = [!equal(b, m), !equal(b, t)];
    if (iDid && theyDid && !equal(m, t)) touched.push({ id, mine: m, theirs: t });
    const stays = iDid ? (m ?? (theyDid ? t : undefined)) : t;
    if (stays) settled.set(id, stays);
  }
  const lines = inOrder(base, mine, theirs).flatMap((id) => settled.get(id) ?? []);
  const both = (['vessel', 'hob', 'choices'] as const).filter(
    (field) =>
      !equal(base[field], mine[field]) &&
      !equal(base[field], theirs[field]) &&
      !equal(mine[field], theirs[field]),
  );
  const one = <K extends 'vessel' | 'hob' | 'choices'>(field: K): Draft[K] =>
    equal(base[field], mine[field]) ? theirs[field] : mine[field];
  return {
    draft: { lines, choices: one('choices'), vessel: one('vessel'), hob: one('hob') },
    touched,
    both,
    arrived: lines.filter((l) => !equal(here.get(l.id), l)).map((l) => l.id),
  };
}

/** The order of the one who has moved something, mine where both have; what the other has put in stands behind what it stood behind there. */
function inOrder(base: Draft, mine: Draft, theirs: Draft): string[] {
  const common = new Set([base, mine, theirs].map(idsOf).reduce((a, b) => a.filter((id) => b.includes(id))));
  const among = (of: Draft): string[] => idsOf(of).filter((id) => common.has(id));
  const iMoved = !equal(among(base), among(mine));
  const [first, second] = iMoved ? [mine, theirs] : [theirs, mine];
  const order = idsOf(first);
  const there = new Set(order);
  for (const [i, id] of idsOf(second).entries()) {
    if (there.has(id)) continue;
    const before = idsOf(second)
      .slice(0, i)
      .findLast((other) => there.has(other));
    order.splice(before === undefined ? 0 : order.indexOf(before) + 1, 0, id);
    there.add(id);
  }
  return order;
}

const idsOf = (draft: Draft): string[] => draft.lines.map((l) => l.id);
