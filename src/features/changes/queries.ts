import 'server-only';
import { clockIn, dayIn } from '@/core/day';
import { changesIn, undoneBy, type ChangedBy } from '@/db/changes';
import { database } from '@/server/database';
import { standingKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { UNDOING } from './undoing';
import { changeText, changeFacts } from './words';

/** What one act did, in words, by the kitchen's own clock. */
export interface ActRow {
  /** The id of one of its changes. */
  readonly id: string;
  readonly day: string;
  readonly clock: string;
  readonly by: string;
  readonly words: readonly string[];
  /** Whether it took something back; whether it has been taken back itself. */
  readonly isBack: boolean;
  readonly undone: boolean;
  readonly mayUndo: boolean;
  /** The change after which a sheet or plate can be put back as it stood. */
  readonly restores?: string | undefined;
}

export interface ChangesPage {
  readonly rows: readonly ActRow[];
  /** What they are of; everything where that is not said. */
  readonly of?: { readonly id: string; readonly name: string } | undefined;
  /** Where the next page begins. */
  readonly more?: string | undefined;
}

/** Changes read for one page. */
const MOST = 120;
/** Said of the house's people and doors, which not everybody reads. */
const PRIVATE = new Set(['password', 'signed-in', 'device', 'person', 'left', 'came back', 'model seen']);

export async function changesPage(
  who: Worker,
  { of, until }: { readonly of?: string | undefined; readonly until?: string | undefined },
): Promise<ChangesPage> {
  const { state } = await standingKitchen(who.kitchenId);
  const changes = await changesIn(database(), who.kitchenId, {
    subject: of,
    until,
    most: MOST,
  });
  const undone = await undoneBy(
    database(),
    who.kitchenId,
    changes.map((c) => c.id),
  );
  const again = await undoneBy(database(), who.kitchenId, [...undone.values()]);
  const isUndone = (id: string): boolean => {
    const by = undone.get(id);
    return by !== undefined && !again.has(by);
  };
  const telling = changeFacts(state);
  const manager = may(who.role, 'manager');
  const acts = new Map<string, ChangedBy[]>();
  for (const c of changes) {
    if (!manager && PRIVATE.has(c.what)) continue;
    const key = c.act ?? `${c.at.getTime()} ${c.by ?? ''}`;
    acts.set(key, [...(acts.get(key) ?? []), c]);
  }
  const last = changes.length === MOST ? changes.at(-1) : undefined;
  return {
    of: of === undefined ? undefined : { id: of, name: telling.called(of) ?? 'This' },
    rows: [...acts.values()].map((act) => rowOf(act, who, telling, isUndone)),
    more: last?.id,
  };
}

function rowOf(
  act: readonly ChangedBy[],
  who: Worker,
  telling: ReturnType<typeof changeFacts>,
  isUndone: (id: string) => boolean,
): ActRow {
  const [main] = act as [ChangedBy];
  const known = act.every((c) => UNDOING[c.what] && may(who.role, UNDOING[c.what]?.role ?? 'manager'));
  const own = main.by === who.person.id || may(who.role, 'manager');
  const sheet = act.length === 1 && (main.what === 'recipe' || main.what === 'plate') ? main : undefined;
  return {
    id: main.id,
    day: dayIn(who.zone, main.at),
    clock: clockIn(who.zone, main.at),
    by: main.byName ?? 'somebody',
    words: act.map((c) => changeText(c, telling)),
    isBack: main.undoes !== null,
    undone: act.some((c) => isUndone(c.id)),
    mayUndo: known && own,
    restores: sheet?.after !== null && may(who.role, 'changer') ? sheet?.id : undefined,
  };
}
