'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { v7 } from 'uuid';
import type { BatchFigures } from '@/core/batch';
import type { WrittenBatchEvent } from '@/core/kitchen-file';
import { NOTHING_SENT, NOTHING_WAITS, sentNow, waitingNow, canWait, watchSent, watchWaiting } from '@/wire';
import type { BatchShown } from '../../queries';
import { UNDO_EVENT, undoEvent, TELL, sendBatchEvent } from '../../wire';
import { useAlarms } from '../board/use-alarms';
import { potQuestions, batchWorker, estimateRequest } from './batch-worker';

/** ms between two looks at the clock, and at what others have told. */
const LOOKS_MS = 15_000;
const READS_MS = 30_000;
const MINUTE = 60_000;

/**
 * Reads the page again now and then, for what others have told of it. Only while somebody answers: a page that is read again from
 * nobody is left for the browser’s own, and the pot on it with it.
 */
export function useRefresh(): void {
  const router = useRouter();
  useEffect(() => {
    const timer = setInterval(() => {
      if (document.visibilityState !== 'visible') return;
      fetch('/health', { cache: 'no-store' })
        .then((answer) => answer.ok && router.refresh())
        .catch(() => undefined);
    }, READS_MS);
    return () => clearInterval(timer);
  }, [router]);
}

/** The time, as often as a cook looks up. */
export function useClock(first: number): number {
  const [now, setNow] = useState(first);
  useEffect(() => {
    const look = (): void => setNow(Date.now());
    const soon = setTimeout(look, 0);
    const timer = setInterval(look, LOOKS_MS);
    document.addEventListener('visibilitychange', look);
    return () => {
      clearTimeout(soon);
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, []);
  return now;
}

/** What somebody tells, before it has its stamp. */
export type UnsentEvent = WrittenBatchEvent extends infer E
  ? E extends WrittenBatchEvent
    ? Omit<E, 'id' | 'at' | 'recordedAt' | 'by' | 'said'> & Pick<Partial<WrittenBatchEvent>, 'by' | 'said'>
    : never
  : never;

/** What was told of a batch in this browser, and what of it was taken back here. */
interface Here {
  readonly told: readonly WrittenBatchEvent[];
  readonly back: ReadonlySet<string>;
}

/** Reads out of writes of a batch what they told, and what they took back. */
function hereOf(writes: readonly { readonly kind: string; readonly body: unknown }[]): Here {
  const told = writes.flatMap(({ kind, body }) => {
    const read = kind === TELL.kind ? TELL.body.safeParse(body) : undefined;
    return read?.success ? [read.data.event] : [];
  });
  const back = writes.flatMap(({ kind, body }) => {
    const read = kind === UNDO_EVENT.kind ? UNDO_EVENT.body.safeParse(body) : undefined;
    return read?.success ? [read.data.event] : [];
  });
  return { told, back: new Set(back) };
}

/** What of a batch waits in this browser for the network. */
function useWaiting(batch: string): Here & { readonly waiting: number } {
  const all = useSyncExternalStore(watchWaiting, waitingNow, NOTHING_WAITS);
  return useMemo(() => {
    const mine = all.filter((w) => w.thing === batch && !w.refused).map((w) => w.envelope);
    return { ...hereOf(mine), waiting: mine.length };
  }, [all, batch]);
}

/** What was told of a batch from this browser since its page was read: the page may be one that the browser has kept. */
function useSentSince({ id, stands }: BatchShown): Here {
  const all = useSyncExternalStore(watchSent, sentNow, NOTHING_SENT);
  return useMemo(
    () =>
      hereOf(
        all.filter(({ thing, value }) => {
          const then = (value as { readonly stands?: number } | null)?.stands;
          return thing === id && then !== undefined && then > stands;
        }),
      ),
    [all, id, stands],
  );
}

/** Figures, and the ids of what had been told when they were worked out. */
interface Worked {
  readonly figures: BatchFigures | undefined;
  /** Its lines in words, where they are others than the page has read. */
  readonly lines?: readonly string[] | undefined;
  readonly of: string;
}
const idsOf = (events: readonly WrittenBatchEvent[]): string =>
  events
    .map((e) => e.id)
    .sort()
    .join(' ');

/** All that has been told of a batch and not taken back, in its order: on its page, on its way, and told here since the page was read. */
function useTold(batch: BatchShown, told: readonly WrittenBatchEvent[]) {
  const waiting = useWaiting(batch.id);
  const since = useSentSince(batch);
  const all = useMemo(() => {
    const every = [...since.told, ...batch.events, ...waiting.told, ...told];
    const stand = every.filter((e) => !since.back.has(e.id) && !waiting.back.has(e.id));
    return [...new Map(stand.map((e) => [e.id, e])).values()].sort(
      (a, b) => Date.parse(a.at) - Date.parse(b.at) || (a.id < b.id ? -1 : 1),
    );
  }, [since, batch.events, waiting, told]);
  return { all, waiting: waiting.waiting };
}

/** A batch followed on the screen: what is told shows at once, and is sent when somebody answers. */
export function useBatchEstimate(batch: BatchShown) {
  const [told, setTold] = useState<readonly WrittenBatchEvent[]>([]);
  const [read, setRead] = useState(batch.events);
  const [wrong, setWrong] = useState<string | undefined>();
  const [worked, setWorked] = useState<Worked>(() => ({ figures: batch.first, of: idsOf(batch.events) }));
  const now = useClock(batch.running?.startedAt ?? 0);
  const router = useRouter();
  // What the page has read stands there: taken back on another tablet, it is gone here too.
  if (read !== batch.events) {
    const there = new Set(batch.events.map((e) => e.id));
    setRead(batch.events);
    setTold(told.filter((e) => !there.has(e.id)));
  }
  const { all: events, waiting } = useTold(batch, told);
  useFigures(batch, events, now, setWorked);
  useAlarms(batch, worked.figures);
  const ask = useMemo(() => potQuestions(batch, events), [batch, events]);
  const tell = useCallback(
    /** @param when the instant at which it happened, or how many minutes ago */
    async (what: UnsentEvent, when: Date | number = 0): Promise<boolean> => {
      const at = typeof when === 'number' ? new Date(Date.now() - when * MINUTE) : when;
      const stamp = at.toISOString();
      const event = { ...what, id: v7(), at: stamp, recordedAt: stamp } as WrittenBatchEvent;
      setWrong(undefined);
      setTold((all) => [...all, event]);
      const answer = await sendBatchEvent({ batch: batch.id, event });
      // From here on it is among what waits, or what was sent.
      setTold((all) => all.filter((e) => e.id !== event.id));
      if (answer.ok) router.refresh();
      else if (!canWait(answer)) setWrong(answer.message);
      return answer.ok || canWait(answer);
    },
    [batch.id, router],
  );
  const back = useCallback(
    async (id: string): Promise<void> => {
      const answer = await undoEvent({ batch: batch.id, event: id });
      if (answer.ok) router.refresh();
      else if (!canWait(answer)) setWrong(answer.message);
    },
    [batch.id, router],
  );
  return {
    figures: worked.figures,
    lines: batch.lines.map((l, i) => ({ ...l, words: worked.lines?.[i] ?? l.words })),
    ask,
    /** The figures are not yet of what has been told: nothing is ticked by them. */
    behind: worked.of !== idsOf(events),
    events,
    now,
    tell,
    back,
    wrong,
    waiting,
  };
}

export type LiveBatch = ReturnType<typeof useBatchEstimate>;

/** Works out where a batch is, again with everything that is told of it and as time goes on. */
function useFigures(
  batch: BatchShown,
  events: readonly WrittenBatchEvent[],
  now: number,
  set: (worked: Worked) => void,
): void {
  useEffect(() => {
    // What was told last is never later than now, however long ago the clock was looked at.
    const at = Math.max(now, batch.running?.startedAt ?? 0, ...events.map((e) => Date.parse(e.at)));
    const of = estimateRequest(batch, events, at);
    if (!of) return undefined;
    let over = false;
    void batchWorker()
      .follow(of)
      .then((found) => {
        if (!over) set({ ...found, of: idsOf(events) });
      });
    return () => {
      over = true;
    };
  }, [batch, events, now, set]);
}
